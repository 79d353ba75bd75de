import type { Mesh } from './solid'

export type Vertex = readonly [number, number, number]

/** Collects vertices and the faces between them. */
export class Surface {
  private readonly positions: number[] = []
  private readonly triangles: number[] = []

  add([x, y, z]: Vertex): number {
    this.positions.push(x, y, z)
    return this.positions.length / 3 - 1
  }

  triangle(a: number, b: number, c: number): void {
    this.triangles.push(a, b, c)
  }

  quad(a: number, b: number, c: number, d: number): void {
    this.triangles.push(a, b, c, a, c, d)
  }

  /** Faces between two closed rings of as many vertices, `from` behind, `to` in front, both counter-clockwise seen from the front. */
  join(from: readonly number[], to: readonly number[]): void {
    from.forEach((a, i) => {
      const next = (i + 1) % from.length
      this.quad(a, from[next] ?? a, to[next] ?? a, to[i] ?? a)
    })
  }

  mesh(): Mesh {
    return { positions: this.positions, triangles: this.triangles }
  }
}

/** A flat grid of vertices joined to closed surface: rows of equal length that run round and meet themselves. */
export function tubeOf(rows: readonly (readonly Vertex[])[]): Surface {
  const surface = new Surface()
  const rings = rows.map((row) => row.map((vertex) => surface.add(vertex)))
  rings.forEach((ring, i) => {
    const next = rings[(i + 1) % rings.length]
    if (next) surface.join(ring, next)
  })
  return surface
}
