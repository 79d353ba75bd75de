import type { Alloy } from '../metals/alloys'
import { CROWN_THINNING_RATIO, capRadiusMm, rimHoopStrain } from './dome'

/** An impression by half its width and its depth, mm. */
export interface Impression {
  readonly halfMm: number
  readonly depthMm: number
}

/** Deeper than this share of its half width a clamped sheet thins without end: no bench metal is stretched further with its rim held. */
export const DEEPEST_CLAMPED = 0.5

/**
 * Thickness strain of the middle of a sheet stretched over a form with its rim held, below zero: −(2 − n)·ln(1 + h²/a²)
 * (source: clamped-bulge; within 8 % to a depth of 0.6 of the half width).
 */
export function clampedPoleStrain(alloy: Alloy, { halfMm, depthMm }: Impression): number {
  return -(2 - alloy.hardeningExponent) * Math.log(1 + (depthMm / halfMm) ** 2)
}

/** Strain of the rim and of the middle where the rim is free to draw in, as a dome of the same width and depth has it. */
export function freeStrains({ halfMm, depthMm }: Impression): { readonly rim: number; readonly middle: number } {
  if (depthMm < 1e-3) return { rim: 0, middle: 0 }
  const radius = capRadiusMm({ baseRadiusMm: halfMm, heightMm: depthMm })
  const rim = Math.abs(rimHoopStrain(2 * Math.hypot(halfMm, depthMm), radius))
  return { rim, middle: CROWN_THINNING_RATIO * rim }
}
