import { FORMS } from '../forms/registry'
import { KITS } from '../kits/registry'
import { SOLDER_IDS, SOLDERS } from '../metals/solders'
import { seededRandom } from '../numerics/random'
import { designFromKit } from '../piece/from-kit'
import { planPiece } from '../piece/plan-piece'
import { parseSize } from '../sizes/parse-size'
import { numberDrillMm } from '../tables/drills/drills'
import { formatPlain } from '../units/format'
import { orderQuestion, sizeQuestion, solderQuestion } from './from-plan'
import type { Question, QuestionKind } from './question'

/** What the trainer asks of itself; the others come from a piece. */
export const TRAINED = ['size', 'order', 'solder', 'gauge', 'drill'] as const satisfies readonly QuestionKind[]
export type Trained = (typeof TRAINED)[number]

type Random = () => number
const pick = <T>(from: readonly T[], random: Random): T => from[Math.floor(random() * from.length)] as T

/** Flows at least so far apart are told apart at the torch, °C. */
const APART_C = 20

function aboutForm(form: (typeof FORMS)[number], input: Readonly<Record<string, unknown>>): string {
  const words = form.fields.flatMap(({ name, label, kind }) => {
    const value = input[name]
    return kind === 'number' && (typeof value === 'number' || typeof value === 'string')
      ? [`${label.toLowerCase()} ${value}${typeof value === 'number' && name.endsWith('Mm') ? ' mm' : ''}`]
      : []
  })
  return `${form.title}: ${words.join(', ')}.`
}

/** A form’s example with its lengths a little otherwise; as it is where that cannot be made. */
function sizeExercise(id: string, random: Random): Question {
  for (let tries = 0; tries < 20; tries++) {
    const form = pick(FORMS, random)
    const input = Object.fromEntries(
      Object.entries(form.example as Readonly<Record<string, unknown>>).map(([name, value]) => [
        name,
        typeof value === 'number' && name.endsWith('Mm') && value > 2 ? Number((value * (0.85 + 0.3 * random())).toFixed(1)) : value,
      ]),
    )
    const run = form.run(input)
    if (run.ok && !run.result.checks.some(({ level }) => level === 'stop')) return sizeQuestion(id, aboutForm(form, input), run.result)
  }
  throw new RangeError('no form of twenty could be asked about')
}

function orderExercise(id: string, random: Random): Question {
  for (let tries = 0; tries < KITS.length; tries++) {
    const kit = pick(KITS, random)
    const { assembly } = planPiece(designFromKit(kit), {})
    const question = orderQuestion(id, assembly, Math.floor(random() * assembly.steps.length))
    if (question) return { ...question, prompt: `${kit.title}. ${question.prompt}` }
  }
  throw new RangeError('no kit could be asked about')
}

function solderExercise(id: string, random: Random): Question {
  const pairs = SOLDER_IDS.flatMap((a) =>
    SOLDER_IDS.flatMap((b) =>
      SOLDERS[a].family === SOLDERS[b].family && SOLDERS[a].liquidusC - SOLDERS[b].liquidusC >= APART_C ? [[a, b] as const] : [],
    ),
  )
  const [hard, easy] = pick(pairs, random)
  return solderQuestion(id, 'Two joints of one piece are soldered one after the other.', hard, easy)
}

function gaugeExercise(id: string, random: Random): Question {
  const gauge = 10 + Math.floor(random() * 19)
  const size = parseSize(`${gauge} ga`, { gaugeSystem: 'B&S' })
  const mm = 'mm' in size ? size.mm : Number.NaN
  const next = parseSize(`${gauge + 1} ga`, { gaugeSystem: 'B&S' })
  return {
    id,
    kind: 'gauge',
    prompt: `How thick is ${gauge} gauge B&S?`,
    answer: mm,
    unit: 'mm',
    tolerance: 0.04,
    traps: 'mm' in next ? [{ answer: next.mm, words: `That is ${gauge + 1} gauge: the larger number is the thinner metal.` }] : [],
    working: [],
    why: `${formatPlain(mm, 3)} mm. Each gauge is 0.8905 of the one before it.`,
  }
}

function drillExercise(id: string, random: Random): Question {
  const number = 1 + Math.floor(random() * 80)
  const mm = numberDrillMm(number) ?? Number.NaN
  return {
    id,
    kind: 'drill',
    prompt: `How large is a number ${number} drill?`,
    answer: mm,
    unit: 'mm',
    tolerance: 0.05,
    traps: [],
    working: [],
    why: `${formatPlain(mm, 3)} mm, by the table of number drills.`,
  }
}

const EXERCISES: Readonly<Record<Trained, (id: string, random: Random) => Question>> = {
  size: sizeExercise,
  order: orderExercise,
  solder: solderExercise,
  gauge: gaugeExercise,
  drill: drillExercise,
}

/** An exercise of a kind, generated from the forms, rules and tables; the same kind and seed ask the same. */
export function exercise(kind: Trained, seed: number): Question {
  return EXERCISES[kind](`${kind}-${seed}`, seededRandom(seed))
}

/** A prediction that was made: of what kind, and whether it was right. */
export interface Tried {
  readonly kind: string
  readonly isRight: boolean
}

/** So many of the newest tries tell how sure somebody is. */
const REMEMBERED = 6

/** How much a kind is due: what was never tried or missed lately more than what went well; what went well comes back now and then. */
export function dueOf(kind: Trained, newestFirst: readonly Tried[]): number {
  const since = newestFirst.findIndex((tried) => tried.kind === kind)
  if (since < 0) return 4
  const recent = newestFirst.filter((tried) => tried.kind === kind).slice(0, REMEMBERED)
  const missed =
    recent.reduce((sum, { isRight }, i) => sum + (isRight ? 0 : 1 / (1 + i)), 0) / recent.reduce((sum, _, i) => sum + 1 / (1 + i), 0)
  return (0.3 + 3 * missed) * Math.min(1, (since + 1) / 2)
}

/** The kind that is asked next: drawn by how much each is due. */
export function nextKind(newestFirst: readonly Tried[], seed: number): Trained {
  const random = seededRandom(seed)
  const dues = TRAINED.map((kind) => dueOf(kind, newestFirst))
  let at = random() * dues.reduce((sum, due) => sum + due, 0)
  for (const [i, due] of dues.entries()) {
    at -= due
    if (at <= 0) return TRAINED[i] as Trained
  }
  return TRAINED[0]
}
