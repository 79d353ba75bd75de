import { triangulate } from '../../geometry/triangulate'
import { bisect } from '../../numerics/bisect'
import type { Mesh, Solid } from './solid'
import { Surface, tubeOf, type Vertex } from './surface'

type Of<Kind extends Solid['kind']> = Extract<Solid, { kind: Kind }>

const AROUND = 64
const ALONG = 20

function around(from: number, to: number, steps: number): number[] {
  return Array.from({ length: steps + 1 }, (_, i) => from + ((to - from) * i) / steps)
}

/** Outline and holes stood up by the thickness. */
export function plateMesh({ outline, holes, thicknessMm }: Of<'plate'>): Mesh {
  const surface = new Surface()
  const { points, triangles } = triangulate(outline, holes)
  const half = thicknessMm / 2
  const [lower, upper] = [-half, half].map((z) => points.map(([x, y]) => surface.add([x, y, z])))
  for (let i = 0; i < triangles.length; i += 3) {
    const [a, b, c] = [triangles[i] ?? 0, triangles[i + 1] ?? 0, triangles[i + 2] ?? 0]
    surface.triangle(upper?.[a] ?? 0, upper?.[b] ?? 0, upper?.[c] ?? 0)
    surface.triangle(lower?.[a] ?? 0, lower?.[c] ?? 0, lower?.[b] ?? 0)
  }
  let at = 0
  for (const ring of [outline, ...holes]) {
    const [from, to] = [at, at + ring.length]
    surface.join(lower?.slice(from, to) ?? [], upper?.slice(from, to) ?? [])
    at = to
  }
  return surface.mesh()
}

/** A disc on its way onto a sphere: at any share it has the area of the disc. */
export function capMesh({ discMm, halfAngleRad, thicknessMm, holeMm = 0, facing }: Of<'cap'>, formed: number): Mesh {
  const half = Math.max(0.004, halfAngleRad * formed)
  const radius = discMm / 4 / Math.sin(half / 2)
  const angles = around(holeMm / 2, discMm / 2, ALONG).map((flat) => 2 * Math.asin(Math.min(1, Math.max(1e-4, flat) / (2 * radius))))
  const shell = (r: number) => angles.map((angle) => [r * Math.sin(angle), r * Math.cos(angle) - radius * Math.cos(half)] as const)
  const outer = shell(radius + thicknessMm / 2).map(([r, z]) => [r, z * facing] as const)
  const inner = shell(Math.max(1e-3, radius - thicknessMm / 2)).map(([r, z]) => [r, z * facing] as const)
  // counter-clockwise in (radius, height): which shell comes first depends on which way it faces
  const [first, second] = facing === 1 ? [inner, outer] : [outer, inner]
  return turnedMesh({ kind: 'turned', profile: [...first, ...second.reverse()] })
}

/** A sector on its way into a cone: the sector's angle wraps further round as the sides rise. */
export function coneMesh({ nearMm, farMm, sectorRad, thicknessMm }: Of<'cone'>, formed: number): Mesh {
  const wrap = sectorRad + (2 * Math.PI - sectorRad) * formed
  const lean = Math.min(1, sectorRad / wrap)
  const rise = Math.sqrt(Math.max(0, 1 - lean * lean))
  const at = (slant: number, off: number, turn: number): Vertex => {
    const r = slant * lean + off * rise
    return [r * Math.cos(turn), r * Math.sin(turn), off * lean - slant * rise]
  }
  const surface = new Surface()
  const half = thicknessMm / 2
  const rings = around(0, wrap, AROUND).map((turn) =>
    [at(nearMm, -half, turn), at(farMm, -half, turn), at(farMm, half, turn), at(nearMm, half, turn)].map((vertex) => surface.add(vertex)),
  )
  rings.slice(1).forEach((ring, i) => {
    const before = rings[i]
    if (before) surface.join(ring, before)
  })
  const [first, last] = [rings[0] ?? [], rings.at(-1) ?? []]
  surface.quad(first[0] ?? 0, first[1] ?? 0, first[2] ?? 0, first[3] ?? 0)
  surface.quad(last[3] ?? 0, last[2] ?? 0, last[1] ?? 0, last[0] ?? 0)
  return surface.mesh()
}

function slab(surface: Surface, corners: readonly Vertex[], normal: Vertex, thicknessMm: number): void {
  const [lower, upper] = [-0.5, 0.5].map((share) =>
    corners.map(([x, y, z]) =>
      surface.add([x + share * thicknessMm * normal[0], y + share * thicknessMm * normal[1], z + share * thicknessMm * normal[2]]),
    ),
  )
  if (!lower || !upper) return
  for (let i = 1; i < corners.length - 1; i++) {
    surface.triangle(upper[0] ?? 0, upper[i] ?? 0, upper[i + 1] ?? 0)
    surface.triangle(lower[0] ?? 0, lower[i + 1] ?? 0, lower[i] ?? 0)
  }
  surface.join(lower, upper)
}

/** A bottom and four walls, folded up by a share of a right angle. */
export function boxMesh({ lengthMm, widthMm, wallMm, thicknessMm }: Of<'box'>, formed: number): Mesh {
  const surface = new Surface()
  const angle = (Math.PI / 2) * formed
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  const [x, y] = [lengthMm / 2, widthMm / 2]
  const flat: Vertex[] = [
    [-x, -y, 0],
    [x, -y, 0],
    [x, y, 0],
    [-x, y, 0],
  ]
  slab(surface, flat, [0, 0, 1], thicknessMm)
  for (const [ux, uy, reach, half] of [
    [1, 0, x, y],
    [0, 1, y, x],
    [-1, 0, x, y],
    [0, -1, y, x],
  ] as const) {
    const edge = (along: number, up: number): Vertex => [ux * (reach + up * c) - uy * along, uy * (reach + up * c) + ux * along, up * s]
    slab(surface, [edge(-half, 0), edge(-half, wallMm), edge(half, wallMm), edge(half, 0)], [-ux * s, -uy * s, c], thicknessMm)
  }
  return surface.mesh()
}

/** A profile, counter-clockwise in (radius, height), turned round its axis. */
export function turnedMesh({ profile }: Of<'turned'>): Mesh {
  const rows = around(0, 2 * Math.PI, AROUND)
    .slice(0, -1)
    .map((turn) => profile.map(([r, z]): Vertex => [Math.max(1e-4, r) * Math.cos(turn), -Math.max(1e-4, r) * Math.sin(turn), z]))
  return tubeOf(rows).mesh()
}

/** Where the rim of a creased sheet comes to lie: ridge ends and corners by turns, ridges lifted, corners by as much as keeps every face its own size. */
export function starRim({ rays, reachMm, liftRad }: Of<'star'>, formed: number): Vertex[] {
  const step = Math.PI / rays
  const corner = reachMm / Math.cos(step)
  const side = reachMm * Math.tan(step)
  const lift = liftRad * formed
  const apart = (sink: number) => {
    const [r1, z1, r2, z2] = [reachMm * Math.cos(lift), reachMm * Math.sin(lift), corner * Math.cos(sink), -corner * Math.sin(sink)]
    return Math.sqrt(r1 * r1 + r2 * r2 - 2 * r1 * r2 * Math.cos(step) + (z1 - z2) ** 2) - side
  }
  // about a flat sheet's middle ridges and corners rise together, the corners by less: the one way no face is stretched
  const sink = lift < 1e-6 ? 0 : bisect(apart, -lift, 0).x
  return Array.from({ length: 2 * rays }, (_, i): Vertex => {
    const [reach, angle] = i % 2 === 0 ? [reachMm, lift] : [corner, -sink]
    return [reach * Math.cos(angle) * Math.cos(i * step), reach * Math.cos(angle) * Math.sin(i * step), reach * Math.sin(angle)]
  })
}

/** A creased sheet as thick as it is. */
export function starMesh(star: Of<'star'>, formed: number): Mesh {
  const surface = new Surface()
  const rim = starRim(star, formed)
  rim.forEach((a, i) => {
    const b = rim[(i + 1) % rim.length] ?? a
    const normal: Vertex = [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]]
    const size = Math.hypot(...normal) || 1
    slab(surface, [[0, 0, 0], a, b], [normal[0] / size, normal[1] / size, normal[2] / size], star.thicknessMm)
  })
  return surface.mesh()
}
