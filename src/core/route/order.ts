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
  /** Must be done before `after`, whenever both are on the route. */
  readonly first: (step: RouteStep) => boolean
  readonly after: (step: RouteStep) => boolean
  /**
   * `last-heat`: every `after` needs a `first` since the last heat. `any`: no `first` may follow an `after`.
   * `once`: one `first` before the `after` is enough; more of them may follow.
   */
  readonly reach: 'last-heat' | 'any' | 'once'
  readonly message: string
}

const isOp =
  (...ids: string[]) =>
  (step: RouteStep) =>
    ids.includes(step.op)
const isHeat = (step: RouteStep) => findOperation(step.op)?.kind === 'heat'

/** Rules of the order of work that these operations can break (common practice, no source). */
const RULES: readonly OrderRule[] = [
  {
    code: 'finish-after-heat',
    level: 'stop',
    first: isHeat,
    after: isOp('finish'),
    reach: 'any',
    message: 'A torch after finishing spoils the finish: heat first, finish last.',
  },
  {
    code: 'solder-before-true-up',
    level: 'stop',
    first: isOp('solder'),
    after: isOp('true-up'),
    reach: 'once',
    message: 'Solder first, then true up: an open joint springs and will not go round.',
  },
  {
    code: 'heat-before-rivet',
    level: 'stop',
    first: isHeat,
    after: isOp('rivet'),
    reach: 'any',
    message: 'Every torch step comes before the rivet: heat softens the headed wire, and it can be pulled out.',
  },
  {
    code: 'heat-before-stone',
    level: 'stop',
    first: isHeat,
    after: isOp('set-stone'),
    reach: 'any',
    message: 'Every torch step comes before the stone: stones, cement and plastics do not stand the fire.',
  },
  {
    code: 'fit-before-stone',
    level: 'stop',
    first: isOp('bend', 'file', 'saw', 'drill'),
    after: isOp('set-stone'),
    reach: 'any',
    message: 'Bending, sawing and filing are done before the stone goes in.',
  },
  {
    code: 'bend-before-solder',
    level: 'stop',
    first: isOp('bend'),
    after: isOp('solder'),
    reach: 'once',
    message: 'The joint cannot be soldered before it is bent shut.',
  },
  {
    code: 'pickle-before-hammer',
    level: 'warn',
    first: isOp('pickle'),
    after: isOp('planish', 'dap', 'stamp', 'true-up'),
    reach: 'last-heat',
    message: 'Scale left from the last heat is driven into the surface: pickle before hammering.',
  },
]

function findBroken(rule: OrderRule, steps: readonly RouteStep[]): OrderFinding[] {
  return steps.flatMap((step, i) => {
    if (!rule.after(step)) return []
    if (rule.reach === 'once' && steps.slice(0, i).some(rule.first)) return []
    if (rule.reach !== 'last-heat')
      return steps.slice(i + 1).some(rule.first) ? [{ level: rule.level, code: rule.code, step: i, message: rule.message }] : []
    const lastHeat = steps.slice(0, i).findLastIndex(isHeat)
    const since = steps.slice(lastHeat + 1, i)
    const alreadyHammered = since.some(rule.after)
    return lastHeat >= 0 && !alreadyHammered && !since.some(rule.first)
      ? [{ level: rule.level, code: rule.code, step: i, message: rule.message }]
      : []
  })
}

/** What a route breaks in the order of work: stops can be overridden with a note, warnings are advice. */
export function checkOrder(steps: readonly RouteStep[]): OrderFinding[] {
  return RULES.flatMap((rule) => findBroken(rule, steps))
}
