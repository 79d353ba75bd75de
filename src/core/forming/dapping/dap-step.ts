import { solveTridiagonal } from '../../numerics/tridiagonal'
import type { Hardening } from '../hardening'
import { equivalentStrain } from '../strain'
import type { DappedSheet, Ring } from './sheet'

/** How a stage is done: the sphere it ends on, the metal, and how hard it drags on the punch (0 where it slips freely). */
export interface DapStage {
  /** Radius of the middle of the metal on the punch, mm. */
  readonly sphereRadiusMm: number
  readonly hardening: Hardening
  /** Friction work per slip as a share of flow stress times thickness over the disc's radius; 0.1 to 0.3 by Coulomb, 1 when coined. */
  readonly friction: number
}

/** Smoothing of the work where nothing deforms, taken down in turn: without it the search stalls. */
const SMOOTHINGS = [1e-2, 1e-3, 2e-4]
/** Slip is smoothed over this share of it, as a share of the disc's radius. */
const SLIP_SHARE = 0.3
const MOST_ROUNDS = 60
const MOST_HALVINGS = 40
const CONVERGED = 1e-8

/** The slope of the work and its change, node by node, and the size that forces have. */
interface Slope {
  readonly gradient: number[]
  readonly diagonal: number[]
  readonly beside: number[]
  readonly scale: number
}

/** Strains that a ring takes on in the step, with their slopes along the two angles that bound it. */
function ringStrains(ring: Ring, sphereMm: number, low: number, high: number) {
  const along = sphereMm * (high - low)
  const middle = (low + high) / 2
  return {
    alongStrain: Math.log(along / ring.lengthMm),
    roundStrain: Math.log((sphereMm * Math.sin(middle)) / ring.radiusMm),
    /** d alongStrain / d high; its negative by low. */
    stretch: sphereMm / along,
    /** d roundStrain / d either angle. */
    widen: 0.5 / Math.tan(middle),
    /** Second derivative of roundStrain by any two of the angles. */
    widenSlope: -0.25 / Math.sin(middle) ** 2,
  }
}

interface Trial {
  readonly stage: DapStage
  readonly smoothing: number
}

/** Adds one ring's share of the slope, between the angles that bound it; gives the size of the force along it. */
function addRing(slope: Slope, ring: Ring, i: number, [low, high]: readonly [number, number], { stage, smoothing }: Trial): number {
  const { alongStrain: a, roundStrain: c, stretch, widen, widenSlope } = ringStrains(ring, stage.sphereRadiusMm, low, high)
  const d = equivalentStrain(a, c, smoothing)
  const stress = stage.hardening.stressMPa(ring.strain + d)
  const harden = stage.hardening.slopeMPa(ring.strain + d)
  const w = ring.flatAreaMm2
  const [da, dc] = [((2 / 3) * (2 * a + c)) / d, ((2 / 3) * (2 * c + a)) / d]
  // second derivatives of the work by the two strains
  const kaa = harden * da * da + (stress * (4 / 3 - da * da)) / d
  const kac = harden * da * dc + (stress * (2 / 3 - da * dc)) / d
  const kcc = harden * dc * dc + (stress * (4 / 3 - dc * dc)) / d
  const [fa, fc] = [stress * da, stress * dc]
  const [hi, lo] = [stretch, -stretch]
  const second = (x: number, y: number, bend: number) =>
    kaa * x * y + kac * (x + y) * widen + kcc * widen * widen + fa * bend + fc * widenSlope
  // node i is `low`, node i + 1 is `high`; the pole does not move
  slope.gradient[i] = (slope.gradient[i] ?? 0) + w * (fc * widen + fa * hi)
  slope.diagonal[i] = (slope.diagonal[i] ?? 0) + w * second(hi, hi, -stretch * stretch)
  if (i > 0) {
    slope.gradient[i - 1] = (slope.gradient[i - 1] ?? 0) + w * (fc * widen + fa * lo)
    slope.diagonal[i - 1] = (slope.diagonal[i - 1] ?? 0) + w * second(lo, lo, -stretch * stretch)
    slope.beside[i - 1] = (slope.beside[i - 1] ?? 0) + w * second(hi, lo, stretch * stretch)
  }
  return w * stress * stretch
}

/** How far each node had come along the profile from the pole before the step. */
function arcsBefore({ anglesRad, sphereRadiusMm, flatMm }: DappedSheet): readonly number[] {
  return anglesRad && sphereRadiusMm !== undefined ? anglesRad.map((angle) => angle * sphereRadiusMm) : flatMm
}

/** Area of metal that each node but the pole stands for, mm². */
function nodeAreas({ rings }: DappedSheet): number[] {
  return rings.map((ring, i) => (ring.flatAreaMm2 + (rings[i + 1]?.flatAreaMm2 ?? 0)) / 2)
}

function addFriction(slope: Slope, sheet: DappedSheet, angles: readonly number[], stage: DapStage, smoothing: number): void {
  if (stage.friction === 0) return
  const radiusMm = sheet.flatMm.at(-1) ?? 1
  const before = arcsBefore(sheet)
  const soft = SLIP_SHARE * smoothing * radiusMm
  nodeAreas(sheet).forEach((area, i) => {
    const ring = sheet.rings[i]
    const slip = stage.sphereRadiusMm * (angles[i + 1] ?? 0) - (before[i + 1] ?? 0)
    const size = Math.hypot(slip, soft)
    const drag = (stage.friction / radiusMm) * area * stage.hardening.stressMPa((ring?.strain ?? 0) + smoothing)
    slope.gradient[i] = (slope.gradient[i] ?? 0) + (drag * stage.sphereRadiusMm * slip) / size
    slope.diagonal[i] = (slope.diagonal[i] ?? 0) + (drag * stage.sphereRadiusMm ** 2 * soft ** 2) / size ** 3
  })
}

function slopeAt(sheet: DappedSheet, angles: readonly number[], stage: DapStage, smoothing: number): Slope {
  const n = sheet.rings.length
  const slope: Slope = { gradient: zeros(n), diagonal: zeros(n), beside: zeros(n - 1), scale: 0 }
  const forces = sheet.rings.map((ring, i) => addRing(slope, ring, i, [angles[i] ?? 0, angles[i + 1] ?? 0], { stage, smoothing }))
  addFriction(slope, sheet, angles, stage, smoothing)
  return { ...slope, scale: Math.max(...forces) }
}

const zeros = (n: number) => new Array<number>(n).fill(0)
const sizeOf = (values: readonly number[]) => Math.sqrt(values.reduce((sum, value) => sum + value * value, 0))

/** The step of Newton's method, made safe where the work is not curved upwards: the band is then stiffened until it is. */
function newtonStep({ gradient, diagonal, beside }: Slope): number[] {
  const largest = Math.max(...diagonal.map(Math.abs))
  for (let added = 0; ; added = added === 0 ? 1e-6 * largest : added * 10) {
    const step = solveTridiagonal({ diagonal: diagonal.map((value) => value + added), beside }, gradient)
    if (step) return step
  }
}

const rises = (angles: readonly number[]) => angles.every((angle, i) => i === 0 || angle > (angles[i - 1] ?? 0))

/** Angles at which the work of the step is least, at one smoothing. */
function leastWork(sheet: DappedSheet, start: readonly number[], stage: DapStage, smoothing: number): readonly number[] {
  let angles = start
  let slope = slopeAt(sheet, angles, stage, smoothing)
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const size = sizeOf(slope.gradient)
    if (size < CONVERGED * slope.scale) break
    const step = newtonStep(slope)
    let share = 1
    let isNearer = false
    for (let n = 0; n < MOST_HALVINGS && !isNearer; n++, share /= 2) {
      const next = angles.map((angle, i) => (i === 0 ? 0 : angle - share * (step[i - 1] ?? 0)))
      if (!rises(next)) continue
      const there = slopeAt(sheet, next, stage, smoothing)
      if (sizeOf(there.gradient) >= size) continue
      ;[angles, slope, isNearer] = [next, there, true]
    }
    if (!isNearer) break
  }
  return angles
}

/** Angles of a disc laid on the sphere at equal area: where the search begins. */
function firstAngles(sheet: DappedSheet, sphereMm: number): readonly number[] {
  const laid = (flatMm: number) => 2 * Math.asin(Math.min(0.999, flatMm / (2 * sphereMm)))
  const { anglesRad, sphereRadiusMm, flatMm } = sheet
  if (!anglesRad || sphereRadiusMm === undefined) return flatMm.map(laid)
  const radiusMm = flatMm.at(-1) ?? 0
  const grown = laid(radiusMm) / (2 * Math.asin(Math.min(0.999, radiusMm / (2 * sphereRadiusMm))))
  return anglesRad.map((angle) => angle * grown)
}

/**
 * One stage of dapping a disc whose rim is free to draw in: the rings find the angles on the sphere at which the plastic work of the step is
 * least (rigid–plastic flow theory; source: dap-fit). Strains add up from stage to stage.
 */
export function dapStep(sheet: DappedSheet, stage: DapStage): DappedSheet {
  const anglesRad = SMOOTHINGS.reduce(
    (angles, smoothing) => leastWork(sheet, angles, stage, smoothing),
    firstAngles(sheet, stage.sphereRadiusMm),
  )
  const rings = sheet.rings.map((ring, i): Ring => {
    const [low, high] = [anglesRad[i] ?? 0, anglesRad[i + 1] ?? 0]
    const { alongStrain, roundStrain } = ringStrains(ring, stage.sphereRadiusMm, low, high)
    return {
      ...ring,
      lengthMm: stage.sphereRadiusMm * (high - low),
      radiusMm: stage.sphereRadiusMm * Math.sin((low + high) / 2),
      alongStrain: ring.alongStrain + alongStrain,
      roundStrain: ring.roundStrain + roundStrain,
      strain: ring.strain + equivalentStrain(alongStrain, roundStrain),
    }
  })
  return { ...sheet, anglesRad, sphereRadiusMm: stage.sphereRadiusMm, rings }
}

/** Plastic work of a step over the sheet's thickness, MPa·mm², at angles it might take: what `dapStep` makes least. */
export function workOfStep(sheet: DappedSheet, anglesRad: readonly number[], { sphereRadiusMm, hardening, friction }: DapStage): number {
  const before = arcsBefore(sheet)
  const radiusMm = sheet.flatMm.at(-1) ?? 1
  const areas = nodeAreas(sheet)
  return sheet.rings.reduce((sum, ring, i) => {
    const { alongStrain, roundStrain } = ringStrains(ring, sphereRadiusMm, anglesRad[i] ?? 0, anglesRad[i + 1] ?? 0)
    const formed = hardening.workMPa(ring.strain + equivalentStrain(alongStrain, roundStrain)) - hardening.workMPa(ring.strain)
    const slip = Math.abs(sphereRadiusMm * (anglesRad[i + 1] ?? 0) - (before[i + 1] ?? 0))
    return sum + ring.flatAreaMm2 * formed + (friction / radiusMm) * (areas[i] ?? 0) * hardening.stressMPa(ring.strain) * slip
  }, 0)
}
