import type { Alloy } from '../metals/alloys'
import { type DomedMetal, domedMetal } from './dapping/domed-metal'
import { capRadiusMm } from './dome'

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

/** The metal where the rim is free to draw in, as a dome of the same width and depth has it; undefined where there is no depth. */
export function freelyPressed(alloy: Alloy, { halfMm, depthMm }: Impression): DomedMetal | undefined {
  if (depthMm < 1e-3) return undefined
  return domedMetal(alloy, 2 * Math.hypot(halfMm, depthMm), capRadiusMm({ baseRadiusMm: halfMm, heightMm: depthMm }))
}
