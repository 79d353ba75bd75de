import type { Alloy, AlloyId } from '../metals/alloys'
import { flowStressMPa, strainOfStress } from '../metals/flow'
import { KELVIN_AT_ZERO_C } from '../units/convert'

const GAS_CONSTANT_KJ = 0.00831446
/** Strain below which nothing recrystallises, and above which everything can. */
const LEAST_STRAIN = 0.02
const FULL_STRAIN = 0.05
/** Silver alloys whose grain stands still below 745 °C. */
const PINNED: ReadonlySet<AlloyId> = new Set(['sterling-925', 'fine-silver', 'ge-sterling'])
/** Grain growth of yellow brass, mm³/s and kJ/mol; used for all copper alloys (±50 °C) and for silver above 745 °C. */
const GROWTH_K0 = 46.9
const GROWTH_KJ = 155

export interface AnnealInput {
  readonly strain: number
  readonly tempC: number
  readonly timeS: number
  readonly grainMm: number
}

export interface AnnealResult {
  /** Share of the metal recrystallised, 0 to 1. */
  readonly softenedFraction: number
  readonly strain: number
  readonly grainMm: number
  readonly coarse: boolean
}

function smoothstep(low: number, high: number, x: number): number {
  const t = Math.min(1, Math.max(0, (x - low) / (high - low)))
  return t * t * (3 - 2 * t)
}

/** Lightly worked metal softens no slower than metal of this strain (house rule): so an anneal leaves all of it soft. */
const LEAST_DRIVING_STRAIN = 0.3
/** Softened by so much it is called annealed. */
const SOFT_FRACTION = 0.95
/** Grain of stock nobody has measured: sheet as sold for deep drawing and polishing. */
export const STOCK_GRAIN_MM = 0.025
/** Strain left under which metal is annealed. */
export const SOFT_STRAIN = 0.07
/** The shortest and the longest time a torch or a kiln is held, s. */
const LEAST_ANNEAL_S = 20
const MOST_ANNEAL_S = 36_000

/** An observer's error in judging a heat by its colour, °C: 10 to 90 % of it (estimate, low). */
export const COLOUR_ERROR_C = 40

/** Grain that shows as orange peel when it is formed, mm: slightly, and markedly (sheet standards, medium). */
const [SLIGHT_PEEL_MM, MARKED_PEEL_MM] = [0.05, 0.07]

/** Whether a grain shows on the surface once the metal is formed. */
export function orangePeel(grainMm: number): 'none' | 'slight' | 'marked' {
  if (grainMm < SLIGHT_PEEL_MM) return 'none'
  return grainMm < MARKED_PEEL_MM ? 'slight' : 'marked'
}

/** Seconds at a temperature that leave the metal soft whatever work it has had (95 % of it); 20 s at least, ten hours at most. */
export function recommendedAnnealS(alloy: Alloy, tempC: number): number {
  const halves = (Math.log(1 / (1 - SOFT_FRACTION)) / Math.LN2) ** (1 / 1.5)
  return Math.min(MOST_ANNEAL_S, Math.max(LEAST_ANNEAL_S, Math.ceil(halves * halfSofteningS(alloy, tempC, LEAST_DRIVING_STRAIN))))
}

/** Seconds to half softening at a temperature, for metal of a given strain (source: anneal-model). */
export function halfSofteningS(alloy: Alloy, tempC: number, strain: number): number {
  const heat = alloy.softeningKJPerMol / GAS_CONSTANT_KJ
  const arrhenius = 1 / (tempC + KELVIN_AT_ZERO_C) - 1 / (alloy.halfSofteningC + KELVIN_AT_ZERO_C)
  return 3600 * (strain / 0.8) ** -2 * Math.exp(heat * arrhenius)
}

function grownGrain(alloy: Alloy, startMm: number, input: AnnealInput): number {
  const pinned = PINNED.has(alloy.id) && input.tempC < 745
  if (pinned) return startMm
  const kelvin = input.tempC + KELVIN_AT_ZERO_C
  return Math.cbrt(startMm ** 3 + GROWTH_K0 * input.timeS * Math.exp(-GROWTH_KJ / (GAS_CONSTANT_KJ * kelvin)))
}

/**
 * Softening of one region held at a temperature for a time (source: anneal-model, low: half-softening ±50 °C).
 * Half-recrystallised copper from strain 0.8 is left with 0.134.
 */
export function softenByHeat(alloy: Alloy, input: AnnealInput): AnnealResult {
  if (input.strain < LEAST_STRAIN)
    return { softenedFraction: 0, strain: input.strain, grainMm: grownGrain(alloy, input.grainMm, input), coarse: false }
  const tau = input.timeS / halfSofteningS(alloy, input.tempC, Math.max(input.strain, LEAST_DRIVING_STRAIN))
  const softenedFraction = (1 - Math.exp(-Math.LN2 * tau ** 1.5)) * smoothstep(LEAST_STRAIN, FULL_STRAIN, input.strain)
  const soft = flowStressMPa(alloy, 0)
  const strain = strainOfStress(alloy, soft + (1 - softenedFraction) * (flowStressMPa(alloy, input.strain) - soft))
  const fresh = Math.min(0.2, Math.max(0.005, 0.01 * (input.strain / 0.8) ** -1))
  const start = softenedFraction > 0.5 ? fresh : input.grainMm
  return { softenedFraction, strain, grainMm: grownGrain(alloy, start, input), coarse: softenedFraction > 0.1 && input.strain < 0.1 }
}
