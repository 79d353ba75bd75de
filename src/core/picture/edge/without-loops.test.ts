import { describe, expect, it } from 'vitest'
import { netAreaMm2 } from '../../geometry/outline'
import type { Outline, Point } from '../../geometry/point'
import { evenly } from '../thing/contour'
import { withoutLoops } from './without-loops'

const STEP_MM = 0.15
const square: Outline = [
  [0, 0],
  [30, 0],
  [30, 20],
  [0, 20],
]
/** A square with something put into its lower edge, every 0.15 mm a point. */
const put = (points: readonly Point[]) => evenly([[0, 0], ...points, [30, 0], [30, 20], [0, 20]], STEP_MM)

describe('a measured edge without slips', () => {
  it('that has none stays as it is', () => {
    const line = evenly(square, STEP_MM)
    const { line: left, threads } = withoutLoops(line, 0.5)
    expect(new Set(left)).toEqual(new Set(line))
    expect(threads).toEqual([])
  })
  it('loses a loop in which it crosses itself, wherever it begins', () => {
    const looped = put([
      [12, 0],
      [13.5, -1],
      [12.6, -1.4],
      [12.6, 0.5],
      [14, 0],
    ])
    for (const turn of [0, 60, 84, 90, 200]) {
      const line = [...looped.slice(turn), ...looped.slice(0, turn)]
      const { line: left } = withoutLoops(line, 0.5)
      expect(left.length).toBeLessThan(line.length)
      expect(Math.abs(netAreaMm2(left) - 600)).toBeLessThan(1.5)
      for (const [, y] of left) expect(y).toBeGreaterThan(-0.75)
    }
  })
  it('loses a thread that the picture does not show, and says so', () => {
    const { line, threads } = withoutLoops(
      put([
        [14.8, 0],
        [14.9, -2.4],
        [15.1, -2.4],
        [15.2, 0],
      ]),
      0.5,
    )
    expect(threads.length).toBe(1)
    for (const [, y] of line) expect(y).toBeGreaterThan(-0.35)
  })
  it('keeps a tab that is wider, a slit that is, and a pointed tip', () => {
    const kept: (readonly Point[])[] = [
      [
        [14, 0],
        [14, -2.4],
        [15.2, -2.4],
        [15.2, 0],
      ],
      [
        [14, 0],
        [14, 3],
        [15, 3],
        [15, 0],
      ],
      [
        [12, 0],
        [15, -9],
        [18, 0],
      ],
    ]
    for (const points of kept) {
      const line = put(points)
      const { line: left, threads } = withoutLoops(line, 0.5)
      expect(new Set(left)).toEqual(new Set(line))
      expect(threads).toEqual([])
    }
  })
})
