import { netAreaMm2, rectangleOutline } from '../../src/core/geometry/outline'
import type { Outline } from '../../src/core/geometry/point'
import { seededRandom } from '../../src/core/numerics/random'

/** A rectangle cut by straight cuts through the middle of its largest piece: pieces that are known to fit together. */
export function jigsaw(wide: number, high: number, count: number, seed: number): Outline[] {
  const random = seededRandom(seed)
  const pieces: Outline[] = [rectangleOutline(wide, high)]
  while (pieces.length < count) {
    pieces.sort((a, b) => netAreaMm2(b, []) - netAreaMm2(a, []))
    const piece = pieces.shift() ?? []
    const [cx, cy] = piece.reduce(([x, y], [px, py]) => [x + px / piece.length, y + py / piece.length], [0, 0])
    const angle = Math.PI * random()
    const side = ([x, y]: readonly [number, number]) => (x - cx) * Math.cos(angle) + (y - cy) * Math.sin(angle)
    const half = (way: 1 | -1) =>
      piece.flatMap((point, i): Outline => {
        const next = piece[(i + 1) % piece.length] ?? point
        const [a, b] = [way * side(point), way * side(next)]
        const t = a / (a - b)
        const own: Outline = a >= 0 ? [point] : []
        return a * b < 0 ? [...own, [point[0] + t * (next[0] - point[0]), point[1] + t * (next[1] - point[1])]] : own
      })
    pieces.push(half(1), half(-1))
  }
  return pieces
}
