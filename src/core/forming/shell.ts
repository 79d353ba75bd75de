import type { Alloy } from '../metals/alloys'
import { bisect } from '../numerics/bisect'
import { domedMetal } from './dapping/domed-metal'
import { sphereForHeightMm } from './dome'
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

/** Strain through a disc that lies on a sphere, by how far out on the disc: the parabola through crown, half way and rim of the simulation. */
function domedStrain(alloy: Alloy, discMm: number, sphereMm: number): (share: number) => number {
  const { crown, middle, rim } = domedMetal(alloy, discMm, sphereMm)
  return (s) =>
    (1 - s) * (1 - 2 * s) * crown.thicknessStrain + 4 * s * (1 - s) * middle.thicknessStrain + s * (2 * s - 1) * rim.thicknessStrain
}

/** How far out on the disc a place of its profile was: what lies within is about as much metal as before. */
const onDisc = (share: number, most: number) => Math.sin((most * share) / 2) / Math.sin(most / 2)

/** Metal on a sphere as far round it as this, by the flat area over π that it was cut from: the square of the radius of its disc. */
function flatOver(sphereMm: number, most: number, strainAt: (share: number) => number): number {
  const width = 1 / (POINTS - 1)
  return along((share) => share)
    .slice(1)
    .reduce((sum, to) => {
      const area = 2 * sphereMm ** 2 * (Math.cos(most * (to - width)) - Math.cos(most * to))
      return sum + area * Math.exp(strainAt(onDisc(to - width / 2, most)))
    }, 0)
}

/** How far round its sphere a disc reaches, rad: as far as leaves its volume what it was. */
const reachOnSphere = (discMm: number, sphereMm: number, strainAt: (share: number) => number) =>
  bisect((most) => flatOver(sphereMm, most, strainAt) - (discMm / 2) ** 2, 1e-3, MOST_REACH_RAD, 1e-10).x
const MOST_REACH_RAD = 0.7 * Math.PI

/**
 * A disc domed so high, its rim free to draw in: on the sphere on which it stands so high, as thick as the simulated dome, its volume kept
 * (source: dap-fit). `heightMm` is over 0 and at most that of a hemisphere, d/(2√2).
 */
export function domedShell(alloy: Alloy, discMm: number, heightMm: number, thicknessMm: number): ShellPoint[] {
  const reach = (sphereMm: number) => reachOnSphere(discMm, sphereMm, domedStrain(alloy, discMm, sphereMm))
  const near = sphereForHeightMm(discMm, heightMm)
  const sphereMm = bisect((mm) => mm * (1 - Math.cos(reach(mm))) - heightMm, 0.8 * near, 1.2 * near, 1e-9).x
  return onSphere({ sphereMm, most: reach(sphereMm), strainAt: domedStrain(alloy, discMm, sphereMm), thicknessMm })
}

/** So often the disc of an impression is worked out from its strain, and that from the disc. */
const ROUNDS = 6

/** A sheet pressed into an impression with its rim free to draw in: the sphere through both, as thick as the dome of the disc that it drew in. */
export function pressedShell(alloy: Alloy, { halfMm, depthMm }: Impression, thicknessMm: number): ShellPoint[] {
  const sphereMm = (halfMm ** 2 + depthMm ** 2) / (2 * depthMm)
  const most = Math.atan2(halfMm, sphereMm - depthMm)
  let discMm = 2 * Math.hypot(halfMm, depthMm)
  for (let n = 0; n < ROUNDS; n++) discMm = 2 * Math.sqrt(flatOver(sphereMm, most, domedStrain(alloy, discMm, sphereMm)))
  return onSphere({ sphereMm, most, strainAt: domedStrain(alloy, discMm, sphereMm), thicknessMm })
}

interface OnSphere {
  readonly sphereMm: number
  readonly most: number
  readonly strainAt: (share: number) => number
  readonly thicknessMm: number
}

const onSphere = ({ sphereMm, most, strainAt, thicknessMm }: OnSphere): ShellPoint[] =>
  along((share) => ({
    rMm: sphereMm * Math.sin(most * share),
    zMm: sphereMm * (Math.cos(most * share) - Math.cos(most)),
    thicknessMm: thicknessMm * Math.exp(strainAt(onDisc(share, most))),
  }))

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
