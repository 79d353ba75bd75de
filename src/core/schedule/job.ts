import { findOperation } from '../operations'
import { minutesOf } from '../rules'
import type { ScheduleInput, Shared } from './schema'
import { SHARED } from './schema'

/** A step of a tray as the day sees it: so long the hands are on it, so long it looks after itself, and what it holds meanwhile. */
export interface Task {
  readonly tray: number
  readonly step: number
  readonly handsMin: number
  readonly waitMin: number
  readonly resource: Shared | undefined
  /** How far the hands’ minutes scatter: standard deviation of their logarithm. */
  readonly handsSpread: number
}

/** Minutes of hands that were never measured scatter so far about their preset (house default, low). */
export const USUAL_SPREAD = 0.35

/** A day’s work in minutes from its start. */
export interface Day {
  /** The steps of each tray, in their order. */
  readonly chains: readonly (readonly Task[])[]
  readonly readyMin: readonly number[]
  readonly dueMin: readonly (number | undefined)[]
  readonly capacity: Readonly<Record<Shared, number>>
  /** When a pot is not hot yet, in order: nothing is begun in it then. */
  readonly cold: Readonly<Partial<Record<Shared, readonly (readonly [fromMin: number, toMin: number])[]>>>
  /** When the hands are off, in order and apart. */
  readonly rests: readonly (readonly [fromMin: number, toMin: number])[]
}

const isShared = (resource: string): resource is Shared => (SHARED as readonly string[]).includes(resource)
const MS = 60_000

/** Rests in order, those that meet made one. */
function mergedRests(rests: readonly (readonly [number, number])[]): [number, number][] {
  const merged: [number, number][] = []
  for (const [from, to] of [...rests].sort((a, b) => a[0] - b[0])) {
    const last = merged.at(-1)
    if (last && from <= last[1]) last[1] = Math.max(last[1], to)
    else merged.push([from, to])
  }
  return merged
}

/** A rest that is longer lets a pot go cold, minutes: it is switched off (house default). */
const GOES_COLD_MIN = 240

/** When the pots are switched on: after each long rest, and at the start where nothing is known of the time before it. */
function litAt(rests: readonly (readonly [number, number])[]): number[] {
  const after = rests.filter(([from, to]) => to - from > GOES_COLD_MIN).map(([, to]) => to)
  return rests.some(([from]) => from <= 0) ? after : [0, ...after]
}

/** Minutes of a step with what it always includes, as the route tells them; hands for each piece where they do not go together. */
export function usualMinutes(op: string, params: Readonly<Record<string, unknown>>, size: number) {
  const included = (findOperation(op)?.includes ?? []).filter(({ when }) => when.length === 0)
  return included.reduce(
    (sum, one) => {
      const operation = findOperation(one.op === '*' ? op : one.op)
      if (!operation) return sum
      const { handsOn, waiting } = minutesOf({ op: operation, params: one.op === '*' ? params : one.params })
      return { hands: sum.hands + (operation.together ? 1 : size) * handsOn, wait: sum.wait + waiting }
    },
    { hands: 0, wait: 0 },
  )
}

/** The day of an input: own minutes where they are known, else those of the operation, each piece by itself where they do not go together. */
export function dayOf({ trays, startsAt, resources, warmUps, breaks }: ScheduleInput): Day {
  const start = Date.parse(startsAt)
  const minute = (at: string) => (Date.parse(at) - start) / MS
  const rests = mergedRests(breaks.map(({ from, to }) => [minute(from), minute(to)] as const))
  const lit = litAt(rests)
  return {
    chains: trays.map(({ steps, size }, tray) =>
      steps.map(({ op, params, handsOnMin, waitMin, handsSpread = USUAL_SPREAD }, step): Task => {
        const resource = findOperation(op)?.resource ?? 'bench'
        const own = usualMinutes(op, params, size)
        return {
          tray,
          step,
          handsMin: handsOnMin ?? own.hands,
          waitMin: waitMin ?? own.wait,
          resource: isShared(resource) ? resource : undefined,
          handsSpread,
        }
      }),
    ),
    readyMin: trays.map(({ notBefore }) => (notBefore === undefined ? 0 : Math.max(0, minute(notBefore)))),
    dueMin: trays.map(({ dueAt }) => (dueAt === undefined ? undefined : minute(dueAt))),
    capacity: Object.fromEntries(SHARED.map((one) => [one, resources[one] ?? 1])) as Record<Shared, number>,
    cold: Object.fromEntries(SHARED.flatMap((one) => (warmUps[one] ? [[one, lit.map((at) => [at, at + (warmUps[one] ?? 0)])]] : []))),
    rests: rests.filter(([, to]) => to > 0),
  }
}
