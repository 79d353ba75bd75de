import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import * as z from 'zod'
import { inchToMm, mmToInch, radToDeg } from './convert'
import { angleDeg, choice, choiceMetaOf, count, fieldMetaOf, isOptionalField, lengthMm, ratio, textMetaOf, words } from './fields'
import { formatBoth, formatMoney, formatPlain, formatValue, roundTo } from './format'
import { UNITS } from './unit'

describe('inches', () => {
  it.each([
    [5 / 16, 7.9375],
    [7 / 8, 22.225],
    [3 / 8, 9.525],
    [1 / 8, 3.175],
    [6, 152.4],
  ])('%f in is %f mm, by definition', (inches, mm) => expect(inchToMm(inches)).toBeCloseTo(mm, 12))
  it('there and back is the same', () =>
    fc.assert(
      fc.property(fc.double({ min: 1e-3, max: 1e4, noNaN: true }), (mm) => {
        expect(inchToMm(mmToInch(mm))).toBeCloseTo(mm, 9)
      }),
    ))
  it('half a turn is 180 degrees', () => expect(radToDeg(Math.PI)).toBe(180))
})

describe('numbers as a smith reads them', () => {
  it.each([
    [56.991, 'mm', '56.99 mm'],
    [204.1, 'mm2', '204.1 mm²'],
    [19.236, 'g', '19.24 g'],
    [700.4, '°C', '700 °C'],
    [0.123_45, 'strain', '0.123'],
    [12, 'count', '12'],
    [54.4, '%', '54%'],
    [0.0254, 'in', '0.0254 in'],
  ] as const)('%f %s reads %s', (value, unit, text) => expect(formatValue(value, unit)).toBe(text))
  it('every unit reads as something', () => {
    for (const unit of UNITS) expect(formatValue(1.5, unit)).toMatch(/^[\d.]+/)
  })
  it.each([
    [1.005, 2, 1.01],
    [2.675, 2, 2.68],
    [-1.005, 2, -1.01],
    [0.1 + 0.2, 4, 0.3],
  ])('%f to %d places is %f, the half away from nothing', (value, places, rounded) => expect(roundTo(value, places)).toBe(rounded))
  it('a plain number carries no trailing noughts', () => {
    expect(formatPlain(3.5, 4)).toBe('3.5')
    expect(formatPlain(4, 2)).toBe('4')
    expect(formatPlain(0.1 + 0.2)).toBe('0.3')
  })
  it('rounding moves a number by half a step at most', () =>
    fc.assert(
      fc.property(fc.double({ min: -1e5, max: 1e5, noNaN: true }), fc.integer({ min: 0, max: 5 }), (value, places) => {
        expect(Math.abs(roundTo(value, places) - value)).toBeLessThanOrEqual(0.5 * 10 ** -places + 1e-6)
      }),
    ))
  it('both units stand behind each other', () => expect(formatBoth(0.6438)).toBe('0.644 mm, 0.0253 in'))
})

describe('fields', () => {
  const shape = {
    widthMm: lengthMm({ label: 'Width', min: 1, max: 40, help: 'Across.' }).default(4),
    leanDeg: angleDeg({ label: 'Lean', min: 0, max: 90 }),
    shareRatio: ratio({ label: 'Share', min: 0, max: 1 }),
    tabCount: count({ label: 'Tabs', min: 3, max: 16 }).optional(),
    edge: choice('Edge', { straight: 'Straight', swell: 'Swelling' }).default('straight'),
    note: words('Note', 20, 'As you like.'),
  }
  it('carry their label, unit and range through presets and options', () => {
    expect(fieldMetaOf(shape.widthMm)).toEqual({ label: 'Width', unit: 'mm', minimum: 1, maximum: 40, size: 'length', help: 'Across.' })
    expect(fieldMetaOf(shape.tabCount)).toMatchObject({ label: 'Tabs', unit: 'count' })
    expect(fieldMetaOf(shape.leanDeg)?.unit).toBe('°')
    expect(fieldMetaOf(shape.shareRatio)?.unit).toBe('ratio')
  })
  it('know what they are, and what they are not', () => {
    expect(choiceMetaOf(shape.edge)?.titles).toEqual({ straight: 'Straight', swell: 'Swelling' })
    expect(textMetaOf(shape.note)?.label).toBe('Note')
    expect(fieldMetaOf(shape.edge)).toBeUndefined()
    expect(choiceMetaOf(shape.widthMm)).toBeUndefined()
    expect(textMetaOf(shape.widthMm)).toBeUndefined()
  })
  it('may be left out only where they are optional', () => {
    expect(isOptionalField(shape.tabCount)).toBe(true)
    expect(isOptionalField(shape.widthMm)).toBe(false)
  })
  it('keep to their range', () => {
    const schema = z.object(shape)
    const good = { leanDeg: 30, shareRatio: 0.5, note: 'x' }
    expect(schema.parse(good)).toMatchObject({ widthMm: 4, edge: 'straight' })
    for (const bad of [
      { widthMm: 41 },
      { widthMm: 0.5 },
      { leanDeg: 91 },
      { shareRatio: -0.1 },
      { tabCount: 3.5 },
      { tabCount: 2 },
      { edge: 'bent' },
      { note: 'x'.repeat(21) },
    ])
      expect(schema.safeParse({ ...good, ...bad }).success).toBe(false)
  })
})

describe('money', () => {
  it.each([
    [0, '0.00'],
    [0.004, 'under 0.01'],
    [0.006, '0.01'],
    [0.1, '0.10'],
    [12, '12.00'],
    [1234.567, '1234.57'],
  ])('%f is %s', (amount, words) => expect(formatMoney(amount, 'GBP')).toBe(`${words} GBP`))
})
