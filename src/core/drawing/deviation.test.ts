import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boundsOf } from '../geometry/point'
import { deviationOf } from './deviation'
import type { DrawingView } from './drawing'

const box = (wide: number, high: number, dimensions: DrawingView['dimensions'] = []): DrawingView => ({
  id: 'v',
  title: 'V',
  shapes: [
    {
      kind: 'region',
      layer: 'metal',
      outer: [
        [0, 0],
        [wide, 0],
        [wide, high],
        [0, high],
      ],
      holes: [],
    },
  ],
  dimensions,
  handles: [],
  notes: [],
})
const across = (wide: number) => ({ from: [0, 0], to: [wide, 0], offset: 1, text: `${wide}` }) as const
const sizeOf = (outlines: readonly (readonly (readonly [number, number])[])[]) => {
  const { minX, maxX, minY, maxY } = boundsOf(outlines[0] ?? [])
  return [maxX - minX, maxY - minY] as const
}

describe('how pieces came out, drawn over what was predicted', () => {
  it('a width that is out is drawn out along the width alone, by so many times', () =>
    fc.assert(
      fc.property(fc.double({ min: -0.4, max: 0.4, noNaN: true }), (growth) => {
        const { times, dimension, pieces } = deviationOf(box(20, 8, [across(20)]), 20, [growth])
        const [wide, high] = sizeOf(pieces[0] ?? [])
        expect(dimension?.text).toBe('20')
        expect(wide).toBeCloseTo(20 + times * growth, 9)
        expect(high).toBeCloseTo(8, 9)
        expect(times * Math.abs(growth)).toBeLessThanOrEqual(0.2 * 20 + 1e-9)
      }),
    ))
  it('a size that the view does not show is drawn out all round', () => {
    const { dimension, times, pieces } = deviationOf(box(20, 10, [across(20)]), 33, [0.33])
    expect(dimension).toBeNull()
    const [wide, high] = sizeOf(pieces[0] ?? [])
    expect(wide).toBeCloseTo(20 * (1 + 0.01 * times), 9)
    expect(high).toBeCloseTo(10 * (1 + 0.01 * times), 9)
  })
  it.each([
    [20, 0.02, 200],
    [20, 0.1, 20],
    [20, 1, 2],
    [20, 30, 1],
  ])('of %f mm, %f is drawn %i times as large', (predicted, growth, times) =>
    expect(deviationOf(box(20, 8), predicted, [growth, -growth / 3]).times).toBe(times),
  )
  it('nothing out is drawn where it was predicted', () => {
    const { pieces } = deviationOf(box(20, 8, [across(20)]), 20, [0])
    expect(sizeOf(pieces[0] ?? [])).toEqual([20, 8])
  })
})
