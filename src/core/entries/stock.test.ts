import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { signedAreaMm2 } from '../geometry'
import { readStock, readStockThickness, stockEntry } from './stock'

const entry = (more: object) =>
  stockEntry.parse({ kind: 'sheet', alloy: 'copper-c110', thickness: '0.9', length: '80', width: '60', ...more })
const areaOf = (more: object) => Math.abs(signedAreaMm2(readStock(entry(more)).facts?.outer ?? []))
const faults = (more: object) => readStock(entry(more)).issues.map((issue) => issue.path)

describe('metal as it is typed', () => {
  it('a rectangle, an L, a disc and an outline hold as much as plain arithmetic says', () => {
    expect(areaOf({})).toBeCloseTo(4800, 6)
    expect(areaOf({ shape: 'l-shape', cutLength: '30', cutWidth: '20' })).toBeCloseTo(4800 - 600, 6)
    expect(areaOf({ shape: 'disc', across: '40' })).toBeCloseTo(Math.PI * 400, 0)
    expect(areaOf({ shape: 'outline', corners: '0 0, 80 0, 80 30, 40 30, 40 60, 0 60' })).toBeCloseTo(2400 + 1200, 6)
  })
  it('an outline goes the same way round however it was typed', () => {
    const one = readStock(entry({ shape: 'outline', corners: '0 0, 10 0, 10 10' })).facts?.outer ?? []
    const other = readStock(entry({ shape: 'outline', corners: '10 10; 10 0; 0 0' })).facts?.outer ?? []
    expect(signedAreaMm2(one)).toBeCloseTo(50, 9)
    expect(signedAreaMm2(other)).toBeCloseTo(50, 9)
  })
  it.each([
    ['two corners', { corners: '0 0, 10 0' }],
    ['a corner of one number', { corners: '0 0, 10, 10 10' }],
    ['a corner of three', { corners: '0 0, 10 0 3, 10 10' }],
    ['words', { corners: 'about so big' }],
    ['a bow tie', { corners: '0 0, 10 10, 10 0, 0 12' }],
    ['no metal', { corners: '0 0, 10 0, 20 0' }],
    ['twice round', { corners: '0 0, 10 0, 10 10, 0 10, 0 0, 10 0, 10 10, 0 10' }],
  ])('an outline of %s is refused at its field', (_, more) => expect(faults({ shape: 'outline', ...more })).toEqual(['corners']))
  it('the corner missing from an L is smaller than the sheet', () =>
    expect(faults({ shape: 'l-shape', cutLength: '80', cutWidth: '61' })).toEqual(['cutLength', 'cutWidth']))
  it('what is not asked of a shape is not read', () => {
    expect(faults({ shape: 'disc', across: '40', length: 'x', width: 'y' })).toEqual([])
    expect(readStock(entry({ kind: 'wire', width: 'y', corners: 'z' })).facts).toMatchObject({ outer: null, lengthMm: 80, acrossMm: null })
  })
  it('a tube has a diameter, and a bore', () => {
    expect(readStock(entry({ kind: 'tube', across: '6', thickness: '0.5' })).facts).toMatchObject({
      thicknessMm: 0.5,
      acrossMm: 6,
      lengthMm: 80,
    })
    expect(faults({ kind: 'tube', across: '1.8' })).toEqual(['thickness'])
    expect(faults({ kind: 'tube' })).toEqual(['across'])
  })
  it('a bare gauge number is of the workshop’s own scale', () => {
    const mm = (system: 'B&S' | 'SWG') => readStockThickness({ thickness: '18 ga', measured: '', sure: false }, system).thicknessMm
    // 18 B&S is 0.0403 in (ASTM B258), 18 SWG is 0.048 in (BS 3737)
    expect(mm('B&S')).toBeCloseTo(1.024, 3)
    expect(mm('SWG')).toBeCloseTo(1.219, 3)
  })
})

describe('what is measured beside what was sold', () => {
  const said = (thickness: string, measured: string, sure = false) =>
    readStockThickness({ thickness, measured, sure }).issues.map((issue) => issue.message)
  it.each([
    ['22 ga', '6', /6 mm for what was sold as 22 ga, 0\.644 mm, is far off\. Is it 0\.6 mm\?/],
    ['22 ga', '0.025', /0\.025/],
    ['1', '10', /Is it 1 mm\?/],
    ['0.8', '1.6', /another metal, or another gauge/],
  ])('%s, measured %s, is asked about', (sold, measured, words) => {
    const [message = ''] = said(sold, measured)
    expect(message).toMatch(words)
  })
  it.each([
    ['22 ga', '0.63'],
    ['22 ga', ''],
    ['0.9', '1.1'],
  ])('%s, measured "%s", is not', (sold, measured) => expect(said(sold, measured)).toEqual([]))
  it('what was asked about and is meant is taken', () => expect(said('0.8', '1.6', true)).toEqual([]))
  it('never asks about a measurement within a fifth of what was sold', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 8, noNaN: true }), fc.double({ min: 0.8, max: 1.2, noNaN: true }), (sold, off) => {
        expect(said(sold.toFixed(4), (sold * off).toFixed(4))).toEqual([])
      }),
    ))
})
