import { bisect } from '../numerics/bisect'
import { TENTH } from '../numerics/normal'
import type { Alloy } from './alloys'

/** Strain added by the hardness indentation itself (Tabor). */
const INDENT_STRAIN = 0.08
const STANDARD_GRAVITY = 9.80665
/** The fits hold to about 80 % rolling. */
export const KNOWN_STRAIN = 1.6
/** Beyond this the curve is held flat. */
export const LARGEST_STRAIN = 2

/** Flow stress in MPa at an equivalent strain 0 to 2 (source: temper-fit). Copper at 0.3 is 298. */
export function flowStressMPa(alloy: Alloy, strain: number): number {
  const { s0MPa, qMPa, b, hMPa } = alloy.flow
  const used = Math.min(Math.max(strain, 0), LARGEST_STRAIN)
  return s0MPa + qMPa * (1 - Math.exp(-b * used)) + hMPa * used
}

/** Vickers hardness at a strain (source: tabor), ±8 %. Annealed copper is 48. */
export function hardnessHv(alloy: Alloy, strain: number): number {
  return (alloy.flow.c * flowStressMPa(alloy, strain + INDENT_STRAIN)) / STANDARD_GRAVITY
}

/** Spread of a flow curve, lognormal (sources: temper-fit, tabor). */
const CURVE_SPREAD = 0.08

/** Standard deviation of the logarithm of a metal's hardness: ± 8 % (source: tabor), less where it was measured. */
export const curveSpread = ({ learned }: Pick<Alloy, 'learned'>): number => learned?.curve ?? CURVE_SPREAD

/** 10 and 90 % of a hardness, by the spread of its curve. */
export function hardnessBand(hv: number, spread: number): { readonly low: number; readonly high: number } {
  const off = Math.exp(TENTH * spread)
  return { low: hv / off, high: hv * off }
}

/** A hardness as it is shown: of a curve that is little known two figures, never more. */
export function shownHv({ flow }: Pick<Alloy, 'flow'>, hv: number): number {
  return flow.confidence === 'low' ? Number(hv.toPrecision(2)) : Math.round(hv)
}

/** Strain at which the flow stress is reached; clamped to 0…2. The inverse of `flowStressMPa`. */
export function strainOfStress(alloy: Alloy, stressMPa: number): number {
  const low = flowStressMPa(alloy, 0)
  const high = flowStressMPa(alloy, LARGEST_STRAIN)
  if (stressMPa <= low) return 0
  if (stressMPa >= high) return LARGEST_STRAIN
  return bisect((strain) => flowStressMPa(alloy, strain) - stressMPa, 0, LARGEST_STRAIN).x
}

/** Hardening strain by a measured hardness, HV (source: tabor); 0 where it is no harder than annealed. The inverse of `hardnessHv`. */
export function strainOfHardness(alloy: Alloy, hv: number): number {
  return Math.max(0, strainOfStress(alloy, (hv * STANDARD_GRAVITY) / alloy.flow.c) - INDENT_STRAIN)
}
