import type { Alloy } from '../metals/alloys'
import { flowStressMPa, LARGEST_STRAIN } from '../metals/flow'
import { bisect } from '../numerics/bisect'

export interface BentStrip {
  /** Radius of the middle of the metal, mm. */
  readonly radiusMm: number
  readonly thicknessMm: number
  readonly widthMm: number
  /** Hardening strain before it is bent: 0 for annealed metal. */
  readonly strain: number
  /** Round wire of this diameter; a flat strip where it is not said. */
  readonly section?: 'flat' | 'round'
}

const isRound = ({ section }: BentStrip) => section === 'round'

/** How wide the section is so far from its middle, and its second moment, both over the width of the strip. */
function sectionOf(strip: BentStrip): { readonly wideAt: (y: number) => number; readonly inertia: number } {
  const { thicknessMm: t } = strip
  if (!isRound(strip)) return { wideAt: () => 1, inertia: t ** 3 / 12 }
  return { wideAt: (y) => 2 * Math.sqrt(Math.max(0, (t / 2) ** 2 - y ** 2)), inertia: (Math.PI * t ** 4) / 64 }
}

/** Gauss-Legendre nodes and weights of 16 points, the positive half (source: closed-form). */
const NODES = [0.0950125098, 0.2816035508, 0.4580167777, 0.6178762444, 0.7554044084, 0.8656312024, 0.9445750231, 0.989400935]
const WEIGHTS = [0.1894506105, 0.182603415, 0.1691565194, 0.1495959888, 0.1246289713, 0.0951585117, 0.0622535239, 0.0271524594]

function integrate(f: (x: number) => number, from: number, to: number): number {
  const [middle, half] = [(from + to) / 2, (to - from) / 2]
  return half * NODES.reduce((sum, node, i) => sum + (WEIGHTS[i] ?? 0) * (f(middle - half * node) + f(middle + half * node)), 0)
}

/** Wider than eight thicknesses a strip cannot narrow as it is bent: stiffer and stronger by these factors. */
function widthFactors(alloy: Alloy, strip: BentStrip) {
  const wide = !isRound(strip) && strip.widthMm > 8 * strip.thicknessMm
  return { strength: wide ? 2 / Math.sqrt(3) : 1, modulusMPa: (1000 * alloy.elasticModulusGPa) / (wide ? 1 - alloy.poissonRatio ** 2 : 1) }
}

/** Stress of a fibre at a strain past the elastic limit: what the flow curve gives once its elastic part is off. */
function fibreStress(alloy: Alloy, before: number, strength: number, modulusMPa: number, strain: number): number {
  const rest = (stress: number) => stress - strength * flowStressMPa(alloy, before + strength * Math.max(0, strain - stress / modulusMPa))
  return bisect(rest, 0, strength * flowStressMPa(alloy, LARGEST_STRAIN), 1e-9).x
}

/**
 * Radius of the middle of the metal once a bent strip is let go, mm; undefined where it springs flat (source: springback, ± 15 % of what
 * it springs). The moment through the thickness on the flow curve, an elastic core with it. A sterling ring of 9.25 mm, 1.5 thick and
 * annealed, opens to 9.65.
 */
export function springback(alloy: Alloy, strip: BentStrip): number | undefined {
  const { radiusMm, thicknessMm, strain } = strip
  const { strength, modulusMPa } = widthFactors(alloy, strip)
  const yieldMPa = strength * flowStressMPa(alloy, strain)
  const half = thicknessMm / 2
  const elasticMm = Math.min(half, (yieldMPa * radiusMm) / modulusMPa)
  if (elasticMm >= half) return undefined
  const { wideAt, inertia } = sectionOf(strip)
  const core = (modulusMPa / radiusMm) * integrate((y) => y * y * wideAt(y), 0, elasticMm)
  const shell = integrate((y) => fibreStress(alloy, strain, strength, modulusMPa, y / radiusMm) * y * wideAt(y), elasticMm, half)
  const curvature = 1 / radiusMm - (2 * (core + shell)) / (modulusMPa * inertia)
  return curvature > 1e-6 ? 1 / curvature : undefined
}

/** Radius to bend a strip to so that it springs to the one wanted, middle of the metal; undefined where no former is small enough. */
export function formingRadius(alloy: Alloy, wanted: BentStrip): number | undefined {
  const off = (radiusMm: number) => 1 / (springback(alloy, { ...wanted, radiusMm }) ?? Infinity) - 1 / wanted.radiusMm
  const least = wanted.thicknessMm / 2 + 1e-3
  if (off(least) <= 0) return undefined
  return bisect(off, least, wanted.radiusMm, 1e-6).x
}

/** A stiffness this far from the handbook's, either way, is a measurement gone wrong. */
const MODULUS_SHARES = [0.6, 1.5] as const

/**
 * Stiffness (modulus) in GPa of a metal of which a strip bent to a radius was seen to open to another, middle of the metal; undefined where
 * no stiffness near the handbook's does that. The inverse of `springback`.
 */
export function modulusOfSpring(alloy: Alloy, strip: BentStrip, sprungRadiusMm: number): number | undefined {
  const off = (share: number) => {
    const elasticModulusGPa = share * alloy.elasticModulusGPa
    return 1 / (springback({ ...alloy, elasticModulusGPa }, strip) ?? Infinity) - 1 / sprungRadiusMm
  }
  const [low, high] = MODULUS_SHARES
  if (off(low) > 0 || off(high) < 0) return undefined
  return bisect(off, low, high, 1e-9).x * alloy.elasticModulusGPa
}
