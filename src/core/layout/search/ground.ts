import { counterClockwise } from '../../geometry/outline'
import { type Bounds, boundsOf, type Outline, type Point } from '../../geometry/point'
import { type Field, fieldOf } from './field'

/** A straight edge: how far a place is inside it is nx x + ny y - away, mm. */
export interface Wall {
  readonly nx: number
  readonly ny: number
  readonly away: number
}

/** A sheet as blanks feel it, but for its holes: by its walls where it has no hollow, or else by how deep places lie in it. */
export interface Ground {
  readonly walls: readonly Wall[]
  readonly field: Field | undefined
  /** x and y of each corner that reaches into it: a blank may lie round one with no edge of its own off the ground. */
  readonly corners: Float64Array
  readonly box: Bounds
  /** Blanks lie so far from its edge, mm. */
  readonly marginMm: number
}

/** A corner may turn inwards by so much and the outline still has no hollow, mm. */
const STRAIGHT_MM = 1e-6
/** An outline of more edges is felt by its field. */
const MOST_WALLS = 16

/** The walls of an outline that has no hollow; undefined of any other. */
function wallsOf(outline: Outline): readonly Wall[] | undefined {
  if (outline.length > MOST_WALLS) return undefined
  const around = counterClockwise(outline)
  const walls = around.flatMap((p, i): Wall[] => {
    const q = around[(i + 1) % around.length] as Point
    const long = Math.hypot(q[0] - p[0], q[1] - p[1])
    if (long === 0) return []
    const [nx, ny] = [(p[1] - q[1]) / long, (q[0] - p[0]) / long]
    return [{ nx, ny, away: nx * p[0] + ny * p[1] }]
  })
  return walls.some(({ nx, ny, away }) => around.some(([x, y]) => nx * x + ny * y - away < -STRAIGHT_MM)) ? undefined : walls
}

const CELLS_ACROSS = 150
/** The field reaches so far past the sheet, against its size. */
const PAST = 0.2

/** Corners of an outline at which it turns inwards. */
function hollowCorners(outline: Outline): Point[] {
  const around = counterClockwise(outline)
  return around.filter((p, i) => {
    const [before, after] = [around.at(i - 1) as Point, around[(i + 1) % around.length] as Point]
    return (p[0] - before[0]) * (after[1] - p[1]) - (p[1] - before[1]) * (after[0] - p[0]) < 0
  })
}

export function groundOf(outer: Outline, marginMm: number): Ground {
  const box = boundsOf(outer)
  const walls = wallsOf(outer)
  if (walls) return { walls, field: undefined, corners: new Float64Array(), box, marginMm }
  const size = Math.max(box.maxX - box.minX, box.maxY - box.minY)
  const field = fieldOf(outer, [], { pastMm: PAST * size, stepMm: size / CELLS_ACROSS })
  return { walls: [], field, corners: Float64Array.from(hollowCorners(outer).flat()), box, marginMm }
}

/** The ground as far as a line across it. */
export function asFarAs(ground: Ground, toX: number): Ground {
  return {
    ...ground,
    walls: [...ground.walls, { nx: -1, ny: 0, away: -toX }],
    box: { ...ground.box, maxX: Math.min(toX, ground.box.maxX) },
  }
}
