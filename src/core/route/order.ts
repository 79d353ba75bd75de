import { findOperation } from '../operations/catalogue'
import type { RouteStep } from './temper'

export interface OrderFinding {
  readonly level: 'stop' | 'warn'
  readonly code: string
  /** Index of the step that comes too early. */
  readonly step: number
  readonly message: string
}

interface OrderRule {
  readonly code: string
  readonly level: 'stop' | 'warn'
  readonly message: string
  /** Indexes of the steps that come too early or too late. */
  readonly broken: (steps: readonly RouteStep[]) => readonly number[]
}

type Is = (step: RouteStep) => boolean

const isOp =
  (...ids: string[]): Is =>
  (step) =>
    ids.includes(step.op)
const isHeat: Is = (step) => findOperation(step.op)?.kind === 'heat'
const whatOf = (step: RouteStep) => String(step.params?.what ?? '')
/** A seam of the piece to itself, which has to be bent shut; an overlay or a fitting is soldered as it lies. */
const isSeam: Is = (step) => step.op === 'solder' && /joint|seam/.test(whatOf(step))
const isUnnamedSolder: Is = (step) => step.op === 'solder' && whatOf(step) === ''

const at = (steps: readonly RouteStep[], is: (step: RouteStep, i: number) => boolean) =>
  steps.flatMap((step, i) => (is(step, i) ? [i] : []))

/** No `first` may follow an `after`. */
const noneAfter = (first: Is, after: Is) => (steps: readonly RouteStep[]) =>
  at(steps, (step, i) => after(step) && steps.slice(i + 1).some(first))

/** A `first` that comes at all comes before the `after`. */
const onceBefore = (first: Is, after: Is) => (steps: readonly RouteStep[]) =>
  at(steps, (step, i) => after(step) && !steps.slice(0, i).some(first) && steps.slice(i + 1).some(first))

/** Every `after` needs a `first` since the last heat; once is enough until the next. */
const sinceLastHeat = (first: Is, after: Is) => (steps: readonly RouteStep[]) =>
  at(steps, (step, i) => {
    if (!after(step)) return false
    const lastHeat = steps.slice(0, i).findLastIndex(isHeat)
    const since = steps.slice(lastHeat + 1, i)
    return lastHeat >= 0 && !since.some(after) && !since.some(first)
  })

/** Rules of the order of work that these operations can break (common practice, no source). */
const RULES: readonly OrderRule[] = [
  {
    code: 'finish-after-heat',
    level: 'stop',
    // what is finished early, such as an inside that closes up, may be; but a heat is not the last of it
    broken: (steps) =>
      at(
        steps,
        (step, i) =>
          step.op === 'finish' && steps.slice(i + 1).some(isHeat) && !steps.slice(steps.findLastIndex(isHeat)).some(isOp('finish')),
      ),
    message: 'A torch after finishing spoils the finish: heat first, finish last.',
  },
  {
    code: 'solder-before-true-up',
    level: 'stop',
    // a ready tube is trued as it comes; what was bent open springs
    broken: (steps) => onceBefore(isOp('solder'), isOp('true-up'))(steps).filter((i) => steps.slice(0, i).some(isOp('bend'))),
    message: 'Solder first, then true up: an open joint springs and will not go round.',
  },
  {
    code: 'heat-before-rivet',
    level: 'stop',
    broken: noneAfter(isHeat, isOp('rivet')),
    message: 'Every torch step comes before the rivet: heat softens the headed wire, and it can be pulled out.',
  },
  {
    code: 'heat-before-stone',
    level: 'stop',
    broken: noneAfter(isHeat, isOp('set-stone')),
    message: 'Every torch step comes before the stone: stones, cement and plastics cannot take the heat.',
  },
  {
    code: 'pickle-before-stone',
    level: 'stop',
    broken: noneAfter(isOp('pickle'), isOp('set-stone')),
    message: 'No acid after the stone: it eats soft stones and cement, and stays under the setting. Pickle before it goes in.',
  },
  {
    code: 'pickle-before-rivet',
    level: 'warn',
    broken: noneAfter(isOp('pickle'), isOp('rivet')),
    message: 'Acid after riveting stays between the layers and comes out green: pickle and rinse before they are closed.',
  },
  {
    code: 'fit-before-stone',
    level: 'stop',
    broken: noneAfter(isOp('bend', 'saw', 'drill'), isOp('set-stone')),
    message: 'Bending, sawing and drilling are done before the stone goes in.',
  },
  {
    code: 'bend-before-solder',
    level: 'stop',
    broken: onceBefore(isOp('bend'), isSeam),
    message: 'The joint cannot be soldered before it is bent shut.',
  },
  {
    code: 'bend-before-solder',
    level: 'warn',
    broken: onceBefore(isOp('bend'), isUnnamedSolder),
    message: 'Is this the joint? It cannot be soldered before it is bent shut; say what is soldered where it is something else.',
  },
  {
    code: 'pickle-before-hammer',
    level: 'warn',
    broken: sinceLastHeat(isOp('pickle'), isOp('planish', 'dap', 'stamp', 'press-die', 'true-up')),
    message: 'Scale left from the last heat is driven into the surface: pickle before hammering.',
  },
]

/** What a route breaks in the order of work: stops can be overridden with a note, warnings are advice. */
export function checkOrder(steps: readonly RouteStep[]): OrderFinding[] {
  return RULES.flatMap(({ code, level, message, broken }) => broken(steps).map((step) => ({ level, code, step, message })))
}
