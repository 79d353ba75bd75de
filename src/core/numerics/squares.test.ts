import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fitSquares } from './levenberg'
import { makeSquares } from './squares'

describe('least squares by sums', () => {
  it('finds the line that a table of least squares gives by hand', () => {
    // x 1 2 3 4, y 2.1 3.9 6.2 7.8: slope 1.94, height 0.15 (closed form)
    const sums = makeSquares(2)
    for (const [x, y] of [
      [1, 2.1],
      [2, 3.9],
      [3, 6.2],
      [4, 7.8],
    ] as const)
      sums.add(Float64Array.of(1, x), y)
    const [height, slope] = sums.solve() ?? []
    expect(slope).toBeCloseTo(1.94, 12)
    expect(height).toBeCloseTo(0.15, 12)
    expect(sums.left([height ?? 0, slope ?? 0])).toBeCloseTo(0.082, 9)
  })

  it('leaves what no factors explain, whatever the numbers', () => {
    const value = fc.double({ min: -9, max: 9, noNaN: true })
    fc.assert(
      fc.property(fc.array(fc.tuple(value, value), { minLength: 4, maxLength: 12 }), (rows) => {
        fc.pre(new Set(rows.map(([x]) => x.toFixed(2))).size > 2)
        const sums = makeSquares(2)
        for (const [x, y] of rows) sums.add(Float64Array.of(1, x), y)
        const found = sums.solve()
        fc.pre(found !== undefined)
        const [a, b] = found ?? [0, 0]
        const direct = rows.reduce((sum, [x, y]) => sum + (y - (a ?? 0) - (b ?? 0) * x) ** 2, 0)
        expect(sums.left(found ?? [])).toBeCloseTo(direct, 6)
      }),
    )
  })

  it('tells nothing where the equations do not', () => {
    const sums = makeSquares(2)
    sums.add(Float64Array.of(1, 2), 3)
    expect(sums.solve()).toBeUndefined()
  })
})

describe('damped least squares', () => {
  const bent = (at: readonly number[], x: number) => (at[0] ?? 0) * Math.exp(-(at[1] ?? 0) * x)
  const xs = Array.from({ length: 20 }, (_, i) => i / 4)

  it('finds the decay that data were made with', () => {
    const { at } = fitSquares([1, 1], {
      residuals: (unknowns) => Float64Array.from(xs, (x) => bent(unknowns, x) - bent([3, 0.7], x)),
      feel: [1e-5, 1e-5],
      trusted: 1e9,
      most: 60,
    })
    expect(at[0]).toBeCloseTo(3, 5)
    expect(at[1]).toBeCloseTo(0.7, 5)
  })

  it('is hardly moved by one reading that is far off', () => {
    const { at } = fitSquares([1, 1], {
      residuals: (unknowns) => Float64Array.from(xs, (x, i) => (bent(unknowns, x) - bent([3, 0.7], x) - (i === 7 ? 5 : 0)) / 0.01),
      feel: [1e-5, 1e-5],
      trusted: 2.5,
      most: 100,
    })
    expect(at[0]).toBeCloseTo(3, 1)
    expect(at[1]).toBeCloseTo(0.7, 1)
  })
})
