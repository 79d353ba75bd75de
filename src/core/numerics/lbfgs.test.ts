import { describe, expect, it } from 'vitest'
import { goDown, type Sloped } from './lbfgs'

const down = { most: 500, until: 1e-20 }

describe('going down a smooth function', () => {
  it('comes to the lowest place of a bowl, wherever it begins', () => {
    const bowl: Sloped = (at, slope) => {
      let sum = 0
      at.forEach((x, i) => {
        const off = x - i
        slope[i] = 2 * (i + 1) * off
        sum += (i + 1) * off * off
      })
      return sum
    }
    const at = Float64Array.of(9, -4, 30, 2, -7)
    expect(goDown(bowl, at, down)).toBeLessThan(1e-15)
    at.forEach((x, i) => {
      expect(x).toBeCloseTo(i, 6)
    })
  })
  it('comes down the bent valley of Rosenbrock (1960), whose lowest place is (1, 1)', () => {
    const valley: Sloped = (at, slope) => {
      const [x = 0, y = 0] = at
      slope[0] = -400 * x * (y - x * x) - 2 * (1 - x)
      slope[1] = 200 * (y - x * x)
      return 100 * (y - x * x) ** 2 + (1 - x) ** 2
    }
    const at = Float64Array.of(-1.2, 1)
    expect(goDown(valley, at, down)).toBeLessThan(1e-12)
    expect(at[0]).toBeCloseTo(1, 5)
    expect(at[1]).toBeCloseTo(1, 5)
  })
  it('never ends higher than it began, and stops where enough is reached or steps bring little', () => {
    let asked = 0
    const slow: Sloped = (at, slope) => {
      asked++
      const x = at[0] ?? 0
      slope[0] = 4 * x ** 3
      return x ** 4
    }
    const at = Float64Array.of(3)
    const reached = goDown(slow, at, { most: 500, until: 1 })
    expect(reached).toBeLessThanOrEqual(1)
    expect(reached).toBeCloseTo((at[0] ?? 0) ** 4, 12)
    const far = asked
    goDown(slow, Float64Array.of(3), { most: 500, until: 0, alike: { steps: 2, share: 1 } })
    expect(asked - far).toBeLessThan(12)
  })
  it('tells before each step how many were made and what is left, and ends there when told', () => {
    const bowl: Sloped = (at, slope) => {
      slope[0] = 0.02 * (at[0] ?? 0)
      return 0.01 * (at[0] ?? 0) ** 2
    }
    const told: [number, number][] = []
    const shouldStop = (step: number, value: number) => {
      told.push([step, value])
      return step === 3
    }
    const at = Float64Array.of(10)
    const left = goDown(bowl, at, { most: 500, until: -1, shouldStop })
    expect(told.map(([step]) => step)).toEqual(told.map((_, i) => i))
    expect(told[0]).toEqual([0, 1])
    expect(left).toBe(told.at(-1)?.[1])
    expect(left).toBeCloseTo(0.01 * (at[0] ?? 0) ** 2, 12)
  })
})
