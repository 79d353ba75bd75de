import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import { drawNormal, seededRandom } from '../numerics/random'
import { FIGURES } from './figures'
import { limitFromRecord, type WorkedTo } from './limit-record'

const { normal } = jstat
const ALLOY = 'sterling-925'
const TABLE = FIGURES[`reduction-limit-${ALLOY}`]?.preset ?? 0
/** As the figure is learned: the limit as a strain, on a log scale; the table may be off by so much, a piece by so much. */
const scaled = (percent: number) => Math.log(-Math.log(1 - percent / 100))
const percentOf = (at: number) => 100 * (1 - Math.exp(-Math.exp(at)))
const [TABLE_SPREAD, PIECE_SPREAD] = [0.3, 0.25]

describe('the limit of a metal by the record', () => {
  it('is nothing where nothing was worked, and near the table where pieces were hardly worked', () => {
    expect(limitFromRecord(ALLOY, [])).toBeUndefined()
    expect(limitFromRecord(ALLOY, [{ pieces: 4, heldPercent: 0 }])).toBeUndefined()
    const hardly = limitFromRecord(ALLOY, [{ pieces: 30, heldPercent: 5 }])
    expect(hardly?.value).toBeCloseTo(TABLE, 1)
    expect(hardly?.trustFraction).toBeLessThan(0.01)
  })
  it('of one piece that held is that of a normal cut off by another: closed form, by a package for statistics', () => {
    const held = 60
    // the chance to have held is Φ((m - x)/τ); with a normal about the table that is a skew normal of known mean
    const away = (scaled(TABLE) - scaled(held)) / Math.hypot(TABLE_SPREAD, PIECE_SPREAD)
    const mean =
      scaled(TABLE) + (TABLE_SPREAD ** 2 / Math.hypot(TABLE_SPREAD, PIECE_SPREAD)) * (normal.pdf(away, 0, 1) / normal.cdf(away, 0, 1))
    expect(limitFromRecord(ALLOY, [{ pieces: 1, heldPercent: held }])?.value).toBeCloseTo(percentOf(mean), 3)
    // one that had cracked by there, and nobody knows since when, is its mirror
    const mirrored =
      scaled(TABLE) - (TABLE_SPREAD ** 2 / Math.hypot(TABLE_SPREAD, PIECE_SPREAD)) * (normal.pdf(away, 0, 1) / normal.cdf(-away, 0, 1))
    expect(limitFromRecord(ALLOY, [{ pieces: 1, heldPercent: 0, crackedPercent: held }])?.value).toBeCloseTo(percentOf(mirrored), 3)
  })
  it('falls with every crack and rises with every piece that held further', () => {
    const limitOf = (worked: readonly WorkedTo[]) => limitFromRecord(ALLOY, worked)?.value ?? 0
    const cracked = { pieces: 1, heldPercent: 20, crackedPercent: 35 }
    expect(limitOf([cracked])).toBeLessThan(TABLE)
    expect(limitOf([{ ...cracked, pieces: 3 }])).toBeLessThan(limitOf([cracked]))
    expect(limitOf([cracked, { pieces: 40, heldPercent: 70 }])).toBeGreaterThan(limitOf([cracked]))
  })
  it('of planted metals lies in its 10 to 90 % for about eight in ten of 400', () => {
    const random = seededRandom(31)
    let within = 0
    for (let hand = 0; hand < 400; hand++) {
      const limit = scaled(TABLE) + TABLE_SPREAD * drawNormal(random)
      const worked = Array.from({ length: 12 }, (): WorkedTo => {
        const own = percentOf(limit + PIECE_SPREAD * drawNormal(random))
        // worked step by step; a piece that cracks is known to have held the step before
        const steps = [0, 15 + 20 * random(), 45 + 15 * random(), 65 + 20 * random()]
        const at = steps.findIndex((percent) => percent > own)
        return at < 0
          ? { pieces: 1, heldPercent: steps.at(-1) ?? 0 }
          : { pieces: 1, heldPercent: steps[at - 1] ?? 0, crackedPercent: steps[at] ?? 0 }
      })
      const told = limitFromRecord(ALLOY, worked)
      if (told && percentOf(limit) >= told.low && percentOf(limit) <= told.high) within++
    }
    expect(within / 400).toBeGreaterThan(0.75)
    expect(within / 400).toBeLessThan(0.85)
  })
})
