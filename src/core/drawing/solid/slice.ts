import { type Region, uniteRegions } from '../../geometry/clip'
import { signedAreaMm2 } from '../../geometry/outline'
import type { Outline, Point } from '../../geometry/point'
import type { Vector } from '../place'
import type { Mesh } from './solid'

/** Off the plane of a corner by so little: a cut through corners is no cut along them. */
const OFF_MM = 1e-6
/** Ends nearer than this are one, mm. */
const SAME_MM = 1e-5
/** A triangle seen from its edge covers nothing. */
const LEAST_AREA_MM2 = 1e-9

function* facesOf({ positions, triangles }: Mesh): Generator<readonly [Vector, Vector, Vector]> {
  const at = (index: number): Vector => [positions[3 * index] ?? 0, positions[3 * index + 1] ?? 0, positions[3 * index + 2] ?? 0]
  for (let i = 0; i < triangles.length; i += 3) yield [at(triangles[i] ?? 0), at(triangles[i + 1] ?? 0), at(triangles[i + 2] ?? 0)]
}

interface Stretch {
  readonly from: Point
  readonly to: Point
}

/** Where a triangle crosses the plane, with the metal on its left as it is seen from in front. */
function stretchOf(face: readonly [Vector, Vector, Vector], yMm: number): Stretch | undefined {
  const crossings: { point: Point; rises: boolean }[] = []
  face.forEach((a, i) => {
    const b = face[(i + 1) % 3] ?? a
    const [da, db] = [a[1] - yMm, b[1] - yMm]
    if (da > 0 === db > 0) return
    const share = da / (da - db)
    crossings.push({ point: [a[0] + share * (b[0] - a[0]), a[2] + share * (b[2] - a[2])], rises: db > 0 })
  })
  const [one, two] = crossings
  if (!one || !two) return undefined
  return one.rises ? { from: one.point, to: two.point } : { from: two.point, to: one.point }
}

const keyOf = ([x, y]: Point) => `${Math.round(x / SAME_MM)} ${Math.round(y / SAME_MM)}`

/** Stretches end to end as closed outlines. */
function loopsOf(stretches: readonly Stretch[]): Outline[] {
  const next = new Map<string, Stretch[]>()
  for (const stretch of stretches) next.set(keyOf(stretch.from), [...(next.get(keyOf(stretch.from)) ?? []), stretch])
  const loops: Outline[] = []
  for (const first of stretches) {
    const loop: Point[] = []
    for (let here = next.get(keyOf(first.from))?.pop(); here; here = next.get(keyOf(here.to))?.pop()) loop.push(here.from)
    if (loop.length > 2) loops.push(loop)
  }
  return loops
}

/** A surface cut by the plane across y, seen from in front: x to the right, z up. Regions of metal, with their holes. */
export function sectionOf(mesh: Mesh, yMm = 0): Region[] {
  const stretches = [...facesOf(mesh)].flatMap((face) => stretchOf(face, yMm + OFF_MM) ?? [])
  return uniteRegions(regionsOf(loopsOf(stretches)))
}

/** Loops that run the one way round are metal, the others holes in it. */
function regionsOf(loops: readonly Outline[]): Region[] {
  const metal = loops.filter((loop) => signedAreaMm2(loop) > 0)
  const holes = loops.filter((loop) => signedAreaMm2(loop) < 0)
  return metal.map((outer) => ({ outer, holes: holes.filter((hole) => isWithin(hole[0], outer)) }))
}

function isWithin(point: Point | undefined, outline: Outline): boolean {
  if (!point) return false
  let inside = false
  outline.forEach(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length] ?? [ax, ay]
    if (ay > point[1] !== by > point[1] && point[0] < ax + ((bx - ax) * (point[1] - ay)) / (by - ay)) inside = !inside
  })
  return inside
}

/** A surface seen from above: what it covers. */
export function planOf(mesh: Mesh): Region[] {
  const covered = [...facesOf(mesh)].flatMap((face): Region[] => {
    const outer = face.map(([x, y]): Point => [x, y])
    const area = signedAreaMm2(outer)
    return area > LEAST_AREA_MM2 ? [{ outer, holes: [] }] : []
  })
  return uniteRegions(covered)
}
