import type { Rule } from '../row'

/** Solder against the metal of the heat: checks of a heat, beside the rules of order. */
export const MELTING_CHECKS: readonly Rule[] = [
  {
    id: 'solder-over-liquidus',
    shape: 'melts',
    share: 'attached',
    level: 'stop',
    under: ['solder-over-solidus'],
    clauses: [{ at: 'liquidus', of: 'solder, melt-solder-on', fixed: true }],
    remedy: 'A solder that flows lower, or a cold joint.',
    says: 'The metal is liquid before the solder flows.',
  },
  {
    id: 'solder-over-solidus',
    shape: 'melts',
    share: 'attached',
    level: 'stop',
    clauses: [{ at: 'solidus', of: 'solder, melt-solder-on' }],
    remedy: 'A solder that flows lower.',
    says: 'The metal begins to melt before the solder flows.',
  },
]
