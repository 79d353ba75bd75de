import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cutLengths } from './cut-lengths'
import { type LengthsInput, lengthsInput } from './schema'

const ask = (raw: unknown): LengthsInput => lengthsInput.parse(raw)

/** The least length that must be opened, by trying every way of sharing pieces among bars; undefined where none does. */
function exhaustive({ bars, lengths, kerfMm, squareMm, spareMm }: LengthsInput): number | undefined {
  const all = bars.flatMap((bar) => Array.from({ length: bar.qty }, () => bar.lengthMm))
  const pieces = lengths.flatMap((piece) => Array.from({ length: piece.qty }, () => piece.lengthMm))
  let best: number | undefined
  const rooms = all.map((length) => length - squareMm)
  const counts = all.map(() => 0)
  const walk = (at: number) => {
    if (at === pieces.length) {
      const opened = all.reduce((sum, length, i) => sum + ((counts[i] ?? 0) > 0 ? length : 0), 0)
      if (best === undefined || opened < best) best = opened
      return
    }
    for (let i = 0; i < all.length; i++) {
      const need = (pieces[at] ?? 0) + spareMm + ((counts[i] ?? 0) > 0 ? kerfMm : 0)
      if ((rooms[i] ?? 0) < need - 1e-9) continue
      rooms[i] = (rooms[i] ?? 0) - need
      counts[i] = (counts[i] ?? 0) + 1
      walk(at + 1)
      counts[i] = (counts[i] ?? 0) - 1
      rooms[i] = (rooms[i] ?? 0) + need
    }
  }
  walk(0)
  return best
}

describe('lengths cut from bars', () => {
  it('takes the one bar that three pieces and their two cuts fill to the end', () => {
    const answer = cutLengths(ask({ bars: [{ id: 'w', lengthMm: 100 }], lengths: [{ id: 'a', lengthMm: 33, qty: 3 }], kerfMm: 0.5 }))
    expect(answer.bars).toHaveLength(1)
    expect(answer.bars[0]?.pieces.map(({ fromMm, toMm }) => [fromMm, toMm])).toEqual([
      [0, 33],
      [33.5, 66.5],
      [67, 100],
    ])
    expect(answer.bars[0]?.leftMm).toBeCloseTo(0, 9)
    expect(answer.lostMm).toBeCloseTo(1, 9)
  })

  it('uses a short offcut up before it opens a whole bar, and leaves the whole one where offcuts do', () => {
    const bars = [
      { id: 'whole', lengthMm: 500 },
      { id: 'offcut', lengthMm: 130 },
      { id: 'scrap', lengthMm: 60 },
    ]
    const answer = cutLengths(ask({ bars, lengths: [{ id: 'a', lengthMm: 60, qty: 3 }], kerfMm: 0.4 }))
    expect(answer.bars.map(({ id }) => id).sort()).toEqual(['offcut', 'scrap'])
    expect(answer.proof.isLeast).toBe(true)
    expect(answer.proof.why).toContain('no choice of bars under 190 mm')
  })

  it('finds the way that laying the longest first into the first bar misses', () => {
    // the sum is 30: three bars of ten hold it only as 6 + 4, 5 + 5 and 3 + 3 + 2 + 2
    const answer = cutLengths(
      ask({
        bars: [{ id: 'w', lengthMm: 10, qty: 4 }],
        lengths: [6, 5, 5, 4, 3, 3, 2, 2].map((lengthMm, i) => ({ id: `p${i}`, lengthMm })),
        kerfMm: 0,
      }),
    )
    expect(answer.bars).toHaveLength(3)
    expect(answer.proof.isLeast).toBe(true)
  })

  it('squares the end and adds what is filed off', () => {
    const answer = cutLengths(
      ask({ bars: [{ id: 'w', lengthMm: 50 }], lengths: [{ id: 'a', lengthMm: 20, qty: 2 }], kerfMm: 0.5, squareMm: 1, spareMm: 0.3 }),
    )
    expect(answer.bars[0]?.pieces[1]).toEqual({ id: 'a', copy: 1, fromMm: expect.closeTo(21.8, 9), toMm: expect.closeTo(42.1, 9) })
    expect(answer.bars[0]?.leftMm).toBeCloseTo(50 - 42.1 - 0.5, 9)
  })

  it('says what finds no place, and how much all of it takes', () => {
    const answer = cutLengths(
      ask({
        bars: [{ id: 'w', lengthMm: 40 }],
        lengths: [
          { id: 'a', lengthMm: 30, qty: 2 },
          { id: 'b', lengthMm: 90 },
        ],
        kerfMm: 0.4,
      }),
    )
    expect(answer.unplaced).toEqual([
      { id: 'a', qty: 1 },
      { id: 'b', qty: 1 },
    ])
    expect(answer.proof).toMatchObject({ isLeast: false, why: 'all pieces with their cuts take 151.2 mm, which these bars do not hold' })
  })

  it('opens the least there is: the same as trying every way, for what is small enough', () => {
    const length = fc.integer({ min: 4, max: 60 })
    fc.assert(
      fc.property(
        fc.array(length, { minLength: 1, maxLength: 7 }),
        fc.array(fc.integer({ min: 20, max: 120 }), { minLength: 1, maxLength: 4 }),
        fc.constantFrom(0, 0.4, 1),
        fc.constantFrom(0, 1.5),
        (pieces, bars, kerfMm, squareMm) => {
          const input = ask({
            bars: bars.map((lengthMm, i) => ({ id: `w${i}`, lengthMm })),
            lengths: pieces.map((lengthMm, i) => ({ id: `p${i}`, lengthMm })),
            kerfMm,
            squareMm,
          })
          const [answer, least] = [cutLengths(input), exhaustive(input)]
          if (least === undefined) expect(answer.unplaced.length).toBeGreaterThan(0)
          else {
            expect(answer.openedMm).toBeCloseTo(least, 9)
            expect(answer.proof.isLeast).toBe(true)
          }
        },
      ),
      { numRuns: 400 },
    )
  })

  it('never lets pieces overlap or reach past their bar, and cuts each wanted piece once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 2, max: 80, noNaN: true }), { minLength: 1, maxLength: 30 }),
        fc.double({ min: 90, max: 300, noNaN: true }),
        (pieces, bar) => {
          const input = ask({
            bars: [{ id: 'w', lengthMm: bar, qty: 40 }],
            lengths: pieces.map((lengthMm, i) => ({ id: `p${i}`, lengthMm })),
            kerfMm: 0.35,
          })
          const { bars, unplaced } = cutLengths(input)
          expect(unplaced).toEqual([])
          for (const { pieces: row, lengthMm } of bars)
            for (const [i, piece] of row.entries()) {
              expect(piece.toMm).toBeLessThanOrEqual(lengthMm + 1e-6)
              expect(piece.fromMm).toBeGreaterThanOrEqual((row[i - 1]?.toMm ?? -0.35) + 0.35 - 1e-9)
            }
          expect(bars.flatMap((one) => one.pieces.map(({ id }) => id)).sort()).toEqual(input.lengths.map(({ id }) => id).sort())
        },
      ),
      { numRuns: 60 },
    )
  })

  it('settles forty pieces of a bench in well under a second’s tries', () => {
    const lengths = Array.from({ length: 40 }, (_, i) => ({ id: `p${i}`, lengthMm: 18 + ((i * 37) % 61) + 0.25 * (i % 4) }))
    const answer = cutLengths(ask({ bars: [{ id: 'w', lengthMm: 300, qty: 20 }], lengths, kerfMm: 0.4 }))
    const needMm = lengths.reduce((sum, { lengthMm }) => sum + lengthMm + 0.4, 0)
    expect(answer.bars).toHaveLength(Math.ceil(needMm / 300.4))
    expect(answer.proof.isLeast).toBe(true)
  })
})
