import type { Region } from '../../geometry/clip'
import { boundsOf, type Outline, type Point, placeOutline } from '../../geometry/point'
import type { LayoutItem } from '../schema'
import type { PlacedShape, Pose } from '../shape'
import { type Edge, edgeAlong, NO_EDGE } from './edge'
import { type Field, fieldOf } from './field'
import { hullsOf } from './hulls'
import { thinned } from './rings'

/** A blank as others feel it, about the middle of its box: places along its edge, and how deep any place lies in it. */
export interface Body {
  /** Of a disc. */
  readonly radiusMm: number | undefined
  /** Places along the edge, and along the windows’; none of a disc. */
  readonly edge: Edge
  readonly field: Field | undefined
  /** The same as pieces without hollows, where it has few corners and no window. */
  readonly hulls: readonly Outline[] | undefined
  /** The middle of the box round it, where the blank’s own outline has it. */
  readonly middle: Point
  /** Half the box round it and the gap round that, mm: no edge out of it is in the way. */
  readonly halfX: number
  readonly halfY: number
  /** A circle about its middle round all of it. */
  readonly reachMm: number
}

/** How bodies are made for one lot. */
export interface Making {
  /** They lie so far from one another, mm. */
  readonly gapMm: number
  /** Discs up to so large come near them. */
  readonly largestDiscMm: number
}

/** Places along the edge of a blank; of one with few corners, fewer will do. */
const MOST_PLACES = { many: 72, few: 30, corners: 12 } as const
const LEAST_SPACING_MM = 0.6
const CELLS_ACROSS = 72
const LEAST_STEP_MM = 0.05
/** However small a blank is beside the discs that come near it, its field is no more cells across than this. */
const MOST_ACROSS = 250
/** Corners of a curve that lie so near its chord are no places of their own, mm. */
const THINNED_MM = 0.008
/** An outline of more corners is not felt by its pieces. */
export const MOST_CORNERS = 16
/** A field reaches so far past its gap, against the size of the blank. */
const PAST = 0.02

function discBody(radiusMm: number, middle: Point): Body {
  return {
    radiusMm,
    edge: NO_EDGE,
    field: undefined,
    hulls: undefined,
    middle,
    halfX: radiusMm,
    halfY: radiusMm,
    reachMm: radiusMm,
  }
}

function outlineBody(region: Region, { gapMm, largestDiscMm }: Making): Body {
  const own = boundsOf(region.outer)
  const middle: Point = [(own.minX + own.maxX) / 2, (own.minY + own.maxY) / 2]
  const rings = [region.outer, ...region.holes].map((ring) => placeOutline(ring, 0, -middle[0], -middle[1]))
  const [outer = [], ...holes] = rings
  const edges = rings.map((ring) => thinned(ring, THINNED_MM))
  const around = edges.flatMap((ring) =>
    ring.map((p, i) => Math.hypot(p[0] - (ring.at(i - 1) as Point)[0], p[1] - (ring.at(i - 1) as Point)[1])),
  )
  const places = around.length <= MOST_PLACES.corners ? MOST_PLACES.few : MOST_PLACES.many
  const spacingMm = Math.max(LEAST_SPACING_MM, around.reduce((sum, long) => sum + long, 0) / places)
  const [halfX, halfY] = [(own.maxX - own.minX) / 2, (own.maxY - own.minY) / 2]
  const size = 2 * Math.max(halfX, halfY)
  const pastMm = gapMm + Math.max(largestDiscMm, PAST * size)
  const stepMm = Math.max(LEAST_STEP_MM, size / CELLS_ACROSS, (size + 2 * pastMm) / MOST_ACROSS)
  const field = fieldOf(outer, holes, { pastMm, stepMm })
  return {
    radiusMm: undefined,
    edge: edgeAlong(edges, spacingMm),
    field,
    hulls: holes.length === 0 && outer.length <= MOST_CORNERS ? hullsOf(outer) : undefined,
    middle,
    halfX: halfX + gapMm,
    halfY: halfY + gapMm,
    reachMm: Math.max(...outer.map(([x, y]) => Math.hypot(x, y))),
  }
}

/** A blank as others feel it. */
export function bodyOf({ circle, outer, holes }: LayoutItem, making: Making): Body {
  return circle ? discBody(circle.radiusMm, [0, 0]) : outlineBody({ outer: outer ?? [], holes }, making)
}

/** What lies on the sheet already, as blanks feel it; it lies at its own origin. */
export function bodyOfPlaced(shape: PlacedShape, making: Making): Body {
  return shape.kind === 'circle' ? discBody(shape.radiusMm, shape.centre) : outlineBody(shape, making)
}

/** Where bodies lie: x, y of the middle, and the angle in radians times the reach, of each in a row. */
export type Places = Float64Array

const RAD = Math.PI / 180

/** The middle turned by an angle about the blank’s own origin. */
function turnedMiddle({ middle: [x, y] }: Body, angleRad: number): Point {
  const [cos, sin] = [Math.cos(angleRad), Math.sin(angleRad)]
  return [x * cos - y * sin, x * sin + y * cos]
}

export function placesOf(bodies: readonly Body[], poses: readonly Pose[]): Places {
  return Float64Array.from(
    poses.flatMap(({ x, y, rotationDeg }, i) => {
      const body = bodies[i] as Body
      const [dx, dy] = turnedMiddle(body, rotationDeg * RAD)
      return [x + dx, y + dy, rotationDeg * RAD * body.reachMm]
    }),
  )
}

/** The poses of bodies; an angle that was held comes back as it was given. */
export function posesOf(bodies: readonly Body[], at: Places): readonly Pose[] {
  return bodies.map((body, i) => {
    const angleRad = (at[3 * i + 2] as number) / body.reachMm
    const [dx, dy] = turnedMiddle(body, angleRad)
    const rotationDeg = Math.round((angleRad / RAD) * 1e9) / 1e9
    return { x: (at[3 * i] as number) - dx, y: (at[3 * i + 1] as number) - dy, rotationDeg }
  })
}
