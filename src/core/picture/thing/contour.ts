import { perimeterMm } from '../../geometry/outline'
import type { Outline, Point } from '../../geometry/point'
import type { Mask } from '../pieces'
import { PIXEL_MM, placeAt } from './field'

/** The border of a mask that hangs together, along the edges of its places, counter-clockwise on the card, mm. */
export function borderOf({ width, height, on }: Mask): Outline {
  const start = on.indexOf(1)
  if (start < 0) return []
  const isOn = (x: number, y: number) => x >= 0 && y >= 0 && x < width && y < height && on[y * width + x] === 1
  // corners of places, x to the right and y down; the thing lies to the left of the way to the eye
  const points: Point[] = []
  const [x0, y0] = [start % width, Math.floor(start / width)]
  let [x, y, dx, dy] = [x0, y0, 0, 1]
  do {
    const [px, py] = placeAt(0)
    points.push([px + (x - 0.5) * PIXEL_MM, py - (y - 0.5) * PIXEL_MM])
    x += dx
    y += dy
    // the places ahead, to the left and to the right of the way
    const left = isOn(x + (dx - 1 + dy) / 2, y + (dy - 1 - dx) / 2)
    const right = isOn(x + (dx - 1 - dy) / 2, y + (dy - 1 + dx) / 2)
    if (!left) [dx, dy] = [dy, -dx]
    else if (right) [dx, dy] = [-dy, dx]
  } while (x !== x0 || y !== y0)
  return points
}

/** A closed line told anew by points the same way apart, near the step asked for. */
export function evenly(line: Outline, stepMm: number): Outline {
  const whole = perimeterMm(line)
  const count = Math.max(8, Math.round(whole / stepMm))
  const points: Point[] = []
  let [i, passed] = [0, 0]
  for (let k = 0; k < count; k++) {
    const wanted = (whole * k) / count
    for (;;) {
      const [a, b] = [line[i % line.length] ?? [0, 0], line[(i + 1) % line.length] ?? [0, 0]]
      const length = Math.hypot(b[0] - a[0], b[1] - a[1])
      if (passed + length >= wanted || i >= 2 * line.length) {
        const share = length > 0 ? Math.max(0, Math.min(1, (wanted - passed) / length)) : 0
        points.push([a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share])
        break
      }
      passed += length
      i++
    }
  }
  return points
}

/** A closed line whose every point is the mean of its neighbours on both sides. */
export function smoothed(line: Outline, neighbours: number): Outline {
  return line.map((_, i): Point => {
    let [x, y] = [0, 0]
    for (let k = -neighbours; k <= neighbours; k++) {
      const point = line[(i + k + 2 * line.length) % line.length] ?? [0, 0]
      x += point[0]
      y += point[1]
    }
    return [x / (2 * neighbours + 1), y / (2 * neighbours + 1)]
  })
}

/** The way straight out at each point of a counter-clockwise line, felt over neighbours on both sides. */
export function normalsOf(line: Outline, neighbours: number): Outline {
  const n = line.length
  return line.map((_, i): Point => {
    const [a, b] = [line[(i - neighbours + n) % n] ?? [0, 0], line[(i + neighbours) % n] ?? [0, 0]]
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
    return [(b[1] - a[1]) / length, -(b[0] - a[0]) / length]
  })
}
