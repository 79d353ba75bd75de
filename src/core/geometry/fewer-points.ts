import { pointToSegmentMm } from './distance'
import type { Outline, Point } from './point'

/** Which points of an open line must stay, so that none of the others lies further off than the tolerance (Ramer, Douglas and Peucker). */
function kept(line: readonly Point[], toleranceMm: number): Set<number> {
  const stay = new Set([0, line.length - 1])
  const stack: [number, number][] = [[0, line.length - 1]]
  for (let span = stack.pop(); span; span = stack.pop()) {
    const [from, to] = span
    const [a, b] = [line[from], line[to]]
    if (!a || !b) continue
    let [farthest, off] = [-1, toleranceMm]
    for (let i = from + 1; i < to; i++) {
      const here = pointToSegmentMm(line[i] ?? a, a, b)
      if (here > off) [farthest, off] = [i, here]
    }
    if (farthest < 0) continue
    stay.add(farthest)
    stack.push([from, farthest], [farthest, to])
  }
  return stay
}

/** A closed outline by fewer points, none of those left out further from it than the tolerance (mm, 0 or more). */
export function withFewerPoints(outline: Outline, toleranceMm: number): Outline {
  const half = outline.length >> 1
  const halves: readonly Outline[] = [outline.slice(0, half + 1), [...outline.slice(half), ...outline.slice(0, 1)]]
  return halves.flatMap((line) => {
    const stay = kept(line, toleranceMm)
    return line.filter((_, i) => stay.has(i) && i < line.length - 1)
  })
}
