import type { Point } from '../../geometry/point'
import { boxMesh, capMesh, coneMesh, plateMesh, starMesh, turnedMesh } from './formed'
import { pressedMesh } from './pressed'
import type { Mesh, Solid, SolidPart } from './solid'
import { stoneMesh } from './stone'
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
    case 'pressed':
      return pressedMesh(solid, formed)
    case 'stone':
      return stoneMesh(solid)
  }
}

type Place = readonly [number, number, number]

/** A point of a strip made lying along x and bent towards y, turned so that it runs along a direction of the ground and bends up. */
function stood([x, y, z]: Place, along: Point | undefined): Place {
  if (!along) return [x, y, z]
  const [nx, ny] = along
  return [x * nx + z * ny, x * ny - z * nx, y]
}

/** Turned about the upright. */
function turnedBy([x, y, z]: Place, angleRad: number): Place {
  const [c, s] = [Math.cos(angleRad), Math.sin(angleRad)]
  return [c * x - s * y, s * x + c * y, z]
}

/** All parts of a piece as one surface, each where it stands. */
export function piecesMesh(parts: readonly SolidPart[], formed: number): Mesh {
  const positions: number[] = []
  const triangles: number[] = []
  for (const { solid, at, along, turnRad = 0 } of parts) {
    const start = positions.length / 3
    const mesh = meshOf(solid, formed)
    for (let i = 0; i < mesh.positions.length; i += 3) {
      const [x, y, z] = turnedBy(stood([mesh.positions[i] ?? 0, mesh.positions[i + 1] ?? 0, mesh.positions[i + 2] ?? 0], along), turnRad)
      positions.push(x + at[0], y + at[1], z + at[2])
    }
    for (const index of mesh.triangles) triangles.push(index + start)
  }
  return { positions, triangles }
}
