/** What an etch with the current on is to come to. */
export interface EtchGoal {
  readonly currentA: number
  /** Minutes at that current. */
  readonly minutes: number
  readonly depthMm: number
}

/** Why a current was switched off. */
export type EtchStop = 'depth' | 'short' | 'contact' | 'by hand'

/** How far an etch is by the charge that has gone through. */
export interface EtchState {
  readonly seconds: number
  readonly coulombs: number
  readonly depthMm: number
  /** Readings one after another that were far over or far under what was set. */
  readonly over: number
  readonly under: number
  /** Whether the current has wandered off from what was set: the charge still counts right. */
  readonly isDrifting: boolean
  readonly stopped?: EtchStop
}

export const ETCH_BEGUN: EtchState = { seconds: 0, coulombs: 0, depthMm: 0, over: 0, under: 0, isDrifting: false }

/** Current over and under what was set that is no etch any more, and how many readings of it switch off (house default). */
const OVER_RATIO = 1.5
const UNDER_RATIO = 0.3
const READINGS_TO_STOP = 3
const DRIFT_RATIO = 0.15

/**
 * An etch one reading further: depth grows with the charge, whatever the current does; it stops at its depth, at a short and at a lost contact.
 * `amps` flowed for `seconds` since the reading before. A stopped etch stays as it is.
 */
export function nextEtch(goal: EtchGoal, state: EtchState, amps: number, seconds: number): EtchState {
  if (state.stopped) return state
  const coulombs = state.coulombs + amps * seconds
  const depthMm = (goal.depthMm * coulombs) / (goal.currentA * goal.minutes * 60)
  const over = amps > OVER_RATIO * goal.currentA ? state.over + 1 : 0
  const under = amps < UNDER_RATIO * goal.currentA ? state.under + 1 : 0
  const isDrifting = over === 0 && under === 0 && Math.abs(amps / goal.currentA - 1) > DRIFT_RATIO
  const stopped = over >= READINGS_TO_STOP ? 'short' : under >= READINGS_TO_STOP ? 'contact' : depthMm >= goal.depthMm ? 'depth' : undefined
  // what flows through a short goes past the work
  const own = over > 0 ? { coulombs: state.coulombs, depthMm: state.depthMm } : { coulombs, depthMm }
  return { seconds: state.seconds + seconds, ...own, over, under, isDrifting, ...(stopped ? { stopped } : {}) }
}

/** Why it stopped, and what to do. */
export const STOP_WORDS: Readonly<Record<EtchStop, string>> = {
  depth: 'it is as deep as planned: current off. Rinse it, and look before the resist comes off.',
  short: 'the current jumped: a short. Switched off. Look whether the plates touch, hang it clear, and go on.',
  contact: 'the current is gone: a contact is lost. Switched off. Clean the clip and the wire, and go on.',
  'by hand': 'switched off by hand.',
}
