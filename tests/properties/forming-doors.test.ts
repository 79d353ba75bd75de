import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FORM_KINDS, form } from '@/core/commands/form'
import { ALLOY_IDS } from '@/core/metals'

/** Laws that every door of forming keeps, asked from outside: arithmetic written here, none of the program's own. */

type Body = Readonly<Record<string, unknown>>
const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true, noDefaultInfinity: true })
const alloys = fc.constantFrom(...ALLOY_IDS.filter((id) => id !== 'gold-14k'))
const tempers = fc.constantFrom('annealed', 'quarter-hard', 'half-hard', 'hard')

function asked<T>(raw: Body): T | undefined {
  const answer = form(raw)
  return answer.ok ? (answer.body as T) : undefined
}

/** Every number anywhere in an answer. */
function* numbersIn(value: unknown): Generator<number> {
  if (typeof value === 'number') yield value
  else if (value && typeof value === 'object') for (const inner of Object.values(value)) yield* numbersIn(inner)
}

describe('passes', () => {
  it('rolled: volume is kept pass by pass, and no pass takes more than was asked', () =>
    fc.assert(
      fc.property(
        alloys,
        mm(0.05, 0.4),
        fc.tuple(mm(1, 6), mm(0.2, 0.95), mm(2, 80), mm(10, 500)),
        (alloy, reduction, [fromMm, share, widthMm, lengthMm]) => {
          const raw = { kind: 'roll', alloy, fromMm, toMm: share * fromMm, widthMm, lengthMm, reductionFraction: reduction }
          const rolled = asked<{ passes: { toMm: number; widthMm: number; lengthMm: number }[] }>(raw)
          if (!rolled) throw new Error('refused')
          let before = fromMm
          for (const pass of rolled.passes) {
            expect((pass.toMm * pass.widthMm * pass.lengthMm) / (fromMm * widthMm * lengthMm)).toBeCloseTo(1, 6)
            expect(1 - pass.toMm / before).toBeLessThanOrEqual(reduction + 1e-6)
            before = pass.toMm
          }
          expect(before).toBeCloseTo(share * fromMm, 9)
        },
      ),
      { numRuns: 60 },
    ))
  it('drawn: volume is kept', () =>
    fc.assert(
      fc.property(alloys, mm(1, 6), mm(0.3, 0.95), mm(10, 500), (alloy, fromMm, share, lengthMm) => {
        const drawn = asked<{ passes: { toMm: number; lengthMm: number }[] }>({
          kind: 'draw',
          alloy,
          fromMm,
          toMm: share * fromMm,
          lengthMm,
        })
        const last = drawn?.passes.at(-1)
        expect(((last?.toMm ?? 0) ** 2 * (last?.lengthMm ?? 0)) / (fromMm ** 2 * lengthMm)).toBeCloseTo(1, 6)
      }),
      { numRuns: 60 },
    ))
  it('no anneal is asked for before the first pass of annealed metal, and none where the metal is soft already', () =>
    fc.assert(
      fc.property(alloys, mm(1, 6), mm(0.2, 0.9), (alloy, fromMm, share) => {
        const rolled = asked<{ passes: { annealBefore: boolean }[] }>({
          kind: 'roll',
          alloy,
          fromMm,
          toMm: share * fromMm,
          widthMm: 20,
          lengthMm: 50,
        })
        expect(rolled?.passes[0]?.annealBefore).toBe(false)
      }),
      { numRuns: 60 },
    ))
})

describe('bends', () => {
  it('a strip never springs tighter than its former, and harder metal springs farther', () =>
    fc.assert(
      fc.property(alloys, mm(6, 40), mm(0.4, 2), mm(1, 20), (alloy, radiusMm, thicknessMm, widthMm) => {
        const sprung = (bought: string) =>
          asked<{ sprungRadiusMm: number | null }>({ kind: 'bend', alloy, bought, radiusMm, thicknessMm, widthMm })?.sprungRadiusMm ??
          Number.POSITIVE_INFINITY
        const [soft, hard] = [sprung('annealed'), sprung('hard')]
        expect(soft).toBeGreaterThanOrEqual(radiusMm - 1e-9)
        expect(hard).toBeGreaterThanOrEqual(soft - 1e-9)
      }),
      { numRuns: 60 },
    ))
  it('bent on the former that is said, it springs to what is wanted', () =>
    fc.assert(
      fc.property(alloys, tempers, mm(8, 30), mm(0.8, 2), (alloy, bought, radiusMm, thicknessMm) => {
        const strip = { kind: 'bend', alloy, bought, thicknessMm, widthMm: 5 }
        const former = asked<{ formerRadiusMm: number | null }>({ ...strip, radiusMm })?.formerRadiusMm
        if (!former || former < 0.5) return
        const back = asked<{ sprungRadiusMm: number | null }>({ ...strip, radiusMm: former })?.sprungRadiusMm
        expect(Math.abs((back ?? 0) / radiusMm - 1)).toBeLessThan(1e-3)
      }),
      { numRuns: 60 },
    ))
  it('a coil opens, and a thinner wire on the same rod opens more', () =>
    fc.assert(
      fc.property(alloys, mm(3, 20), mm(0.5, 1.5), (alloy, rodMm, wireMm) => {
        const inside = (wire: number) =>
          asked<{ insideMm: number | null }>({ kind: 'coil', alloy, bought: 'half-hard', rodMm, wireMm: wire })?.insideMm ??
          Number.POSITIVE_INFINITY
        expect(inside(wireMm)).toBeGreaterThanOrEqual(rodMm - 1e-9)
        expect(inside(wireMm / 2)).toBeGreaterThanOrEqual(inside(wireMm) - 1e-9)
      }),
      { numRuns: 40 },
    ))
})

describe('what is curled, hammered, sunk and raised', () => {
  it('a waist goes in by no more than its edges rise, and is longest where the edges alone stretch', () =>
    fc.assert(
      fc.property(alloys, mm(45, 80), mm(6, 30), mm(0.3, 1.5), mm(1, 6.2), (alloy, insideDiameterMm, widthMm, thicknessMm, turn) => {
        const raw = { kind: 'anticlastic', alloy, insideDiameterMm, widthMm, thicknessMm, curlRadiusMm: widthMm / turn }
        for (const settling of ['mean-kept', 'least-work']) {
          const curled = asked<{ waistInMm: number; edgeRiseMm: number; insideMm: number; between: { leastMm: number; mostMm: number } }>({
            ...raw,
            settling,
          })
          if (!curled) return
          expect(curled.waistInMm).toBeGreaterThanOrEqual(0)
          expect(curled.waistInMm).toBeLessThanOrEqual(Math.max(curled.edgeRiseMm, (2 * widthMm) / turn) + 1e-9)
          expect(curled.insideMm).toBeLessThanOrEqual(curled.between.mostMm + 1e-9)
        }
      }),
      { numRuns: 60 },
    ))
  it('a ring that is hammered keeps its volume, and grows the less the more goes into the width', () =>
    fc.assert(
      fc.property(mm(10, 70), mm(0.8, 4), mm(0.6, 1), mm(1, 12), mm(0, 1), (insideDiameterMm, thicknessMm, share, widthMm, spreadRatio) => {
        const hammeredToMm = share * thicknessMm
        const raw = { kind: 'hammer', insideDiameterMm, thicknessMm, hammeredToMm, widthMm, spreadRatio }
        const grown = asked<{ insideDiameterMm: number; widthMm: number; growthMm: number }>(raw)
        if (!grown) throw new Error('refused')
        const volume = (d: number, t: number, w: number) => (d + t) * t * w
        expect(volume(grown.insideDiameterMm, hammeredToMm, grown.widthMm) / volume(insideDiameterMm, thicknessMm, widthMm)).toBeCloseTo(
          1,
          9,
        )
        const wider = asked<{ growthMm: number }>({ ...raw, spreadRatio: Math.min(1, spreadRatio + 0.2) })
        expect(wider?.growthMm ?? 0).toBeLessThanOrEqual(grown.growthMm + 1e-9)
      }),
      { numRuns: 80 },
    ))
  it('courses rise and close one after another, and an anneal starts the count of work anew', () =>
    fc.assert(
      fc.property(
        alloys,
        mm(40, 200),
        mm(0.5, 2),
        mm(0.1, 0.95),
        fc.integer({ min: 2, max: 12 }),
        (alloy, discMm, thicknessMm, share, courses) => {
          const heightMm = (share * discMm) / (2 * Math.SQRT2)
          const sunk = asked<{ courses: { heightMm: number; workUsedFraction: number; annealBefore: boolean }[] }>({
            kind: 'sink',
            alloy,
            discMm,
            thicknessMm,
            heightMm,
            courses,
          })
          sunk?.courses.forEach((course, i, all) => {
            const before = all[i - 1]
            if (!before) return
            expect(course.heightMm).toBeGreaterThan(before.heightMm)
            if (!course.annealBefore) expect(course.workUsedFraction).toBeGreaterThan(before.workUsedFraction)
          })
        },
      ),
      { numRuns: 30 },
    ))
})

describe('every door', () => {
  const fields = {
    discMm: mm(5, 200),
    thicknessMm: mm(0.1, 3),
    heightMm: mm(0.5, 60),
    radiusMm: mm(1, 60),
    widthMm: mm(1, 40),
    insideDiameterMm: mm(10, 90),
    curlRadiusMm: mm(1, 60),
    wireMm: mm(0.2, 3),
    rodMm: mm(1, 40),
    rimMm: mm(2, 150),
    baseMm: mm(0, 100),
    hammeredToMm: mm(0.1, 3),
    fromMm: mm(0.2, 6),
    toMm: mm(0.1, 6),
    lengthMm: mm(5, 400),
    punchesMm: fc.array(mm(5, 120), { minLength: 1, maxLength: 3 }),
  }
  it.each(Object.entries(FORM_KINDS))(
    '%s answers with finite figures or refuses in words, whatever sizes it is given',
    (kind, { schema }) => {
      const own = Object.keys(schema.shape)
      const sizes = Object.fromEntries(Object.entries(fields).filter(([name]) => own.includes(name)))
      fc.assert(
        fc.property(alloys, tempers, fc.record(sizes), (alloy, bought, given) => {
          const metal = own.includes('alloy') ? { alloy, bought } : {}
          const fine = own.includes('rings') ? { rings: 12 } : {}
          const answer = form({ kind, ...metal, ...fine, ...given })
          if (answer.ok) for (const number of numbersIn(answer.body)) expect(Number.isFinite(number)).toBe(true)
          else expect(answer.body.error.message.length).toBeGreaterThan(10)
        }),
        { numRuns: kind === 'bulge' ? 12 : 60 },
      )
    },
  )
  it.each(Object.keys(FORM_KINDS))('%s names what it cannot read: not a number, none, below zero, a word', (kind) => {
    for (const bad of [Number.NaN, Number.POSITIVE_INFINITY, -1, 'wide', null, [], {}]) {
      const answer = form({
        kind,
        alloy: 'copper-c110',
        discMm: bad,
        thicknessMm: bad,
        radiusMm: bad,
        widthMm: bad,
        fromMm: bad,
        wireMm: bad,
        insideDiameterMm: bad,
      })
      expect(answer.ok).toBe(false)
      if (!answer.ok) expect(answer.body.error.message).not.toMatch(/NaN|undefined|\[object/)
    }
  })
})
