import { ALLOYS, type AlloyId } from '../metals/alloys'

/** A part that is in a heat. */
export interface HeatedPart {
  readonly id: string
  readonly alloy: AlloyId
  readonly massG: number
  readonly thicknessMm: number
}

/** Which side of a heat the flame goes to. */
export interface FlameSides {
  /** Heat of the heavier side over that of the lighter; null where one side is not known. */
  readonly ratio: number | null
  /** The parts the flame goes to, from below, and those that only follow; none where it goes round about. */
  readonly heavy: readonly string[]
  readonly light: readonly string[]
  /** Those that slump before the others are hot. */
  readonly thin: readonly string[]
}

export interface HeatPlan extends FlameSides {
  /** Heat that each part takes for one degree, J/K. */
  readonly capacities: readonly { readonly part: string; readonly jPerK: number }[]
  /** What to heat, and from where. */
  readonly say: string
  readonly warnings: readonly string[]
  /** Seconds until the solder flows, and between which they lie as air and scale take more or less; null where the torch does not get it there. */
  readonly seconds: number | null
  readonly secondsFrom: number | null
  readonly secondsTo: number | null
}

/** Loss to still air, W/m²K, and emissivity from bright metal to scaled, the middle between; estimates, low. */
const AIR_LOSS = 20
const EMISSIVITY = { bright: 0.1, begun: 0.35, scaled: 0.6 } as const
/** How well the torch and how it is held are known. */
const TORCH_SHARE = 0.3
const STEFAN_BOLTZMANN = 5.670374419e-8
const ROOM_C = 20
const KELVIN = 273.15
/** What a small torch brings into the work, W. */
export const USUAL_TORCH_W = 150
const LONGEST_S = 1200
const STEP_S = 0.05

/** Heat a part takes for one degree, J/K: its mass times its specific heat. */
export function heatCapacityJPerK({ alloy, massG }: Pick<HeatedPart, 'alloy' | 'massG'>): number {
  return (massG / 1000) * ALLOYS[alloy].specificHeatJPerKgK
}

/** Both faces of a part of even thickness, m²; its edges are left out. */
function surfaceM2({ alloy, massG, thicknessMm }: HeatedPart): number {
  const volumeMm3 = (1000 * massG) / ALLOYS[alloy].densityGPerCm3
  return (2 * volumeMm3) / thicknessMm / 1e6
}

/** Seconds for all parts together to come to a temperature under a torch that brings in so many watts; null where it does not get there. */
export function secondsToHeat(
  parts: readonly HeatedPart[],
  tempC: number,
  torchW: number,
  surface: keyof typeof EMISSIVITY = 'begun',
): number | null {
  const jPerK = parts.reduce((sum, part) => sum + heatCapacityJPerK(part), 0)
  const areaM2 = parts.reduce((sum, part) => sum + surfaceM2(part), 0)
  const lossW = (atC: number) =>
    areaM2 * (AIR_LOSS * (atC - ROOM_C) + EMISSIVITY[surface] * STEFAN_BOLTZMANN * ((atC + KELVIN) ** 4 - (ROOM_C + KELVIN) ** 4))
  let atC = ROOM_C
  for (let s = 0; s < LONGEST_S; s += STEP_S) {
    if (atC >= tempC) return s
    const risen = ((torchW - lossW(atC)) / jPerK) * STEP_S
    if (risen < 1e-6) return null
    atC += risen
  }
  return null
}

/** Over so much more heat in one side, that side is heated and the other only follows. */
const UNEVEN = 1.5
const THIN_MM = 0.4

/** Where the flame goes in words, and what to keep it off; parts by what they are called. */
export function flameWords({ ratio, heavy, light, thin }: FlameSides, name: (part: string) => string): Pick<HeatPlan, 'say' | 'warnings'> {
  const names = (parts: readonly string[]) => parts.map((part) => `the ${name(part)}`).join(' and ')
  const say =
    ratio === null
      ? 'Heat the whole piece evenly, the flame always moving.'
      : heavy.length > 0
        ? `Heat ${names(heavy)}, from below where it can be reached, and round about; ${names(light)} last, and only to follow.`
        : 'Both sides take about the same heat: the flame round about, on neither alone.'
  return { say, warnings: thin.map((part) => `Keep the flame off the ${name(part)}: thin beside the rest, and the first to slump.`) }
}

/** Where the flame goes: on the side that takes more heat, or on both alike; what is thin or small beside it. */
export function planHeat(sides: readonly (readonly HeatedPart[])[], flowC: number, torchW = USUAL_TORCH_W): HeatPlan {
  const parts = sides.flat()
  const capacities = parts.map((part) => ({ part: part.id, jPerK: heatCapacityJPerK(part) }))
  const sums = sides.map((side) => side.reduce((sum, part) => sum + heatCapacityJPerK(part), 0))
  const [a = 0, b = 0] = sums
  const ratio = a > 0 && b > 0 ? Math.max(a, b) / Math.min(a, b) : null
  const isUneven = ratio !== null && ratio > UNEVEN
  const [heavy = [], light = []] = isUneven ? (a >= b ? sides : sides.toReversed()) : []
  const flame: FlameSides = {
    ratio,
    heavy: heavy.map(({ id }) => id),
    light: light.map(({ id }) => id),
    thin: light.filter(({ thicknessMm }) => thicknessMm <= THIN_MM).map(({ id }) => id),
  }
  const timed = (share: number, surface: keyof typeof EMISSIVITY) =>
    parts.length > 0 ? secondsToHeat(parts, flowC, torchW * share, surface) : null
  return {
    capacities,
    ...flame,
    ...flameWords(flame, (part) => part),
    seconds: timed(1, 'begun'),
    secondsFrom: timed(1 + TORCH_SHARE, 'bright'),
    secondsTo: timed(1 - TORCH_SHARE, 'scaled'),
  }
}
