import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { describeMeaning, parseSize } from './parse-size'
import type { SizeContext, SizeMeaning } from './reading'

const BRASS: SizeContext = { gaugeSystem: 'B&S' }

function meaning(text: string, context: SizeContext = BRASS): SizeMeaning {
  const reading = parseSize(text, context)
  if (!('mm' in reading)) throw new Error(`${text}: ${JSON.stringify(reading)}`)
  return reading
}

function refusal(text: string, context: SizeContext = BRASS): string {
  const reading = parseSize(text, context)
  return reading.kind === 'unknown' ? reading.message : `read as ${reading.kind}`
}

describe('one size, however it is written', () => {
  it.each([
    ['1.5', ['1,5', '1.5 mm', '1.5mm', '1.5 mm.', '0.15 cm', ' 1.5 ', '1.50']],
    ['5/16 in', ['5/16"', '5/16 inch', '5/16', '5 / 16', '0.3125 in', '0.3125”']],
    ['1 1/4 in', ['1-1/4 in', '1-1/4"', '1¼"', '1 ¼ in', '1.25 in', '5/4 in', '1 1/4']],
    ['20 ga', ['20ga', '20 gauge', '20g', '20 ga.', '20 b&s', '20 awg', '20 ga awg']],
    ['#55', ['no 55', 'no. 55', 'No.55', 'drill 55', 'number 55', 'drill #55']],
    ['UK N½', ['uk n½', 'UK N 1/2', 'N½', 'N.5', 'size N½', 'UK size N½']],
    ['US 6 3/4', ['us 6.75', 'US 6¾', 'US6.75', 'US size 6 3/4']],
    ['bangle 2-4', ['bangle 2/4', 'BANGLE 2-4', 'bangle 2 - 4']],
  ])('%s', (first, others) => {
    for (const other of others) expect(meaning(other).mm).toBeCloseTo(meaning(first).mm, 9)
  })
  it('any fraction of an inch under a metre is read to the last figure', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 38 }),
        fc.integer({ min: 1, max: 63 }),
        fc.constantFrom(2, 4, 8, 16, 32, 64),
        (whole, over, under) => {
          const text = whole === 0 ? `${over}/${under} in` : `${whole}-${over}/${under} in`
          expect(meaning(text).mm).toBeCloseTo((whole + over / under) * 25.4, 9)
        },
      ),
    ))
  it('what is shown in inches is what is shown in millimetres', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 5000, noNaN: true }), (mm) => {
        const read = meaning(`${mm.toFixed(3)} mm`)
        expect(read.inch * 25.4).toBeCloseTo(read.mm, 9)
      }),
    ))
})

describe('what is told under the field', () => {
  it.each([
    ['0.8', '0.8 mm, 0.0315 in'],
    ['5/16 in', '7.938 mm, 0.313 in'],
    ['18 ga', '18 ga B&S: 1.024 mm, 0.0403 in'],
    ['18.5 ga', '18.5 ga B&S, between two standard gauges: 0.966 mm, 0.0380 in'],
    ['#60', 'number drill #60: 1.016 mm, 0.0400 in'],
    ['ISO 52.5', 'ring size ISO 52.5, 16.71 mm inside: 16.711 mm, 0.658 in'],
    ['US 6 1/4', 'ring size US 6¼, 16.71 mm inside: 16.713 mm, 0.658 in'],
    ['bangle 2-6', 'bangle 2-6: 2 and 6/16 in inside: 60.325 mm, 2.375 in'],
    ['7/8', '7/8 in, a fraction is read as inches: 22.225 mm, 0.875 in'],
    ['20 oz copper', 'copper of 20 oz to the square foot: 0.685 mm, 0.0270 in'],
  ])('%s: %s', (text, words) => expect(describeMeaning(meaning(text))).toBe(words))
})

describe('off the end of a scale, or no size at all', () => {
  it.each([
    ['#0', /run from #1 to #97/],
    ['#98', /run from #1 to #97/],
    ['UK Z+9', /off the ring scale/],
    ['US 99', /off the ring scale/],
    ['ISO 20', /off the ring scale/],
    ['bangle 7-2', /inches 1 to 4/],
    ['bangle 2-16', /sixteenths 0 to 15/],
    ['99 swg', /off the SWG scale|off the .* scale/],
    ['22.5 swg', /whole numbers/],
    ['blade 9/0', /not a saw blade in the tables/],
    ['99 oz copper', /sold from 1 to 64 oz/],
    ['25 m', /up to 20 m/],
    ['1/0 in', /divides by zero/],
    ['-1 mm', /below zero/],
    ['', /nothing was entered/],
    ['twelve', /is not a size; write it as/],
    ['5 mm 3', /is not a size/],
    ['1.2.3', /is not a size/],
  ])('"%s"', (text, message) => expect(refusal(text)).toMatch(message))
  it('gives examples of what the field takes', () => {
    expect(refusal('x1', { expects: 'ring' })).toContain('UK N½')
    expect(refusal('x1', { expects: 'bangle' })).toContain('bangle 2-6')
    expect(refusal('x1', { expects: 'thickness' })).toContain('20 ga')
  })
  it('keeps what was typed, to the letter', () =>
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), (text) => {
        expect(parseSize(text).typed).toBe(text.trim())
      }),
    ))
})

describe('where one text is two sizes', () => {
  it.each([
    ['18 ga', {}, 3],
    ['N', BRASS, 2],
    ['4/0', {}, 3],
    ['4/0', BRASS, 2],
    ['2-4', {}, 2],
    ['2.4', { expects: 'bangle' }, 2],
  ] as [string, SizeContext, number][])('%s has its candidates, each with a size and words of its own', (text, context, count) => {
    const reading = parseSize(text, context)
    if (reading.kind !== 'ambiguous') throw new Error(reading.kind)
    expect(reading.candidates).toHaveLength(count)
    expect(new Set(reading.candidates.map((candidate) => candidate.how)).size).toBe(count)
    expect(reading.question).toMatch(/\?.*Write|: name the metal/)
  })
  it('is settled by the words the question offers', () => {
    for (const text of ['UK N', 'drill N', '4/0 ga', 'blade 4/0', 'bangle 2-4', '2/4 in', '18 swg'])
      expect(meaning(text).mm).toBeGreaterThan(0)
  })
  it('is settled by what the field expects', () => {
    expect(meaning('N', { expects: 'ring' }).kind).toBe('ring')
    expect(meaning('2-4', { expects: 'bangle' }).kind).toBe('bangle')
  })
})
