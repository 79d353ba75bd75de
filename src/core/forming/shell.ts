import type { Alloy } from '../metals/alloys'
import { bisect } from '../numerics/bisect'
import { domedMetal } from './dapping/domed-metal'
import { rimDiameterMm } from './dome'
import { clampedPoleStrain, type Impression } from './press'

/** The middle of the metal of something round, from its crown to its rim: how far out, how high, how thick there. */
export interface ShellPoint {
  readonly rMm: number
  readonly zMm: number
  readonly thicknessMm: number
}

const POINTS = 33
const along = <P>(at: (share: number) => P): P[] => Array.from({ length: POINTS }, (_, i) => at(i / (POINTS - 1)))

/**
 * A sheet pressed with its rim held: part of a sphere, at its thinnest in the middle, where it is as thin as the ledger has it. From there the
 * strain through it falls off with ln(1 + z·h/a²) as in the classical solution, to as much at the rim as leaves the volume what it was
 * (source: clamped-bulge; within 0.03 of the simulated sheet at 0.4 of the half width).
 */
export function heldShell(alloy: Alloy, { halfMm, depthMm }: Impression, thicknessMm: number): ShellPoint[] {
  const sphereMm = (halfMm ** 2 + depthMm ** 2) / (2 * depthMm)
  const most = Math.atan2(halfMm, sphereMm - depthMm)
  const pole = clampedPoleStrain(alloy, { halfMm, depthMm })
  const full = Math.log(1 + (depthMm / halfMm) ** 2)
  const strainAt = (zMm: number, atRim: number) => pole * (atRim + ((1 - atRim) * Math.log(1 + (zMm * depthMm) / halfMm ** 2)) / full)
  // zones of a sphere are as large as they are high
  const zones = along((share) => share * depthMm).slice(1)
  const kept = (atRim: number) =>
    (2 * sphereMm * zones.reduce((sum, zMm) => sum + Math.exp(strainAt(zMm - zoneMm / 2, atRim)) * zoneMm, 0)) / halfMm ** 2 - 1
  const zoneMm = depthMm / (POINTS - 1)
  const atRim = bisect(kept, -1, 1, 1e-9).x
  return along((share) => {
    const zMm = depthMm - sphereMm * (1 - Math.cos(most * share))
    return { rMm: sphereMm * Math.sin(most * share), zMm, thicknessMm: thicknessMm * Math.exp(strainAt(Math.max(0, zMm), atRim)) }
  })
}

/** A disc lying on a sphere, its rim free to draw in: as thick as the simulated dome at crown, half way and rim, smoothly between (source: dap-fit). */
export function domedShell(alloy: Alloy, discMm: number, sphereRadiusMm: number, thicknessMm: number): ShellPoint[] {
  const { crown, middle, rim } = domedMetal(alloy, discMm, sphereRadiusMm)
  const most = Math.asin(Math.min(1, rimDiameterMm(discMm, sphereRadiusMm) / 2 / sphereRadiusMm))
  /** How far out on the disc it was: what lies within is about as much metal as before. */
  const onDisc = (share: number) => Math.sin((most * share) / 2) / Math.sin(most / 2)
  // the parabola through the three
  const strainAt = (s: number) =>
    (1 - s) * (1 - 2 * s) * crown.thicknessStrain + 4 * s * (1 - s) * middle.thicknessStrain + s * (2 * s - 1) * rim.thicknessStrain
  return along((share) => ({
    rMm: sphereRadiusMm * Math.sin(most * share),
    zMm: sphereRadiusMm * (Math.cos(most * share) - Math.cos(most)),
    thicknessMm: thicknessMm * Math.exp(strainAt(onDisc(share))),
  }))
}

/**
 * A disc raised from its centre to a smaller rim, the wall drawn straight, as long as it was: it thickens by all that its round loses, at the free
 * edge by half of it (source: bench-practice, low).
 */
export function raisedShell({ discMm, rimMm }: { readonly discMm: number; readonly rimMm: number }, thicknessMm: number): ShellPoint[] {
  const highMm = Math.sqrt(Math.max(0, (discMm / 2) ** 2 - (rimMm / 2) ** 2))
  const closed = discMm / rimMm
  return along((share) => ({
    rMm: (share * rimMm) / 2,
    zMm: highMm * (1 - share),
    thicknessMm: thicknessMm * (share < FREE_EDGE ? closed : closed ** (1 - 0.5 * ((share - FREE_EDGE) / (1 - FREE_EDGE)))),
  }))
}
/** The free edge reaches in by so much of the way. */
const FREE_EDGE = 0.85
