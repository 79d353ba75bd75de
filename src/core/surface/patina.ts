import type { Check } from '../forms/contract'
import type { AlloyId } from '../metals'
import { ALLOYS } from '../metals'
import { PATINA_METALS, PATINAS } from '../tables/baths/bath-data'
import {
  BATH_WORDS,
  type ColourStep,
  DIPPED,
  FUMED,
  GROWN,
  isSprayed,
  leavesWet,
  PATINA_TITLES,
  RELIEF_WORDS,
  runSteps,
  SPRAYED,
  USUAL_RUNS,
} from './run-words'
import type { PatinaAsked, PatinaId } from './schema'

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

function makeUp(agent: PatinaId): readonly ColourStep[] {
  return DIPPED.includes(agent) ? [{ step: 'make up the bath', say: BATH_WORDS }] : []
}

function runsOf({ agent, by, runs = USUAL_RUNS[agent] }: PatinaAsked): readonly ColourStep[] {
  const each = (steps: readonly ColourStep[]) =>
    Array.from({ length: runs }, (_, i) =>
      steps.map((one) => ({ ...one, step: runs > 1 ? `${one.step}, ${i + 1} of ${runs}` : one.step })),
    ).flat()
  const once = runSteps(agent, by)
  return agent === 'heat-colour' || FUMED.includes(agent) ? once : each(once)
}

function sealed(seal: PatinaAsked['seal']): readonly ColourStep[] {
  if (seal === 'none') return []
  return seal === 'wax'
    ? [{ step: 'wax', say: 'Thin, buffed when dull; again when it wears.' }]
    : [{ step: 'lacquer', say: 'Two thin coats, dust-free; it lasts until it is scratched.' }]
}

/** A colour run from clean metal to sealed, step by step. */
export function colourRun(asked: PatinaAsked): readonly ColourStep[] {
  const { agent, relief, reliefIsWet, seal } = asked
  const isWet = leavesWet(agent)
  const relieve: readonly ColourStep[] =
    relief === 'none'
      ? []
      : [{ step: `relieve${reliefIsWet && isWet ? ', wet' : ''}`, say: `High places only, with ${RELIEF_WORDS[relief]}.` }]
  return [
    { step: 'degrease', say: 'Pumice or soap, rinse; by the edges and in gloves from here on: fingerprints show.' },
    ...(isSprayed(asked) ? [] : makeUp(agent)),
    ...runsOf(asked),
    ...(DIPPED.includes(agent) || isSprayed(asked)
      ? [{ step: 'neutralise', say: 'Bicarbonate, about 30 to 50 g in a litre, then rinse: it stops the reaction.' }]
      : []),
    ...(isWet && reliefIsWet ? relieve : []),
    ...(isWet ? [{ step: 'dry', say: 'Warm air; out of every hollow and rivet.' }] : []),
    ...(isWet && reliefIsWet ? [] : relieve),
    ...sealed(seal),
  ]
}

/** Whether an agent colours a metal at all, and whether it is put on as it is asked. */
function takesChecks({ agent, by }: PatinaAsked, alloy: AlloyId): Check[] {
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
  if (by === 'spray' && !SPRAYED.includes(agent))
    checks.push({
      level: 'stop',
      code: 'not-sprayed',
      field: 'patina',
      source: 'bench-practice',
      message: `${name} is not put on in a fine mist: ${GROWN.includes(agent) ? 'it grows' : agent === 'heat-colour' ? 'heat alone makes it' : 'dip it'}, or choose ${SPRAYED.map((id) => PATINA_TITLES[id].toLowerCase()).join(', ')}.`,
    })
  return checks
}

/** What stands against a colour on this metal. */
export function patinaChecks(asked: PatinaAsked, alloy: AlloyId): Check[] {
  const { agent, worn, relief, seal, runs } = asked
  const checks = takesChecks(asked, alloy)
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
