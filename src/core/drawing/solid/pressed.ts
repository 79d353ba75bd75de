import { triangulate } from '../../geometry/triangulate'
import type { Mesh, Solid } from './solid'
import { Surface, type Vertex } from './surface'

/** Rings from the middle of the impression to its edge. */
const RINGS = 14

/**
 * A flat sheet with an impression pressed up out of its middle: highest there, flat again at the impression's edge. Every point goes
 * straight up by as much as is under it, so that the volume stays at any share of the depth.
 */
export function pressedMesh({ outline, impression, depthMm, thicknessMm }: Extract<Solid, { kind: 'pressed' }>, formed: number): Mesh {
  const surface = new Surface()
  const flat = triangulate(outline, [[...impression].reverse()])
  const edge = [...impression].map((_, i) => outline.length + (impression.length - 1 - i))
  const rise = (share: number) => depthMm * formed * (1 - share * share)
  const face = (lift: number) => {
    const rim = flat.points.map(([x, y]) => surface.add([x, y, lift]))
    const rings = Array.from({ length: RINGS - 1 }, (_, k) => {
      const share = (k + 1) / RINGS
      return impression.map(([x, y]): number => surface.add([x * share, y * share, rise(share) + lift] satisfies Vertex))
    })
    const middle = surface.add([0, 0, rise(0) + lift])
    return { rim, rings: [...rings, edge.map((at) => rim[at] ?? 0)], middle }
  }
  const [lower, upper] = [face(-thicknessMm / 2), face(thicknessMm / 2)]
  for (let i = 0; i < flat.triangles.length; i += 3) {
    const [a = 0, b = 0, c = 0] = flat.triangles.slice(i, i + 3)
    surface.triangle(upper.rim[a] ?? 0, upper.rim[b] ?? 0, upper.rim[c] ?? 0)
    surface.triangle(lower.rim[a] ?? 0, lower.rim[c] ?? 0, lower.rim[b] ?? 0)
  }
  impression.forEach((_, i) => {
    const next = (i + 1) % impression.length
    const at = (ring: readonly number[] | undefined, k: number) => ring?.[k] ?? 0
    surface.triangle(upper.middle, at(upper.rings[0], i), at(upper.rings[0], next))
    surface.triangle(lower.middle, at(lower.rings[0], next), at(lower.rings[0], i))
    for (let k = 1; k < RINGS; k++) {
      const [up, down] = [[upper.rings[k - 1], upper.rings[k]] as const, [lower.rings[k - 1], lower.rings[k]] as const]
      surface.quad(at(up[0], i), at(up[1], i), at(up[1], next), at(up[0], next))
      surface.quad(at(down[0], i), at(down[0], next), at(down[1], next), at(down[1], i))
    }
  })
  surface.join(lower.rim.slice(0, outline.length), upper.rim.slice(0, outline.length))
  return surface.mesh()
}
