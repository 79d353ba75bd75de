import earcut from 'earcut'
import { counterClockwise, signedAreaMm2 } from '../../geometry/outline'
import type { Outline, Point } from '../../geometry/point'

const turnOf = (a: Point, b: Point, c: Point): number => (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0])

/** A corner may turn inwards by so much and the outline has still no hollow, mm². */
const STRAIGHT_MM2 = 1e-9

/** Whether an outline, counter-clockwise, turns inwards anywhere. */
export const isHollow = (outline: Outline): boolean =>
  outline.some((p, i) => turnOf(outline.at(i - 1) as Point, p, outline[(i + 1) % outline.length] as Point) < -STRAIGHT_MM2)

/** Two rings of corners joined along an edge they share, where that leaves no hollow. */
function joined(a: readonly number[], b: readonly number[], outline: Outline): readonly number[] | undefined {
  for (let i = 0; i < a.length; i++) {
    const [from, to] = [a[i] as number, a[(i + 1) % a.length] as number]
    const j = b.findIndex((corner, k) => corner === to && b[(k + 1) % b.length] === from)
    if (j < 0) continue
    const around = <T>(list: readonly T[], start: number) => [...list.slice(start), ...list.slice(0, start)]
    // all of the one from the far end of the edge round to its near end, then what the other has between
    const ring = [...around(a, (i + 1) % a.length), ...around(b, (j + 1) % b.length).slice(1, -1)]
    return isHollow(ring.map((corner) => outline[corner] as Point)) ? undefined : ring
  }
  return undefined
}

/** An outline as pieces without hollows, counter-clockwise: triangles, joined where they may be. */
export function hullsOf(outline: Outline): readonly Outline[] {
  const around = counterClockwise(outline)
  if (!isHollow(around)) return [around]
  const corners = earcut(around.flat())
  let rings: (readonly number[])[] = []
  for (let i = 0; i < corners.length; i += 3) {
    const ring = corners.slice(i, i + 3)
    const area = signedAreaMm2(ring.map((corner) => around[corner] as Point))
    if (Math.abs(area) > STRAIGHT_MM2) rings.push(area < 0 ? ring.reverse() : ring)
  }
  for (let i = 0; i < rings.length; i++)
    for (let j = i + 1; j < rings.length; j++) {
      const both = joined(rings[i] as readonly number[], rings[j] as readonly number[], around)
      if (!both) continue
      rings = [...rings.slice(0, i), both, ...rings.slice(i + 1, j), ...rings.slice(j + 1)]
      j = i
    }
  return rings.map((ring) => ring.map((corner) => around[corner] as Point))
}

const supportOf = (outline: Outline, nx: number, ny: number): number => Math.max(...outline.map(([x, y]) => nx * x + ny * y))

/** Ways square to the edges of an outline. */
export function squareTo(outline: Outline): readonly Point[] {
  return outline.map((p, i): Point => {
    const q = outline[(i + 1) % outline.length] as Point
    const long = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1
    return [(q[1] - p[1]) / long, (p[0] - q[0]) / long]
  })
}

/** Ways half-way between each two that follow one another: along them a gap is not grown past a corner. */
function halfWay(ways: readonly Point[]): readonly Point[] {
  return ways.map((n, i): Point => {
    const next = ways[(i + 1) % ways.length] as Point
    const long = Math.hypot(n[0] + next[0], n[1] + next[1]) || 1
    return [(n[0] + next[0]) / long, (n[1] + next[1]) / long]
  })
}

/**
 * Where the middle of one piece may not be, seen from the middle of another, so that they keep a gap: a row of nx, ny, away for each edge of that
 * place; inside it nx x + ny y < away for all.
 */
export function keptOff(of: Outline, by: Outline, gapMm: number): Float64Array {
  const turned = by.map(([x, y]): Point => [-x, -y])
  const ways = [of, turned].flatMap((one) => {
    const square = squareTo(one)
    return gapMm > 0 ? [...square, ...halfWay(square)] : square
  })
  return Float64Array.from(ways.flatMap(([nx, ny]) => [nx, ny, supportOf(of, nx, ny) + supportOf(turned, nx, ny) + gapMm]))
}
