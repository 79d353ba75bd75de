import type { Check } from '../forms/contract'
import type { AlloyId } from '../metals'
import { ALLOYS } from '../metals'
import { PATINA_METALS, PATINAS } from '../tables/baths/bath-data'
import { PATINA_IDS, type PatinaAsked, type PatinaId, type Relief } from './schema'

/** A step of a colour run. */
export interface ColourStep {
  readonly step: string
  readonly say: string
}

/** What each agent is called, as the table of patinas has it. */
export const PATINA_TITLES = Object.fromEntries(
  PATINA_IDS.map((id) => [id, PATINAS.find((patina) => patina.id === id)?.name ?? id]),
) as Readonly<Record<PatinaId, string>>

/** Which column of the table of patinas a metal has. */
const COLUMN: Readonly<Record<AlloyId, keyof typeof PATINA_METALS>> = {
  'copper-c110': 'copper',
  'red-brass-c230': 'brass',
  'yellow-brass-c260': 'brass',
  'nickel-silver-c752': 'nickelSilver',
  'fine-silver': 'fineSilver',
  'sterling-925': 'sterling',
  'ge-sterling': 'sterling',
  'bronze-c220': 'bronze',
  'phosphor-bronze-c510': 'bronze',
  'gold-filled': 'gold14',
  'fine-gold': 'fineGold',
  'gold-14k': 'gold14',
  'aluminium-1100': 'aluminium',
  'aluminium-3003': 'aluminium',
  'mild-steel-1008': 'steel',
}

/** What an agent does on a metal: "yes", "partly, …", "no". */
export function patinaOn(agent: PatinaId, alloy: AlloyId): string {
  const at = Object.keys(PATINA_METALS).indexOf(COLUMN[alloy])
  return PATINAS.find(({ id }) => id === agent)?.works[at] ?? 'no'
}

/** Runs as they are usual: three dips, each brushed; three to six sprays, each dried (common practice). */
const USUAL_RUNS: Readonly<Record<PatinaId, number>> = {
  'sulphurated-potash': 3,
  'ammonium-sulphide': 3,
  selenious: 1,
  tellurium: 1,
  'ammonia-fume': 1,
  'ammonia-salt': 1,
  verdigris: 4,
  'heat-colour': 1,
}
const DIPPED: readonly PatinaId[] = ['sulphurated-potash', 'ammonium-sulphide']
const GROWN: readonly PatinaId[] = ['verdigris', 'ammonia-fume', 'ammonia-salt']

const RELIEF_WORDS: Readonly<Record<Relief, string>> = {
  pumice: 'pumice on a damp cloth',
  'steel-wool': 'steel wool 0000',
  pad: 'a fine non-woven pad',
  'brass-brush': 'a brass brush with soap',
  tumble: 'a short tumble in shot',
  none: '',
}

function makeUp(agent: PatinaId): readonly ColourStep[] {
  if (!DIPPED.includes(agent)) return []
  return [
    {
      step: 'make up the bath',
      say: 'A pea of it in 250 to 500 mL of warm water, 40 to 60 °C, never boiling; fresh: it spoils in hours to days. Weak and warm colours slowly and evenly.',
    },
  ]
}

function runsOf({ agent, runs = USUAL_RUNS[agent] }: PatinaAsked): readonly ColourStep[] {
  const each = (steps: readonly ColourStep[]) =>
    Array.from({ length: runs }, (_, i) =>
      steps.map((one) => ({ ...one, step: runs > 1 ? `${one.step}, ${i + 1} of ${runs}` : one.step })),
    ).flat()
  if (agent === 'heat-colour') return [{ step: 'warm it from below', say: 'Slowly, from the heavy end; stop a shade early, it runs on.' }]
  if (DIPPED.includes(agent))
    return each([
      { step: 'dip', say: '2 to 10 seconds, warm piece; look: gold-brown, purple, blue, then grey-black.' },
      { step: 'rinse cold', say: 'Stops it where it is.' },
      { step: 'brush both faces', say: 'Soft brass brush and soap: what is loose comes off now, not later.' },
    ])
  if (agent === 'verdigris')
    return each([
      { step: 'spray or dab', say: 'Thin; drops run into pale rings.' },
      { step: 'dry in the air', say: 'Hours to a day, damp and covered; look the next day.' },
    ])
  return GROWN.includes(agent)
    ? [{ step: 'hang in the fumes', say: 'Above the liquid, never in it, closed vessel, open air when it is opened; hours to days.' }]
    : each([
        { step: 'wipe on', say: 'One even coat, degreased metal, gloves and extraction.' },
        { step: 'rinse', say: 'Cold, until the water is clear.' },
      ])
}

/** A colour run from clean metal to sealed, step by step. */
export function colourRun(asked: PatinaAsked): readonly ColourStep[] {
  const { agent, relief, reliefIsWet, seal } = asked
  const isWet = agent !== 'heat-colour'
  const relieve: readonly ColourStep[] =
    relief === 'none'
      ? []
      : [{ step: `relieve${reliefIsWet && isWet ? ', wet' : ''}`, say: `High places only, with ${RELIEF_WORDS[relief]}.` }]
  return [
    { step: 'degrease', say: 'Pumice or soap, rinse; by the edges and in gloves from here on: fingerprints show.' },
    ...makeUp(agent),
    ...runsOf(asked),
    ...(DIPPED.includes(agent)
      ? [{ step: 'neutralise', say: 'Bicarbonate, about 30 to 50 g in a litre, then rinse: it stops the reaction.' }]
      : []),
    ...(isWet && reliefIsWet ? relieve : []),
    ...(isWet ? [{ step: 'dry', say: 'Warm air; out of every hollow and rivet.' }] : []),
    ...(isWet && reliefIsWet ? [] : relieve),
    ...(seal === 'none'
      ? []
      : [
          {
            step: seal === 'wax' ? 'wax' : 'lacquer',
            say:
              seal === 'wax'
                ? 'Thin, buffed when dull; again when it wears.'
                : 'Two thin coats, dust-free; it lasts until it is scratched.',
          },
        ]),
  ]
}

/** What a result looks like that is put back, and what it came from (common practice). */
export const REJECTS: readonly { readonly looks: string; readonly from: string }[] = [
  { looks: 'thick crust that flakes', from: 'too long, too strong or too hot: brush it off and begin again, weaker' },
  { looks: 'rainbow colours', from: 'too short: dip once more' },
  { looks: 'patches', from: 'grease or scale: degrease and begin again' },
  { looks: 'powder on the cloth', from: 'not brushed after the last dip' },
]

/** What stands against a colour on this metal. */
export function patinaChecks({ agent, worn, relief, seal, runs }: PatinaAsked, alloy: AlloyId): Check[] {
  const works = patinaOn(agent, alloy)
  const { title } = ALLOYS[alloy]
  const name = PATINA_TITLES[agent]
  const checks: Check[] = []
  if (/^(no|rusts|corrodes)/.test(works))
    checks.push({
      level: 'stop',
      code: 'no-colour',
      field: 'patina',
      source: 'bench-practice',
      message: `${name} ${works.startsWith('no') ? 'does nothing' : works} on ${title.toLowerCase()}: another agent, or another finish.`,
    })
  else if (works.startsWith('partly'))
    checks.push({
      level: 'warn',
      code: 'partly-colours',
      field: 'patina',
      source: 'bench-practice',
      message: `${name} takes only ${works} on ${title.toLowerCase()}: try it on an offcut.`,
    })
  if (GROWN.includes(agent) && worn)
    checks.push({
      level: 'stop',
      code: 'not-worn',
      field: 'patina',
      source: 'chemistry',
      message: 'Verdigris is soluble copper salt: not on skin, nor for food. Choose a dip, or wear it on the outside of something.',
    })
  if (GROWN.includes(agent) && seal === 'none')
    checks.push({
      level: 'warn',
      code: 'goes-on-growing',
      field: 'patina',
      source: 'chemistry',
      message: 'Unsealed it goes on growing and comes off green: rinse, dry and seal it.',
    })
  if (agent === 'verdigris' && runs !== undefined && (runs < 3 || runs > 6))
    checks.push({
      level: 'note',
      code: 'unusual-runs',
      field: 'patina',
      source: 'bench-practice',
      message: 'Three to six sprays with dryings between are usual.',
    })
  if (relief === 'steel-wool')
    checks.push({
      level: 'note',
      code: 'wool-leaves-iron',
      field: 'patina',
      source: 'bench-practice',
      message: 'Steel wool leaves iron: rinse it off, and never into the pickle.',
    })
  checks.push({
    level: 'note',
    code: 'colour-safety',
    source: 'bench-practice',
    message:
      'Ventilation, gloves, eye protection; keep bath and bottle labelled, away from food and children. Follow the product’s safety sheet and local rules, also for disposal.',
  })
  return checks
}

/** Agents of the bench that a colour brings with it. */
export const AGENT_OF: Readonly<
  Partial<Record<PatinaId, 'sulphurated-potash' | 'ammonium-sulphide' | 'selenious-black' | 'tellurium-black' | 'ammonia'>>
> = {
  'sulphurated-potash': 'sulphurated-potash',
  'ammonium-sulphide': 'ammonium-sulphide',
  selenious: 'selenious-black',
  tellurium: 'tellurium-black',
  'ammonia-fume': 'ammonia',
  'ammonia-salt': 'ammonia',
}
