import { solveDense } from '../../numerics/dense'
import { atPole } from '../dapping/sheet'
import type { Hardening } from '../hardening'
import { equivalentStrain } from '../strain'

/** A round sheet whose rim is held, pushed up by pressure: mm, true strains, MPa over its thickness. */
export interface BulgeInput {
  readonly radiusMm: number
  readonly hardening: Hardening
  /** Hardening strain before it is pushed. */
  readonly strain?: number
  /** Height of the pole over the held rim, as a share of the radius: 0 to 1. */
  readonly heightFraction: number
  readonly rings?: number
  /** Steps in which it rises by a fifth of its radius. */
  readonly stepsPerFifth?: number
}

export interface BulgedRing {
  readonly lengthMm: number
  readonly radiusMm: number
  readonly alongStrain: number
  readonly roundStrain: number
  readonly strain: number
}

export interface Bulge {
  /** `burst` where the pressure has passed its most and the pole thins without end before the height is reached. */
  readonly outcome: 'formed' | 'burst'
  /** The height that was reached, as a share of the radius. */
  readonly heightFraction: number
  readonly radiiMm: readonly number[]
  readonly heightsMm: readonly number[]
  readonly rings: readonly BulgedRing[]
  /** Pressure times radius over thickness, MPa: it passes a most before the sheet bursts. */
  readonly pressureMPa: number
  readonly pressures: readonly { readonly heightFraction: number; readonly pressureMPa: number }[]
}

/** All of the sheet is strained from the first step on: so little smoothing does. */
const SMOOTHING = 1e-5
const USUAL_STEPS = 10
const DIFFERENCE = 1e-7
const MOST_ROUNDS = 40
const CONVERGED = 1e-9
/** Where rounding lets no step come nearer, so near is near enough. */
const NEARLY = 1e-6

type Four = readonly [number, number, number, number]

/** A ring between two nodes, the inner first: r, z, r, z. */
function strainsOf(ring: BulgedRing, [r1, z1, r2, z2]: Four) {
  return { along: Math.log(Math.hypot(r2 - r1, z2 - z1) / ring.lengthMm), round: Math.log((r1 + r2) / 2 / ring.radiusMm) }
}

/** How the work of a ring changes with where its nodes are. */
function workSlope(ring: BulgedRing, at: Four, hardening: Hardening, areaMm2: number): Four {
  const [r1, z1, r2, z2] = at
  const { along, round } = strainsOf(ring, at)
  const d = equivalentStrain(along, round, SMOOTHING)
  const stress = areaMm2 * hardening.stressMPa(ring.strain + d)
  const fa = (stress * (2 / 3) * (2 * along + round)) / d
  const fc = (stress * (2 / 3) * (2 * round + along)) / d
  const square = (r2 - r1) ** 2 + (z2 - z1) ** 2
  const [dr, dz] = [(fa * (r2 - r1)) / square, (fa * (z2 - z1)) / square]
  const widen = fc / (r1 + r2)
  return [widen - dr, -dz, widen + dr, dz]
}

/** How the volume under a ring changes with where its nodes are. */
function volumeSlope([r1, z1, r2, z2]: Four): Four {
  const third = Math.PI / 3
  const section = third * (r1 * r1 + r1 * r2 + r2 * r2)
  return [third * (2 * r1 + r2) * (z1 - z2), section, third * (2 * r2 + r1) * (z1 - z2), -section]
}

interface Shape {
  readonly radiiMm: readonly number[]
  readonly heightsMm: readonly number[]
  readonly pressure: number
}

/** Numbers of the unknowns of a node: its radius and height; the pole has none of its own, and the rim is held. */
const unknownOf = (node: number, which: 0 | 1, rings: number) => (node > 0 && node < rings ? 2 * (node - 1) + which : -1)

function at(shape: Shape, i: number): Four {
  const { radiiMm: r, heightsMm: z } = shape
  return [r[i] ?? 0, z[i] ?? 0, r[i + 1] ?? 0, z[i + 1] ?? 0]
}

/** Forces that are left at the nodes, and how they change: a row for each unknown and one for the pole, which the pressure holds up. */
function balance(shape: Shape, rings: readonly BulgedRing[], areas: readonly number[], hardening: Hardening) {
  const n = rings.length
  const size = 2 * n - 1
  const pole = size - 1
  const right = new Array<number>(size).fill(0)
  const matrix = Array.from({ length: size }, () => new Float64Array(size))
  let scale = 0
  rings.forEach((ring, i) => {
    const place = at(shape, i)
    const names = [unknownOf(i, 0, n), i === 0 ? pole : unknownOf(i, 1, n), unknownOf(i + 1, 0, n), unknownOf(i + 1, 1, n)]
    const force = (where: Four): number[] => {
      const work = workSlope(ring, where, hardening, areas[i] ?? 0)
      const volume = volumeSlope(where)
      return work.map((value, k) => value - shape.pressure * (volume[k] ?? 0))
    }
    const here = force(place)
    const lift = volumeSlope(place)
    scale = Math.max(scale, ...workSlope(ring, place, hardening, areas[i] ?? 0).map(Math.abs))
    names.forEach((row, k) => {
      if (row < 0) return
      right[row] = (right[row] ?? 0) + (here[k] ?? 0)
      addTo(matrix, row, pole, -(lift[k] ?? 0))
    })
    for (let column = 0; column < 4; column++) {
      const name = names[column] ?? -1
      if (name < 0 || name === pole) continue
      const moved = (by: number) => place.map((value, k) => (k === column ? value + by : value)) as unknown as Four
      const [after, before] = [force(moved(DIFFERENCE)), force(moved(-DIFFERENCE))]
      names.forEach((row, k) => {
        if (row >= 0) addTo(matrix, row, name, ((after[k] ?? 0) - (before[k] ?? 0)) / (2 * DIFFERENCE))
      })
    }
  })
  return { matrix, right, scale }
}

function addTo(matrix: readonly Float64Array[], row: number, column: number, value: number): void {
  const line = matrix[row]
  if (line) line[column] = (line[column] ?? 0) + value
}

const sizeOf = (values: readonly number[]) => Math.sqrt(values.reduce((sum, value) => sum + value * value, 0))

function moved(shape: Shape, step: readonly number[], share: number): Shape {
  const n = shape.radiiMm.length - 1
  const by = (node: number, which: 0 | 1) => share * (step[unknownOf(node, which, n)] ?? 0)
  return {
    radiiMm: shape.radiiMm.map((r, i) => r - by(i, 0)),
    heightsMm: shape.heightsMm.map((z, i) => z - by(i, 1)),
    pressure: shape.pressure - share * (step.at(-1) ?? 0),
  }
}

const isSound = ({ radiiMm }: Shape) => radiiMm.every((r, i) => i === 0 || r > 0)

/** A shape with the forces that are left on it. */
interface Tried {
  readonly shape: Shape
  readonly forces: ReturnType<typeof balance>
}

interface Sheet {
  readonly rings: readonly BulgedRing[]
  readonly areas: readonly number[]
  readonly hardening: Hardening
}

const tried = (shape: Shape, { rings, areas, hardening }: Sheet): Tried => ({ shape, forces: balance(shape, rings, areas, hardening) })

/** The farthest of ever shorter steps that leaves less force than there is; undefined where none does. */
function nearer({ shape, forces }: Tried, step: readonly number[], sheet: Sheet): Tried | undefined {
  for (let share = 1; share > 1e-4; share /= 2) {
    const there = moved(shape, step, share)
    const next = isSound(there) ? tried(there, sheet) : undefined
    if (next && sizeOf(next.forces.right) < sizeOf(forces.right)) return next
  }
  return undefined
}

/** The shape in which all forces balance; undefined where none is found: the sheet has burst. */
function balanced(start: Shape, sheet: Sheet): Shape | undefined {
  let here = tried(start, sheet)
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const { right, matrix, scale } = here.forces
    if (sizeOf(right) < CONVERGED * scale) return here.shape
    const step = solveDense(matrix, right)
    const next = step && nearer(here, step, sheet)
    if (!next) return sizeOf(right) < NEARLY * scale ? here.shape : undefined
    here = next
  }
  return undefined
}

function strained(ring: BulgedRing, place: Four): BulgedRing {
  const { along, round } = strainsOf(ring, place)
  return {
    lengthMm: Math.hypot(place[2] - place[0], place[3] - place[1]),
    radiusMm: (place[0] + place[2]) / 2,
    alongStrain: ring.alongStrain + along,
    roundStrain: ring.roundStrain + round,
    strain: ring.strain + equivalentStrain(along, round),
  }
}

/**
 * A sheet clamped at its rim and pushed up by pressure, step by step (rigid–plastic membrane, flow theory; source: clamped-bulge). The
 * height leads and the pressure follows, so that its most is passed; where no shape balances any more, it has burst.
 */
export function bulge({
  radiusMm,
  hardening,
  strain = 0,
  heightFraction,
  rings: count = 40,
  stepsPerFifth = USUAL_STEPS,
}: BulgeInput): Bulge {
  const flat = Array.from({ length: count + 1 }, (_, i) => (radiusMm * i) / count)
  const step = radiusMm / count
  const areas = flat.slice(1).map((_, i) => 2 * Math.PI * step * (i + 0.5) * step)
  let rings = areas.map((_, i): BulgedRing => ({ lengthMm: step, radiusMm: step * (i + 0.5), alongStrain: 0, roundStrain: 0, strain }))
  const steps = Math.max(1, Math.ceil(heightFraction * 5 * stepsPerFifth - 1e-9))
  const rise = (heightFraction * radiusMm) / steps
  let before: Shape = { radiiMm: flat, heightsMm: flat.map(() => 0), pressure: 0 }
  let last: Shape | undefined
  const pressures: { heightFraction: number; pressureMPa: number }[] = []
  for (let k = 1; k <= steps; k++) {
    const found = balanced(foreseen(before, last, rise * k, radiusMm), { rings, areas, hardening })
    if (!found) return { outcome: 'burst', ...outcomeOf(before, rings, radiusMm, pressures) }
    rings = rings.map((ring, i) => strained(ring, at(found, i)))
    ;[last, before] = [before, found]
    pressures.push({ heightFraction: (rise * k) / radiusMm, pressureMPa: found.pressure * radiusMm })
  }
  return { outcome: 'formed', ...outcomeOf(before, rings, radiusMm, pressures) }
}

/** Strain of the pole along each way of the sheet together: what its thickness loses. */
function poleThinning({ rings }: Bulge): number {
  return atPole(rings.map(({ alongStrain, roundStrain }) => alongStrain + roundStrain))
}

/**
 * A bulge with the thinning of its pole taken on to steps without end: the error of a step falls with its size, so that two sizes tell the
 * limit (Richardson; source: closed-form). Past its most pressure no sheet holds: the figures are those of the model, the sheet has burst.
 */
export function fineBulge(input: BulgeInput): Bulge & { readonly poleThinningStrain: number } {
  const { stepsPerFifth = USUAL_STEPS } = input
  const fine = bulge({ ...input, stepsPerFifth })
  const coarse = bulge({ ...input, stepsPerFifth: stepsPerFifth / 2 })
  const isBoth = fine.outcome === 'formed' && coarse.outcome === 'formed'
  const isPast = fine.pressureMPa < (1 - 1e-6) * Math.max(...fine.pressures.map(({ pressureMPa }) => pressureMPa))
  return {
    ...fine,
    outcome: isPast ? 'burst' : fine.outcome,
    poleThinningStrain: isBoth ? 2 * poleThinning(fine) - poleThinning(coarse) : poleThinning(fine),
  }
}

function outcomeOf(shape: Shape, rings: readonly BulgedRing[], radiusMm: number, pressures: Bulge['pressures']) {
  const { radiiMm, heightsMm, pressure } = shape
  return { heightFraction: (heightsMm[0] ?? 0) / radiusMm, radiiMm, heightsMm, rings, pressureMPa: pressure * radiusMm, pressures }
}

/** Where the next step is looked for: as far on as the last, or at first a shallow bowl. */
function foreseen(now: Shape, before: Shape | undefined, poleMm: number, radiusMm: number): Shape {
  const pole = (heights: readonly number[]) => heights.map((z, i) => (i === 0 ? poleMm : z))
  if (!before) return { ...now, heightsMm: now.radiiMm.map((r) => poleMm * (1 - (r / radiusMm) ** 2)), pressure: 0 }
  const on = (value: number, was: number) => 2 * value - was
  return {
    radiiMm: now.radiiMm.map((r, i) => on(r, before.radiiMm[i] ?? r)),
    heightsMm: pole(now.heightsMm.map((z, i) => on(z, before.heightsMm[i] ?? z))),
    pressure: now.pressure,
  }
}
