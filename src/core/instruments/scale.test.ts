import { describe, expect, it } from 'vitest'
import { readScale } from './scale'

const still = () => 0.25 // cos(π/2) = 0: the draw without any scatter

describe('the stand-in for a scale', () => {
  it('shows hundredths of a gram, its zero error with it, and never less than nothing', () => {
    expect(readScale({ trueG: 12.344, noiseG: 0.01, zeroErrorG: 0 }, still)).toBe(12.34)
    expect(readScale({ trueG: 12.344, noiseG: 0.01, zeroErrorG: 0.05 }, still)).toBe(12.39)
    expect(readScale({ trueG: 0, noiseG: 0.01, zeroErrorG: -0.2 }, still)).toBe(0)
  })
})
