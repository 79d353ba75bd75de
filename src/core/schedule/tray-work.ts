import { findOperation } from '../operations'
import { USUAL_SPREAD, usualMinutes } from './job'
import { type OwnMinutes, ownMinutes } from './own-minutes'

/** A step of a tray that is under way, as the day needs it. */
export interface StepOfTray {
  readonly id: string
  readonly op: string
  readonly params: Readonly<Record<string, unknown>>
  /** The one piece it is for, where it is rework. */
  readonly only?: number | undefined
}

/** Where a tray stands: indices of the steps not over yet, pieces in it, the step in hand and how many are through it. */
export interface StandingOfTray {
  readonly left: readonly number[]
  readonly alive: readonly number[]
  readonly stepIndex: number
  readonly doneHere: number
  /** Of the step in hand, how many of its runs are made. */
  readonly runsMade?: number
}

/** A step that is still to be done, with the minutes it will take. */
export interface WorkLeft {
  readonly stepId: string
  readonly op: string
  readonly params: Readonly<Record<string, unknown>>
  readonly handsOnMin: number
  readonly waitMin: number
  readonly handsSpread: number
  /** How many own times are behind the minutes. */
  readonly own: number
  /** Of a long step that is taken in several goes, which of how many this is. */
  readonly go?: { readonly number: number; readonly of: number }
}

/** Hands do not stay at one thing longer than this without a break in it, minutes (house default). */
const ONE_GO_MIN = 60
/** No step scatters further: so much is a third to three times its minutes. */
const MOST_SPREAD = 2
/** More of one tray than this is beyond what a plan can say. */
const MOST_GOES = 400

/** What each operation took these hands for one go, minutes, newest first. */
export type TookMinutes = Readonly<Record<string, readonly number[]>>

/** What one go of a step takes: own times drawn toward the preset. */
function minutesOfGo(op: string, params: Readonly<Record<string, unknown>>, took: TookMinutes): OwnMinutes {
  return ownMinutes(usualMinutes(op, params, 1).hands, Object.hasOwn(took, op) ? (took[op] ?? []) : [])
}

function workOf(step: StepOfTray, pieces: number, took: TookMinutes): WorkLeft {
  const goes = findOperation(step.op)?.together ? 1 : pieces
  const own = minutesOfGo(step.op, step.params, took)
  const usual = usualMinutes(step.op, step.params, goes)
  const isOwn = own.count > 0
  return {
    stepId: step.id,
    op: step.op,
    params: step.params,
    handsOnMin: isOwn ? goes * own.minutes : usual.hands,
    waitMin: Math.min(10_000, usual.wait),
    // many goes even one another out, though not below half: a slow day is slow for all of them
    handsSpread: Math.max(0.5, 1 / Math.sqrt(Math.max(1, goes))) * (isOwn ? own.spread : USUAL_SPREAD),
    own: own.count,
  }
}

/** What is left to do on a tray, in the order of its route: pieces that are through the step in hand are done with it. */
export function workLeft(steps: readonly StepOfTray[], standing: StandingOfTray, took: TookMinutes): WorkLeft[] {
  const { left, alive, stepIndex, doneHere, runsMade = 0 } = standing
  const work = left.flatMap((index) => {
    const step = steps[index]
    if (!step) return []
    const all = step.only === undefined ? alive.length : 1
    const isInHand = index === stepIndex
    return inRuns(workOf(step, Math.max(1, all - (isInHand ? doneHere : 0)), took), isInHand ? runsMade : 0).flatMap(inGoes)
  })
  return work.slice(0, MOST_GOES)
}

/** What a tray that is not begun will take, all of it. */
export function workToBe(steps: readonly StepOfTray[], pieces: number, took: TookMinutes): WorkLeft[] {
  const alive = Array.from({ length: pieces }, (_, i) => i + 1)
  return workLeft(steps, { left: steps.map((_, i) => i), alive, stepIndex: -1, doneHere: 0 }, took)
}

/** A step that is done over with a rest after each time, time by time; those that are made are left out, the last is still to be looked at. */
function inRuns(work: WorkLeft, made: number): WorkLeft[] {
  const { count = 1, restS = 0 } = findOperation(work.op)?.runs?.(work.params) ?? {}
  if (count < 2) return [work]
  const { handsOnMin, handsSpread } = work
  return Array.from({ length: count }, (_, i) => ({
    ...work,
    handsOnMin: handsOnMin / count,
    waitMin: restS / 60,
    handsSpread: Math.min(MOST_SPREAD, handsSpread * Math.sqrt(count)),
    go: { number: i + 1, of: count },
  })).slice(Math.min(made, count - 1))
}

/** A long step in goes of an hour at most, so that breaks and other work find room between; it waits after the last of them. */
function inGoes(work: WorkLeft): WorkLeft[] {
  if (work.go) return [work]
  const of = Math.min(MOST_GOES, Math.ceil(work.handsOnMin / ONE_GO_MIN))
  if (of < 2) return [work]
  return Array.from({ length: of }, (_, i) => ({
    ...work,
    handsOnMin: Math.min(ONE_GO_MIN, work.handsOnMin / of),
    waitMin: i === of - 1 ? work.waitMin : 0,
    // goes err by themselves in a plan, but a slow step is slow in all of them: together they scatter as the whole does
    handsSpread: Math.min(MOST_SPREAD, work.handsSpread * Math.sqrt(of)),
    go: { number: i + 1, of },
  }))
}
