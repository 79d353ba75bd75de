import type { Rule } from '../row'

/** What must not come together on a piece; no reason lifts it (chemistry: facts high, from memory; see the table of incompatible materials). */
export const CHEMISTRY_CHECKS: readonly Rule[] = [
  {
    id: 'acid-into-sulphide',
    shape: 'needs',
    share: 'thing',
    level: 'stop',
    clauses: [
      {
        asks: 'attached: no acid',
        of: 'patina-dip (agent!=selenious|tellurium); patina-spray (agent=ammonium-sulphide)',
        put: ['rinse', 'neutralise'],
        fixed: true,
      },
    ],
    remedy: 'Rinse, neutralise in bicarbonate and rinse again before the sulphide.',
    says: 'Acid that clings to the piece gives poisonous hydrogen sulphide with a sulphide.',
  },
  {
    id: 'sulphide-into-acid',
    shape: 'needs',
    share: 'thing',
    level: 'stop',
    clauses: [
      {
        asks: 'attached: no sulphide',
        of: 'pickle; patina-dip (agent=selenious|tellurium); patina-spray (agent!=ammonium-sulphide)',
        put: ['rinse', 'neutralise'],
        fixed: true,
      },
    ],
    remedy: 'Rinse, neutralise in bicarbonate and rinse again before the acid.',
    says: 'Sulphide that clings to the piece gives poisonous hydrogen sulphide in the pickle and in acid blacks.',
  },
]
