import { perimeterMm } from '../../geometry/outline'
import type { Outline, Point } from '../../geometry/point'
import { type Camera, pixelOf, placeOf, standOf } from '../camera/camera'
import { normalsOf } from '../thing/contour'

/** Within this of sideways to the camera an edge is neither the top nor the foot of its wall. */
const SIDEWAYS = Math.sin((7 * Math.PI) / 180)
const NEIGHBOURS = 4

/** How far each point lies up its wall, 0 at the foot and 1 at the top; between, by the way along the line. */
function upTheWall(line: Outline, camera: Camera): number[] {
  const [cx, cy] = standOf(camera)
  const normals = normalsOf(line, NEIGHBOURS)
  const known = line.map(([x, y], i): number | undefined => {
    const [nx, ny] = normals[i] ?? [0, 0]
    const away = (nx * (x - cx) + ny * (y - cy)) / Math.max(1e-9, Math.hypot(x - cx, y - cy))
    return away > SIDEWAYS ? 1 : away < -SIDEWAYS ? 0 : undefined
  })
  const n = line.length
  const stepMm = perimeterMm(line) / n
  const nearest = (from: number, way: 1 | -1) => {
    for (let k = 1; k < n; k++) {
      const value = known[(from + way * k + n * 2) % n]
      if (value !== undefined) return { value, mm: k * stepMm }
    }
    return { value: 1, mm: 1 }
  }
  return known.map((value, i) => {
    if (value !== undefined) return value
    const [before, after] = [nearest(i, -1), nearest(i, 1)]
    return (before.value * after.mm + after.value * before.mm) / (before.mm + after.mm)
  })
}

/**
 * The outline of a thing with straight walls, brought down to the card from the height at which the picture shows its edge: where a wall looks
 * away from the camera its top hides its foot, where it looks towards it the foot itself is seen.
 */
export function broughtDown(line: Outline, camera: Camera, heightMm: number): Outline {
  if (heightMm === 0) return line
  const up = upTheWall(line, camera)
  return line.map((point, i): Point => placeOf(camera, pixelOf(camera, point), heightMm * (up[i] ?? 0)))
}

/** How far a point moves for each millimetre that its height is off. */
export function movedByHeight(camera: Camera, [x, y]: Point): number {
  const [cx, cy, cz] = standOf(camera)
  return Math.hypot(cx - x, cy - y) / cz
}
