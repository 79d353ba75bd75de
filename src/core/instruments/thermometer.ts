import { drawNormal } from '../numerics/random'
import type { HeatGoal } from './heat-run'

/** What can be made to go wrong on a practice thermometer. */
export const THERMOMETER_FAULTS = ['broken', 'off the metal', 'low'] as const
export type ThermometerFault = (typeof THERMOMETER_FAULTS)[number]

export interface ThermometerModel {
  /** How hot the metal under the couple really is. */
  readonly trueC: number
  readonly fault?: ThermometerFault | undefined
}

const ROOM_C = 20
const NOISE_C = 1.5
/** Now and then a reading is missing (house model, low). */
const DROPOUT_SHARE = 0.03
/** A couple that hangs beside the metal feels so much of its heat; an old one reads so much too little at red heat (house model, low). */
const BESIDE_RATIO = 0.45
const AGED_RATIO = 0.95

/** What a stand-in thermometer shows, whole °C, or null where it shows nothing (house model, low). */
export function readThermometer({ trueC, fault }: ThermometerModel, random: () => number): number | null {
  if (fault === 'broken' || random() < DROPOUT_SHARE) return null
  const ratio = fault === 'off the metal' ? BESIDE_RATIO : fault === 'low' ? AGED_RATIO : 1
  return Math.round(ROOM_C + (trueC - ROOM_C) * ratio + NOISE_C * drawNormal(random))
}

/** How quickly a small piece follows its heat: seconds to two thirds of the way (house model, low). */
const FOLLOWS_S: Readonly<Record<HeatGoal['by'], { readonly on: number; readonly off: number }>> = {
  torch: { on: 45, off: 70 },
  kiln: { on: 240, off: 1800 },
}
/** A flame would bring a small piece this much hotter than it is to be; a kiln holds what it is set to. */
const FLAME_RATIO = 1.4

/** How hot a practice piece is so many seconds further, the heat on it or taken away. */
export function warmed(atC: number, { targetC, by }: Pick<HeatGoal, 'targetC' | 'by'>, isOn: boolean, seconds: number): number {
  const towards = isOn ? (by === 'torch' ? ROOM_C + (targetC - ROOM_C) * FLAME_RATIO : targetC) : ROOM_C
  return towards + (atC - towards) * Math.exp(-seconds / FOLLOWS_S[by][isOn ? 'on' : 'off'])
}

/** Cold, before the heat is on. */
export const PRACTICE_BEGINS_C = ROOM_C
