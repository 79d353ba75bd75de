import { formatPlain } from '../units/format'

/** What a heat is to come to: so hot, give or take, for so long, and never as hot as the metal begins to melt. */
export interface HeatGoal {
  readonly targetC: number
  readonly withinC: number
  readonly holdS: number
  /** The solidus of the metal. */
  readonly limitC: number
  readonly by: 'torch' | 'kiln'
}

/** How far a heat is by what the thermometer has shown. */
export interface HeatRun {
  /** Since it was begun. */
  readonly seconds: number
  /** Within the band so far; what was hotter counts, what was colder does not. */
  readonly heldS: number
  readonly lastC: number | null
  readonly mostC: number
  /** Readings one after another that showed nothing. */
  readonly silent: number
  /** What was shown when the rise was last looked at, and when. */
  readonly riseFrom: { readonly tempC: number; readonly atS: number } | null
  readonly isStill: boolean
}

export const HEAT_BEGUN: HeatRun = { seconds: 0, heldS: 0, lastC: null, mostC: 0, silent: 0, riseFrom: null, isStill: false }

/** So many empty readings in a row are no slip of a moment. */
const SILENT_READINGS = 4
/** Under the flame a temperature that rises by less than this in so long is not the metal's (house default). */
const LEAST_RISE_C = 8
const RISE_LOOK_S: Readonly<Record<HeatGoal['by'], number>> = { torch: 30, kiln: 600 }
/** The flame goes this far before the metal would begin to melt (house default). */
const NEAR_LIMIT_C = 30

/**
 * How far a thermocouple of type K may be off: 2.5 °C, or 0.75 % where that is more (IEC 60584-1, class 2; from memory, sure of it). In °C.
 */
export const thermocoupleErrorC = (tempC: number): number => Math.max(2.5, 0.0075 * Math.abs(tempC))

function riseOf(goal: HeatGoal, run: HeatRun, tempC: number, atS: number): Pick<HeatRun, 'riseFrom' | 'isStill'> {
  const from = run.riseFrom
  if (!from || tempC >= goal.targetC - goal.withinC) return { riseFrom: { tempC, atS }, isStill: false }
  if (atS - from.atS < RISE_LOOK_S[goal.by]) return { riseFrom: from, isStill: run.isStill }
  return { riseFrom: { tempC, atS }, isStill: tempC - from.tempC < LEAST_RISE_C }
}

/** A heat one reading further: `shownC` after `seconds`, or null where the thermometer showed nothing; what was not shown was not held. */
export function nextHeat(goal: HeatGoal, run: HeatRun, shownC: number | null, seconds: number): HeatRun {
  const atS = run.seconds + seconds
  if (shownC === null) return { ...run, seconds: atS, silent: run.silent + 1, lastC: run.silent + 1 >= SILENT_READINGS ? null : run.lastC }
  const isThere = shownC >= goal.targetC - goal.withinC
  return {
    seconds: atS,
    heldS: run.heldS + (isThere ? seconds : 0),
    lastC: shownC,
    mostC: Math.max(run.mostC, shownC),
    silent: 0,
    ...riseOf(goal, run, shownC, atS),
  }
}

export interface HeatSaying {
  /** Go on heating, hold it there, take the heat away, or look what is wrong. */
  readonly kind: 'heat' | 'hold' | 'away' | 'look'
  readonly says: string
}

/** A time of a heat as it is counted at the torch or at the kiln. */
export const counted = (seconds: number): string => (seconds < 180 ? `${formatPlain(seconds, 0)} s` : `${formatPlain(seconds / 60, 0)} min`)
const AWAY: Readonly<Record<HeatGoal['by'], string>> = { torch: 'Take the flame away', kiln: 'Switch the kiln off' }

/** What to do now, by what is shown: in words, and of what kind. */
export function heatSays(goal: HeatGoal, run: HeatRun): HeatSaying {
  const { lastC, silent, heldS } = run
  if (silent >= SILENT_READINGS)
    return {
      kind: 'look',
      says: `It shows nothing: a wire has come off, or the couple is broken. ${AWAY[goal.by]}, or go on by the colour alone.`,
    }
  if (lastC === null) return { kind: 'heat', says: 'No reading yet.' }
  if (lastC > goal.limitC - NEAR_LIMIT_C)
    return { kind: 'away', says: `${AWAY[goal.by]} now: this metal begins to melt at ${formatPlain(goal.limitC, 0)} °C.` }
  if (heldS >= goal.holdS) return { kind: 'away', says: `Held for ${counted(heldS)}. ${AWAY[goal.by]}.` }
  if (lastC > goal.targetC + goal.withinC)
    return {
      kind: 'away',
      says: `${formatPlain(lastC - goal.targetC, 0)} °C over what it is to be: the grain grows. Draw the heat back.`,
    }
  if (lastC >= goal.targetC - goal.withinC)
    return { kind: 'hold', says: `It is there: hold it, ${counted(heldS)} of ${counted(goal.holdS)}.` }
  if (run.isStill)
    return { kind: 'look', says: 'It hardly rises: does the couple touch the metal, and is the flame on the piece? Go by the colour too.' }
  return { kind: 'heat', says: `${formatPlain(goal.targetC - lastC, 0)} °C to go.` }
}

/** Whether the band is told apart at all: at its edge the thermometer’s own error decides. */
export function heatSureness({ targetC, withinC }: HeatGoal, shownC: number): string {
  const errorC = thermocoupleErrorC(shownC)
  const inside = withinC - Math.abs(shownC - targetC)
  return Math.abs(inside) <= errorC ? `at the edge of the band: the thermometer tells ± ${formatPlain(errorC, 1)} °C` : ''
}

/** What is kept of a heat. */
export function heatTold({ mostC, heldS }: HeatRun, goal: HeatGoal, title: string): string {
  const at = `${formatPlain(goal.targetC - goal.withinC, 0)} °C and above`
  return `${title}: at most ${formatPlain(mostC, 0)} °C, ${counted(heldS)} at ${at}, of ${counted(goal.holdS)} at ${formatPlain(goal.targetC, 0)} ± ${formatPlain(goal.withinC, 0)} °C`
}
