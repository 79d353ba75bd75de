import { PATINAS } from '../tables/baths/bath-data'
import { PATINA_IDS, type PatinaAsked, type PatinaId, type Relief } from './schema'

/** A step of a colour run. */
export interface ColourStep {
  readonly step: string
  readonly say: string
}

/** Runs as they are usual: three dips, each brushed; three to six sprays, each dried (common practice). */
export const USUAL_RUNS: Readonly<Record<PatinaId, number>> = {
  'sulphurated-potash': 3,
  'ammonium-sulphide': 3,
  selenious: 1,
  tellurium: 1,
  'ammonia-fume': 1,
  'ammonia-salt': 1,
  verdigris: 4,
  'heat-colour': 1,
}

/** How long a run of what grows is left before it is looked at again, s: a spray dries over a working day, fumes stand overnight (common practice, low). */
export const REST_S = { verdigris: 8 * 3600, 'ammonia-fume': 12 * 3600, 'ammonia-salt': 12 * 3600 } as const

/** Agents that are dipped in, that may be sprayed, and that grow over days: in fumes, or by spraying. */
export const DIPPED: readonly PatinaId[] = ['sulphurated-potash', 'ammonium-sulphide']
export const SPRAYED: readonly PatinaId[] = ['selenious', 'tellurium', 'ammonium-sulphide']
export const FUMED: readonly PatinaId[] = ['ammonia-fume', 'ammonia-salt']
export const GROWN: readonly PatinaId[] = ['verdigris', ...FUMED]

/** Whether a piece comes out of a run wet: what grows over days and what is coloured by heat is dry. */
export const leavesWet = (agent: PatinaId) => agent !== 'heat-colour' && !GROWN.includes(agent)

export const RELIEF_WORDS = {
  pumice: 'pumice on a damp cloth',
  'steel-wool': 'steel wool 0000',
  pad: 'a fine non-woven pad',
  'brass-brush': 'a brass brush with soap',
  tumble: 'a short tumble in shot',
  none: '',
} as const satisfies Readonly<Record<Relief, string>>

/** How a sulphide bath is made up, and how long it lasts (common practice). */
export const BATH_WORDS =
  'A pea of it in 250 to 500 mL of warm water, 40 to 60 °C, never boiling; fresh: it spoils in hours to days. Weak and warm colours slowly and evenly.'

/** What the colour goes through, from which it is told how far it is (common practice; a thick film turns black). */
export const SULPHIDE_COLOURS = 'gold-brown, purple, blue, then grey-black'

/** What a result looks like that is put back, and what it came from (common practice). */
export const REJECTS: readonly { readonly looks: string; readonly from: string }[] = [
  { looks: 'thick crust that flakes', from: 'too long, too strong or too hot: brush it off and begin again, weaker' },
  { looks: 'rainbow colours', from: 'too short: dip once more' },
  { looks: 'patches', from: 'grease or scale: degrease and begin again' },
  { looks: 'powder on the cloth', from: 'not brushed after the last dip' },
]

/** How a colour is put on. */
export const PUT_ON_WORDS = { dip: 'dipped in it', spray: 'sprayed in a fine mist' } as const

/** Whether a colour is sprayed on in a fine mist. */
export const isSprayed = ({ agent, by }: Pick<PatinaAsked, 'agent' | 'by'>) => by === 'spray' && SPRAYED.includes(agent)

/** How one run of an agent is done: a dip, a spray and its drying, a wipe, or a stay in the fumes. */
export function runSteps(agent: PatinaId, by: PatinaAsked['by'] = 'dip'): readonly ColourStep[] {
  if (isSprayed({ agent, by }))
    return [
      { step: 'spray', say: 'A fine mist from a forearm off, all sides; mask and moving air.' },
      { step: 'dry in warm air', say: 'Then look: once more until it is even.' },
    ]
  if (agent === 'heat-colour') return [{ step: 'warm it from below', say: 'Slowly, from the heavy end; stop a shade early, it runs on.' }]
  if (DIPPED.includes(agent))
    return [
      { step: 'dip', say: `2 to 10 seconds, warm piece; look: ${SULPHIDE_COLOURS}.` },
      { step: 'rinse cold', say: 'Stops it where it is.' },
      { step: 'brush both faces', say: 'Soft brass brush and soap: what is loose comes off now, not later.' },
    ]
  if (FUMED.includes(agent))
    return [
      {
        step: 'hang in the fumes',
        say: 'Above the liquid, never in it, closed vessel, open air when it is opened; hours to days.',
      },
    ]
  if (agent === 'verdigris')
    return [
      { step: 'spray or dab', say: 'Thin; drops run into pale rings.' },
      { step: 'dry in the air', say: 'Hours to a day, damp and covered; look the next day.' },
    ]
  return [
    { step: 'wipe on', say: 'One even coat, degreased metal, gloves and extraction.' },
    { step: 'rinse', say: 'Cold, until the water is clear.' },
  ]
}

/** What each agent is called, as the table of patinas has it. */
export const PATINA_TITLES = Object.fromEntries(
  PATINA_IDS.map((id) => [id, PATINAS.find((patina) => patina.id === id)?.name ?? id]),
) as Readonly<Record<PatinaId, string>>
