import { signedAreaMm2 } from '../../geometry/outline'
import type { Mesh, Solid } from './solid'
import { Surface } from './surface'

/** Rings from where the stone turns in to its crown. */
const RINGS = 8

/** The surface of a stone: flat below, straight up to its turn, and from there a quarter of an ellipse to the crown. */
export function stoneMesh({ outline, turnMm, heightMm }: Extract<Solid, { kind: 'stone' }>): Mesh {
  const surface = new Surface()
  const corners = signedAreaMm2(outline) < 0 ? [...outline].reverse() : outline
  const ring = (share: number, zMm: number) => corners.map(([x, y]) => surface.add([share * x, share * y, zMm]))
  const domeMm = Math.max(0, heightMm - turnMm)
  const rings = [ring(1, 0), ring(1, turnMm)]
  for (let i = 1; i < RINGS; i++) {
    const angle = (i / RINGS) * (Math.PI / 2)
    rings.push(ring(Math.cos(angle), turnMm + domeMm * Math.sin(angle)))
  }
  rings.slice(1).forEach((upper, i) => {
    surface.join(rings[i] ?? [], upper)
  })
  const [back, crown] = [surface.add([0, 0, 0]), surface.add([0, 0, turnMm + domeMm])]
  const top = rings.at(-1) ?? []
  corners.forEach((_, i) => {
    const next = (i + 1) % corners.length
    surface.triangle(back, rings[0]?.[next] ?? back, rings[0]?.[i] ?? back)
    surface.triangle(crown, top[i] ?? crown, top[next] ?? crown)
  })
  return surface.mesh()
}
