import { enclosedBy, type Region } from '../../geometry/clip'
import { signedAreaMm2 } from '../../geometry/outline'
import type { Outline, Point } from '../../geometry/point'
import type { Vector } from '../place'
import type { Mesh } from './solid'

/** Off the plane of a corner by so little: a cut through corners is no cut along them. */
const OFF_MM = 1e-6
/** Ends nearer than this are one, mm. */
const SAME_MM = 1e-5

/** The triangles of a surface that have corners on both sides of a plane across y. */
function* facesAcross({ positions, triangles }: Mesh, yMm: number): Generator<readonly [Vector, Vector, Vector]> {
  const at = (index: number): Vector => [positions[3 * index] ?? 0, positions[3 * index + 1] ?? 0, positions[3 * index + 2] ?? 0]
  const isBehind = (index: number) => (positions[3 * index + 1] ?? 0) > yMm
  for (let i = 0; i < triangles.length; i += 3) {
    const a = triangles[i] ?? 0
    const b = triangles[i + 1] ?? 0
    const c = triangles[i + 2] ?? 0
    if (isBehind(a) !== isBehind(b) || isBehind(b) !== isBehind(c)) yield [at(a), at(b), at(c)]
  }
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

/** Whether a surface has points on both sides of a plane across y. */
function reaches({ positions }: Mesh, yMm: number): boolean {
  let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY]
  for (let i = 1; i < positions.length; i += 3) {
    least = Math.min(least, positions[i] ?? least)
    most = Math.max(most, positions[i] ?? most)
  }
  return least < yMm + 2 * OFF_MM && most > yMm - 2 * OFF_MM
}

/** A surface cut by the plane across y, seen from in front: x to the right, z up. Regions of metal, with their holes. */
export function sectionOf(mesh: Mesh, yMm = 0): Region[] {
  if (!reaches(mesh, yMm)) return []
  const stretches = [...facesAcross(mesh, yMm + OFF_MM)].flatMap((face) => stretchOf(face, yMm + OFF_MM) ?? [])
  return stretches.length > 0 ? enclosedBy(loopsOf(stretches)) : []
}

/** A number for each corner of a surface; corners that lie over one another have the same. */
function cornersFromAbove({ positions }: Mesh): number[] {
  const numbers = new Map<string, number>()
  const corners: number[] = []
  for (let i = 0; i < positions.length; i += 3) {
    const key = keyOf([positions[i] ?? 0, positions[i + 1] ?? 0])
    const number = numbers.get(key) ?? numbers.size
    numbers.set(key, number)
    corners.push(number)
  }
  return corners
}

/**
 * The rim of what faces upwards, seen from above: edges that two of its triangles share cancel out. It winds round each point as often as
 * triangles cover it.
 */
function rimOf(mesh: Mesh): Stretch[] {
  const { positions, triangles } = mesh
  const corners = cornersFromAbove(mesh)
  const at = (index: number): Point => [positions[3 * index] ?? 0, positions[3 * index + 1] ?? 0]
  const rim = new Map<number, Stretch[]>()
  for (let i = 0; i < triangles.length; i += 3) {
    const face = [triangles[i] ?? 0, triangles[i + 1] ?? 0, triangles[i + 2] ?? 0] as const
    const points = [at(face[0]), at(face[1]), at(face[2])] as const
    if (signedAreaMm2(points) <= 0) continue
    for (const [from, to] of [
      [0, 1],
      [1, 2],
      [2, 0],
    ] as const) {
      const [here, there] = [corners[face[from]] ?? 0, corners[face[to]] ?? 0]
      if (here === there || rim.get(there * corners.length + here)?.pop()) continue
      const key = here * corners.length + there
      rim.set(key, [...(rim.get(key) ?? []), { from: points[from], to: points[to] }])
    }
  }
  return [...rim.values()].flat()
}

/** A surface seen from above: what it covers. */
export function planOf(mesh: Mesh): Region[] {
  return enclosedBy(loopsOf(rimOf(mesh)))
}
