import { describe, expect, it } from 'vitest'
import type { BlankSpec } from '../forms'
import { type Outline, rectangleOutline } from '../geometry'
import { lengthOnStrip, stripOf } from './strip'
import type { StockPiece } from './supply'

const sheet = (outer: Outline, more: Partial<StockPiece> = {}): StockPiece => ({
  id: 1,
  label: 'S-1',
  kind: 'sheet',
  alloy: 'yellow-brass-c260',
  thicknessMm: 0.9,
  outer,
  holes: [],
  lengthMm: null,
  acrossMm: null,
  ...more,
})
const blank = (outline: Outline, more: Partial<BlankSpec> = {}): BlankSpec => ({
  name: 'band',
  qty: 1,
  alloy: 'yellow-brass-c260',
  thicknessMm: 0.9,
  outline,
  holes: [],
  areaMm2: 1,
  massG: 1,
  stock: 'sheet',
  ...more,
})
const STRIP = sheet(rectangleOutline(310, 7.5))

describe('a strip', () => {
  it('is sheet with four square corners, three times as long as wide or more, whichever way it lies', () => {
    expect(stripOf(STRIP)).toEqual({ longMm: 310, wideMm: 7.5 })
    expect(stripOf(sheet(rectangleOutline(7.5, 310)))).toEqual({ longMm: 310, wideMm: 7.5 })
    expect(stripOf(sheet(rectangleOutline(60, 20)))).toEqual({ longMm: 60, wideMm: 20 })
    expect(stripOf(sheet(rectangleOutline(59, 20)))).toBeUndefined()
  })
  it('has nothing cut out of it, and no corner gone', () => {
    expect(stripOf({ ...STRIP, holes: [rectangleOutline(2, 2)] })).toBeUndefined()
    expect(
      stripOf(
        sheet([
          [0, 0],
          [310, 0],
          [310, 3],
          [300, 7.5],
          [0, 7.5],
        ]),
      ),
    ).toBeUndefined()
    expect(stripOf(sheet(rectangleOutline(310, 7.5), { kind: 'wire', outer: null }))).toBeUndefined()
  })
})

describe('a blank on a strip', () => {
  it('takes as much of it as it is long, where it is as wide to a twentieth of a millimetre', () => {
    expect(lengthOnStrip(blank(rectangleOutline(58.2, 7.5)), STRIP)).toBeCloseTo(58.2, 12)
    expect(lengthOnStrip(blank(rectangleOutline(7.46, 58.2)), STRIP)).toBeCloseTo(58.2, 12)
    expect(lengthOnStrip(blank(rectangleOutline(58.2, 7.4)), STRIP)).toBeUndefined()
    // shorter than it is wide, and still cut off the end
    expect(lengthOnStrip(blank(rectangleOutline(4, 7.5)), STRIP)).toBeCloseTo(4, 12)
  })
  it('is of its metal and thickness, a rectangle, and cut from sheet', () => {
    const band = rectangleOutline(58.2, 7.5)
    expect(lengthOnStrip(blank(band, { alloy: 'copper-c110' }), STRIP)).toBeUndefined()
    expect(lengthOnStrip(blank(band, { thicknessMm: 1.1 }), STRIP)).toBeUndefined()
    expect(lengthOnStrip(blank(band, { stock: 'wire', lengthMm: 58.2 }), STRIP)).toBeUndefined()
    expect(
      lengthOnStrip(
        blank([
          [0, 0],
          [58, 0],
          [50, 7.5],
          [0, 7.5],
        ]),
        STRIP,
      ),
    ).toBeUndefined()
    // what is pierced later is still cut off square
    expect(lengthOnStrip(blank(band, { holes: [rectangleOutline(2, 2)] }), STRIP)).toBeCloseTo(58.2, 12)
  })
})
