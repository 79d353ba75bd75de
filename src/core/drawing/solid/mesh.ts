import { boxMesh, capMesh, coneMesh, plateMesh, starMesh, turnedMesh } from './formed'
import type { Mesh, Solid, SolidPart } from './solid'
import { sweptMesh } from './swept'

/** The surface of a solid, formed by a share from 0, the flat blank, to 1, the finished piece. Coordinates in mm. */
export function meshOf(solid: Solid, formed: number): Mesh {
  switch (solid.kind) {
    case 'swept':
      return sweptMesh(solid, formed)
    case 'plate':
      return plateMesh(solid)
    case 'cap':
      return capMesh(solid, formed)
    case 'cone':
      return coneMesh(solid, formed)
    case 'box':
      return boxMesh(solid, formed)
    case 'turned':
      return turnedMesh(solid)
    case 'star':
      return starMesh(solid, formed)
  }
}

/** All parts of a piece as one surface, each where it stands. */
export function piecesMesh(parts: readonly SolidPart[], formed: number): Mesh {
  const positions: number[] = []
  const triangles: number[] = []
  for (const { solid, at } of parts) {
    const start = positions.length / 3
    const mesh = meshOf(solid, formed)
    mesh.positions.forEach((value, i) => {
      positions.push(value + (at[i % 3] ?? 0))
    })
    for (const index of mesh.triangles) triangles.push(index + start)
  }
  return { positions, triangles }
}

/** Volume a closed surface encloses, mm³, by the divergence theorem (source: closed-form). */
export function meshVolumeMm3({ positions, triangles }: Mesh): number {
  let six = 0
  const vertex = (index: number) => [positions[3 * index] ?? 0, positions[3 * index + 1] ?? 0, positions[3 * index + 2] ?? 0] as const
  for (let i = 0; i < triangles.length; i += 3) {
    const [a, b, c] = [vertex(triangles[i] ?? 0), vertex(triangles[i + 1] ?? 0), vertex(triangles[i + 2] ?? 0)]
    six += a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0]) + a[2] * (b[0] * c[1] - b[1] * c[0])
  }
  return six / 6
}
