import { describe, expect, it } from 'vitest'
import { findForm } from '../forms/registry'
import { bindSizes, type SizedPart } from './bound-sizes'

const bezel: SizedPart = { id: 'bezel', form: 'bezel', input: { shape: 'oval', stoneLengthMm: 15, stoneWidthMm: '11', thicknessMm: '0.3' } }
const plate = (input: Readonly<Record<string, unknown>>): SizedPart => ({ id: 'back-plate', form: 'plate', input })
const sizeOf = (parts: readonly SizedPart[], part: string, field: string) => bindSizes(parts).inputs.get(part)?.[field]

describe('a size bound to others', () => {
  it('is worked out from what was typed, in numbers or as a smith writes', () => {
    const bound = plate({
      lengthMm: '= bezel.stoneLengthMm + 2 * (bezel.thicknessMm + 1.5)',
      widthMm: '=bezel.stoneWidthMm+2·bezel.thicknessMm + 3',
    })
    expect(sizeOf([bezel, bound], 'back-plate', 'lengthMm')).toBeCloseTo(18.6, 9)
    expect(sizeOf([bezel, bound], 'back-plate', 'widthMm')).toBeCloseTo(14.6, 9)
  })
  it('follows when the other changes, through a chain', () => {
    const chain = (stone: number) => [
      { ...bezel, input: { ...bezel.input, stoneLengthMm: stone } },
      plate({ lengthMm: '= bezel.stoneLengthMm + 4' }),
      { id: 'ring', form: 'plate', input: { lengthMm: '= back-plate.lengthMm / 2' } },
    ]
    expect(sizeOf(chain(15), 'ring', 'lengthMm')).toBeCloseTo(9.5, 9)
    expect(sizeOf(chain(20), 'ring', 'lengthMm')).toBeCloseTo(12, 9)
  })
  it('takes a field that was not typed as it starts', () => {
    const starts = findForm('bezel')?.fields.find(({ name }) => name === 'easeMm')?.preset
    expect(sizeOf([bezel, plate({ lengthMm: '= bezel.easeMm + 10' })], 'back-plate', 'lengthMm')).toBeCloseTo(10 + Number(starts), 9)
  })
  it('the part that is sized by it can be calculated', () => {
    const { inputs, issues } = bindSizes([
      bezel,
      plate({ shape: 'oval', lengthMm: '= bezel.stoneLengthMm + 6', widthMm: 16, alloy: 'copper-c110', thicknessMm: 1 }),
    ])
    expect(issues).toEqual([])
    const run = findForm('plate')?.run(inputs.get('back-plate'))
    // 15 and 6, and a quarter of a millimetre a side to file
    expect(run?.ok && run.result.answer.value).toBeCloseTo(21.5, 6)
  })
})

describe('a size that cannot be bound is named, and stays as it was written', () => {
  it.each([
    ['= bezel.stoneLengthMm +', /cannot be read; write it as/],
    ['= bezel.girth + 1', /"bezel.girth" is no size; bezel has .*stoneLengthMm/],
    ['= ring.lengthMm', /cannot be read/],
    ['= bezel.roundMm / 0', /comes to no number/],
    ['= bezel.stoneHeightMm + thin', /cannot be read/],
  ])('%s', (typed, message) => {
    const { inputs, issues } = bindSizes([bezel, plate({ lengthMm: typed })])
    expect(issues).toEqual([{ path: 'back-plate.lengthMm', message: expect.stringMatching(message) }])
    expect(inputs.get('back-plate')?.lengthMm).toBe(typed)
  })
  it('in a circle: by its path', () => {
    const { issues } = bindSizes([
      { ...bezel, input: { ...bezel.input, stoneLengthMm: '= back-plate.lengthMm - 4' } },
      plate({ lengthMm: '= bezel.stoneLengthMm + 4' }),
    ])
    expect(issues.map(({ message }) => message)).toContain(
      'sizes are bound in a circle: back-plate.lengthMm → bezel.stoneLengthMm → back-plate.lengthMm',
    )
  })
  it('bound to itself: that too', () =>
    expect(bindSizes([plate({ lengthMm: '= back-plate.lengthMm + 1' })]).issues[0]?.message).toContain(
      'back-plate.lengthMm → back-plate.lengthMm',
    ))
})
