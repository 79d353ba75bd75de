import { describe, expect, it } from 'vitest'
import { offG, tellsWithinG, weightCheckSchema, weightFault, weightSays } from './check-weight'

describe('a scale with the check weight on its pan', () => {
  it.each([
    [50, false, 'It reads right.'],
    [50.02, false, 'It reads 0.02 g too much, within what it tells.'],
    [50.03, true, 'It reads 0.03 g too much: empty the pan, set it to zero, and check it again.'],
    [49.9, true, 'It reads 0.1 g too little: empty the pan, set it to zero, and check it again.'],
  ] as const)('that shows %d of 50', (readG, isOff, says) => expect(weightSays({ knownG: 50, readG }, 0.02)).toEqual({ isOff, says }))
  it('is not checked on something else', () => {
    expect(weightFault({ knownG: 50, readG: 18.3 })).toContain('not of a check weight of 50 g')
    expect(weightFault({ knownG: 50, readG: 51.9 })).toBeUndefined()
    expect(weightFault({ knownG: 1, readG: 1.4 })).toBeUndefined()
    expect(weightFault({ knownG: 1, readG: 0 })).toContain('weigh that')
  })
  it('tells no nearer than it was found off, and no nearer than its own error', () => {
    expect(tellsWithinG(0.02, undefined)).toBe(0.02)
    expect(tellsWithinG(0.02, { knownG: 50, readG: 50.01 })).toBe(0.02)
    expect(tellsWithinG(0.02, { knownG: 50, readG: 49.88 })).toBeCloseTo(0.12, 9)
    expect(offG({ knownG: 50, readG: 49.88 })).toBeCloseTo(-0.12, 9)
  })
  it('is kept as it was, and nothing else is', () => {
    const check = { knownG: 50, readG: 50.01, at: '2031-05-04T08:12:00.000Z' }
    expect(weightCheckSchema.parse(check)).toEqual(check)
    expect(weightCheckSchema.safeParse({ ...check, readG: -1 }).success).toBe(false)
    expect(weightCheckSchema.safeParse({ ...check, by: 'me' }).success).toBe(false)
  })
})
