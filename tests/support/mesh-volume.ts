import type { Mesh } from '@/core/drawing'

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
