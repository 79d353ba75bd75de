import type { Region } from '../geometry/clip'
import { edgesOf } from '../geometry/distance'
import { nearestOn } from '../geometry/nearest'
import { netAreaMm2, perimeterMm } from '../geometry/outline'
import { boundsOf, middleOf, type Outline, type Point, placeOutline } from '../geometry/point'
import { mirroredAbout } from './change'

/** How two outlines differ when the one is laid on the other as well as it goes. */
export interface PairDifference {
  /** The second as it is laid on the first. */
  readonly laid: Region
  readonly turnedRad: number
  /** The farthest that an edge of one lies from that of the other, and where. */
  readonly mostMm: number
  readonly mostAt: Point
  /** Root of the mean square of the distances. */
  readonly usualMm: number
  /** The second's area over the first's, less one. */
  readonly areaShare: number
}

/** Places along an outline that are compared. */
const PLACES = 180
/** Turns that are tried at first, and how finely the best is refined, rad. */
const TURNS = { tried: 72, fineRad: 1e-4 } as const

/** Places spread evenly along an outline. */
export function spreadAlong(outline: Outline, count: number): Outline {
  const step = perimeterMm(outline) / count
  const places: Point[] = []
  let next = 0
  for (const [a, b] of edgesOf(outline)) {
    const length = Math.hypot(b[0] - a[0], b[1] - a[1])
    for (; next < length; next += step) places.push([a[0] + (next / length) * (b[0] - a[0]), a[1] + (next / length) * (b[1] - a[1])])
    next -= length
  }
  return places
}

/** How far a place lies from the nearest edge, mm. */
export function farOf(place: Point, edges: readonly (readonly [Point, Point])[]): number {
  let least = Infinity
  for (const [a, b] of edges) {
    const [x, y] = nearestOn(place, a, b)
    least = Math.min(least, (x - place[0]) ** 2 + (y - place[1]) ** 2)
  }
  return Math.sqrt(least)
}

interface Distances {
  readonly sumSq: number
  readonly count: number
  readonly mostMm: number
  readonly mostAt: Point
}

function distances(places: Outline, to: Outline): Distances {
  const edges = edgesOf(to)
  let [sumSq, mostMm, mostAt]: [number, number, Point] = [0, 0, places[0] ?? [0, 0]]
  for (const place of places) {
    const far = farOf(place, edges)
    sumSq += far * far
    if (far > mostMm) [mostMm, mostAt] = [far, place]
  }
  return { sumSq, count: places.length, mostMm, mostAt }
}

/** The middle of an outline's area. */
function centroid(outline: Outline): Point {
  let [twice, x, y] = [0, 0, 0]
  for (const [[ax, ay], [bx, by]] of edgesOf(outline)) {
    const cross = ax * by - bx * ay
    twice += cross
    x += (ax + bx) * cross
    y += (ay + by) * cross
  }
  if (twice !== 0) return [x / (3 * twice), y / (3 * twice)]
  return middleOf(boundsOf(outline))
}

/** The second outline turned, its middle on that of the first. */
function laidOn(first: Outline, second: Region, turnRad: number): Region {
  const [to, from] = [centroid(first), centroid(second.outer)]
  const lay = (outline: Outline) => {
    const about = outline.map(([x, y]): Point => [x - from[0], y - from[1]])
    return placeOutline(about, turnRad, to[0], to[1])
  }
  return { outer: lay(second.outer), holes: second.holes.map(lay) }
}

/** The turn at which the second lies nearest to the first: the best of many, then made finer. */
function bestTurn(first: Outline, second: Region): number {
  const coarse = spreadAlong(first, PLACES / 3)
  const costAt = (turn: number) => distances(coarse, laidOn(first, second, turn).outer).sumSq
  let [best, least] = [0, Infinity]
  for (let i = 0; i < TURNS.tried; i++) {
    const turn = (2 * Math.PI * i) / TURNS.tried
    const cost = costAt(turn)
    if (cost < least) [best, least] = [turn, cost]
  }
  for (let step = Math.PI / TURNS.tried; step > TURNS.fineRad; step /= 2)
    for (const turn of [best - step, best + step]) {
      const cost = costAt(turn)
      if (cost < least) [best, least] = [turn, cost]
    }
  return best
}

/**
 * How a second template differs from a first: laid on it by the middles of their areas and turned as well as it goes, mirrored first where they
 * are a left and a right. Distances are taken from each outline to the other; holes are not compared.
 */
export function differenceOf(first: Region, second: Region, isMirrored: boolean): PairDifference {
  const facing = isMirrored ? mirroredAbout(second, Math.PI / 2) : second
  const turnedRad = bestTurn(first.outer, facing)
  const laid = laidOn(first.outer, facing, turnedRad)
  const [there, back] = [distances(spreadAlong(first.outer, PLACES), laid.outer), distances(spreadAlong(laid.outer, PLACES), first.outer)]
  const worst = there.mostMm >= back.mostMm ? there : back
  return {
    laid,
    turnedRad,
    mostMm: worst.mostMm,
    mostAt: worst.mostAt,
    usualMm: Math.sqrt((there.sumSq + back.sumSq) / (there.count + back.count)),
    areaShare: netAreaMm2(second.outer, second.holes) / netAreaMm2(first.outer, first.holes) - 1,
  }
}
