import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { parseSize } from './parse-size'
import type { SizeContext } from './reading'

const BRASS: SizeContext = { gaugeSystem: 'B&S' }

function mmOf(text: string, context: SizeContext = BRASS): number {
  const reading = parseSize(text, context)
  if (!('mm' in reading)) throw new Error(`${text} read as ${JSON.stringify(reading)}`)
  return reading.mm
}

describe('lengths as smiths write them', () => {
  it.each([
    ['0.8', 0.8],
    ['.8mm', 0.8],
    ['0,8', 0.8],
    ['16.5 mm', 16.5],
    ['15.4 cm', 154],
    ['5/16 in', 7.9375],
    ['1-1/4"', 31.75],
    ['1 1/4 in', 31.75],
    ['1¼"', 31.75],
    ['½ in', 12.7],
    ['7/8', 22.225],
    ['3 inches', 76.2],
    ['2″', 50.8],
  ])('%s is %f mm', (text, mm) => expect(mmOf(text)).toBeCloseTo(mm, 9))

  it('reads a decimal and its comma the same, whatever the number', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99999 }), (n) => {
        const text = (n / 100).toFixed(2)
        expect(mmOf(text.replace('.', ','))).toBe(mmOf(text))
      }),
    )
  })

  it('never throws and never gives a size that is not finite and above zero', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 14 }), (text) => {
        const reading = parseSize(text)
        if ('mm' in reading) expect(Number.isFinite(reading.mm) && reading.mm >= 0).toBe(true)
      }),
      { numRuns: 2000 },
    )
  })
})

describe('gauges, by the metal', () => {
  it('takes B&S for a non-ferrous metal, ASTM B258', () => {
    expect(mmOf('22 ga')).toBeCloseTo(0.644, 3)
    expect(mmOf('22 gauge')).toBe(mmOf('22ga'))
    expect(mmOf('4/0 ga')).toBeCloseTo(11.684, 3)
  })
  it('takes the scale that is named over the one that is known', () => {
    expect(mmOf('18 swg')).toBeCloseTo(1.219, 3)
    expect(mmOf('18 ga steel')).toBeCloseTo(1.214, 3)
  })
  it('asks which gauge where no metal is known', () => {
    const reading = parseSize('18 ga')
    expect(reading.kind).toBe('ambiguous')
    if (reading.kind === 'ambiguous') expect(reading.candidates.map((item) => item.mm.toFixed(3))).toEqual(['1.024', '1.219', '1.214'])
  })
  it('says where a scale ends', () =>
    expect(parseSize('60 ga', BRASS)).toMatchObject({ kind: 'unknown', message: expect.stringContaining('4/0 to 40') }))
})

describe('drills and rings', () => {
  it('reads number drills, ANSI/ASME B94.11M', () => {
    expect(mmOf('#55')).toBeCloseTo(1.321, 3)
    expect(mmOf('no. 60')).toBeCloseTo(1.016, 3)
    expect(mmOf('drill 7')).toBeCloseTo(5.105, 3)
  })
  it.each([
    ['US 6', 16.51],
    ['US 6 3/4', 17.1196],
    ['UK N½', 17.3081],
    ['UK N 1/2', 17.3081],
    ['N.5', 17.3081],
    ['ISO 54', 17.1887],
    ['Z+3', 23.0775],
  ])('%s is %f mm inside', (text, mm) => expect(mmOf(text)).toBeCloseTo(mm, 3))
  it('reads "size 6" in the workshop’s own system and says which', () => {
    expect(parseSize('size 6', { ringSystem: 'US' })).toMatchObject({ kind: 'ring', ring: { system: 'US', size: '6' } })
    expect(parseSize('size N', { ringSystem: 'UK' })).toMatchObject({ ring: { system: 'UK', size: 'N' } })
  })
})

describe('what is asked back rather than guessed', () => {
  it.each([
    ['2-4', 'bangle'],
    ['N', 'ring'],
    ['4/0', 'gauge'],
  ])('%s', (text, kind) => {
    const reading = parseSize(text)
    expect(reading.kind).toBe('ambiguous')
    if (reading.kind === 'ambiguous') expect(reading.candidates.map((item) => item.kind)).toContain(kind)
  })
  it('4/0 is never a fraction', () => {
    const reading = parseSize('4/0')
    if (reading.kind === 'ambiguous') expect(reading.candidates.every((item) => item.kind !== 'length')).toBe(true)
  })
  it('2-4 is 57.15 mm where a bangle is meant, not 2.4 inches', () => expect(mmOf('2-4', { expects: 'bangle' })).toBeCloseTo(57.15, 9))
})

describe('what cannot be read', () => {
  it.each(['', 'abc', '-3', '1/0 in', '5 5', '12 ounces'])('"%s" gets a message', (text) =>
    expect(parseSize(text)).toMatchObject({ kind: 'unknown', message: expect.any(String) }),
  )
})

describe('a bare number where a ring is meant', () => {
  const read = (typed: string, ringSystem?: 'US' | 'UK' | 'ISO' | 'JP') =>
    parseSize(typed, { expects: 'ring', ...(ringSystem ? { ringSystem } : {}) })
  it.each([
    ['9', 'US', [18.95, 9]],
    ['54', 'ISO', [17.19, 54]],
    ['12', 'JP', [16.67, 12]],
  ] as const)('%s asks, in a workshop of %s sizes', (typed, system, mms) => {
    const reading = read(typed, system)
    expect(reading).toMatchObject({ kind: 'ambiguous', question: expect.stringContaining(`"size ${typed}" or "${typed} mm"`) })
    if (reading.kind === 'ambiguous') expect(reading.candidates.map(({ mm }) => Number(mm.toFixed(2)))).toEqual(mms)
  })
  it.each([
    ['17.4', 'US', 17.4],
    ['17.4', 'ISO', 17.4],
    ['9', 'UK', 9],
    ['9 mm', 'US', 9],
    ['size 9', 'US', 18.95],
    ['size 54', 'ISO', 17.19],
    ['N', 'UK', 17.11],
  ] as const)('%s does not, in a workshop of %s sizes', (typed, system, mm) => {
    const reading = read(typed, system)
    expect('mm' in reading ? reading.mm : reading.kind).toBeCloseTo(mm, 1)
  })
  it('asks by the US scale where none is named, and nowhere but of a ring', () => {
    expect(read('7').kind).toBe('ambiguous')
    expect(parseSize('7')).toMatchObject({ kind: 'length', mm: 7 })
  })
})

describe('a hand, for a bangle', () => {
  it.each([
    ['hand 200', 63.66],
    ['hand 8 in', 64.68],
    ['hand 20 cm', 63.66],
  ])('%s is %f mm inside', (typed, mm) => {
    const reading = parseSize(typed, { expects: 'bangle' })
    expect('mm' in reading ? reading.mm : reading.kind).toBeCloseTo(mm, 2)
    if ('mm' in reading) expect(reading.how).toContain('round the knuckles')
  })
  it('is none elsewhere, and has to be a length', () => {
    expect(parseSize('hand 200').kind).toBe('unknown')
    expect(parseSize('hand big', { expects: 'bangle' }).kind).toBe('unknown')
  })
})
