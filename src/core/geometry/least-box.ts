import { hullOf } from './hull'
import { boundsOf, type Outline, placeOutline } from './point'

/** The smallest rectangle round an outline, and how far the outline is turned to lie along it. */
export interface LeastBox {
  readonly lengthMm: number
  readonly widthMm: number
  /** Turned by this the outline's length lies along x. */
  readonly angleRad: number
}

/** The smallest rectangle has a side along an edge of the outline's hull: all edges are tried (closed form). */
export function leastBox(outline: Outline): LeastBox {
  let best: LeastBox | undefined
  const hull = hullOf(outline)
  for (const [i, [x, y]] of hull.entries()) {
    const next = hull[(i + 1) % hull.length] ?? [x, y]
    const angleRad = -Math.atan2(next[1] - y, next[0] - x)
    const { minX, maxX, minY, maxY } = boundsOf(placeOutline(hull, angleRad, 0, 0))
    const [along, across] = [maxX - minX, maxY - minY]
    if (best && along * across >= best.lengthMm * best.widthMm - 1e-9) continue
    best =
      along >= across
        ? { lengthMm: along, widthMm: across, angleRad }
        : { lengthMm: across, widthMm: along, angleRad: angleRad + Math.PI / 2 }
  }
  return best ?? { lengthMm: 0, widthMm: 0, angleRad: 0 }
}

/** An outline turned to lie along its smallest rectangle, that rectangle's lower left corner at the origin. */
export function laidAlong(outline: Outline): Outline {
  const turned = placeOutline(outline, leastBox(outline).angleRad, 0, 0)
  const { minX, minY } = boundsOf(turned)
  return placeOutline(turned, 0, -minX, -minY)
}
