import { describe, expect, it } from 'vitest'
import { workedTo } from './worked-to'

/** Formed to 22 %, annealed, formed to 15 and on to 48 %; the third step is of another part. */
const PERCENTS = [22, undefined, undefined, 15, 48]
const LEAST = 10

describe('how far pieces were worked', () => {
  it('is the most that each held, alike ones together', () => {
    const pieces = [
      { done: 5, isCracked: false },
      { done: 5, isCracked: false },
      { done: 2, isCracked: false },
      { done: 0, isCracked: false },
    ]
    expect(workedTo(PERCENTS, pieces, LEAST)).toEqual([
      { pieces: 2, heldPercent: 48 },
      { pieces: 1, heldPercent: 22 },
      { pieces: 1, heldPercent: 0 },
    ])
  })
  it('of one that gave way is what it had held and what broke it', () => {
    expect(workedTo(PERCENTS, [{ done: 4, isCracked: true }], LEAST)).toEqual([{ pieces: 1, heldPercent: 22, crackedPercent: 48 }])
    expect(workedTo(PERCENTS, [{ done: 0, isCracked: true }], LEAST)).toEqual([{ pieces: 1, heldPercent: 0, crackedPercent: 22 }])
  })
  it('of one that gave way where it had held more, or at a step of another part, is only what it had held', () => {
    expect(workedTo(PERCENTS, [{ done: 3, isCracked: true }], LEAST)).toEqual([{ pieces: 1, heldPercent: 22 }])
    expect(workedTo(PERCENTS, [{ done: 2, isCracked: true }], LEAST)).toEqual([{ pieces: 1, heldPercent: 22 }])
  })
  it('of one that gave way where next to nothing was used is that something else broke it', () => {
    expect(workedTo(PERCENTS, [{ done: 0, isCracked: true }], 25)).toEqual([{ pieces: 1, heldPercent: 0 }])
  })
})
