import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { farOff } from './far-off'
import { countedReading } from './finished'

const TARGET = { valueMm: 17.2, plusMinusMm: 0.05 }

describe('a reading that may be a slip', () => {
  it.each([17.2, 17.15, 17.6, 16.75])('%f is taken without a question', (mm) => expect(farOff(mm, TARGET)).toBeUndefined())
  it.each([
    [173, 17.3, '17.3 or 173? 17.2 mm was aimed at.'],
    [1.73, 17.3, '17.3 or 1.73? 17.2 mm was aimed at.'],
    [1720, 17.2, '17.2 or 1720? 17.2 mm was aimed at.'],
    [150, 15, '15 or 150? 17.2 mm was aimed at.'],
    [215, null, '215 mm is far from the 17.2 mm aimed at. Is it right?'],
    [214, 21.4, '21.4 or 214? 17.2 mm was aimed at.'],
    [0.19, 19, '19 or 0.19? 17.2 mm was aimed at.'],
    [18, null, '18 mm is far from the 17.2 mm aimed at. Is it right?'],
  ])('%f asks', (read, meant, question) => expect(farOff(read, TARGET)).toEqual({ readMm: read, meantMm: meant, question }))
  it('5 % or ten tolerances, whichever is less', () => {
    expect(farOff(105.1, { valueMm: 100, plusMinusMm: 5 })).toBeDefined()
    expect(farOff(104.9, { valueMm: 100, plusMinusMm: 5 })).toBeUndefined()
    expect(farOff(100.6, { valueMm: 100, plusMinusMm: 0.05 })).toBeDefined()
  })
  it('never changes what was read', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 5000, noNaN: true }), (mm) => {
        const far = farOff(mm, TARGET)
        if (far) expect(far.readMm).toBe(mm)
      }),
    ))
})

describe('the reading the book counts', () => {
  const reading = (value: number, more = {}) => ({ kind: 'reading', stepId: 'finish', dimension: 'd', value, simulated: false, ...more })
  const done = (stepId: string) => ({ kind: 'done', stepId, dimension: null, value: null, simulated: false })
  it('is the last of the dimension, at a step that was done', () => {
    expect(countedReading([reading(1), reading(2), done('finish')], 'd', false)?.value).toBe(2)
    expect(countedReading([reading(1), reading(2, { stepId: 'other' }), done('finish')], 'd', false)?.value).toBe(1)
    expect(countedReading([reading(1), reading(2, { dimension: 'e' }), done('finish')], 'd', false)?.value).toBe(1)
  })
  it('is none of a piece that was lost, or whose step is in hand, or of practice', () => {
    expect(countedReading([reading(1)], 'd', false)).toBeUndefined()
    expect(countedReading([reading(1), done('finish'), { ...done('x'), kind: 'loss' }], 'd', false)).toBeUndefined()
    expect(countedReading([reading(1, { simulated: true }), done('finish')], 'd', false)).toBeUndefined()
    expect(countedReading([reading(1, { simulated: true }), done('finish')], 'd', true)?.value).toBe(1)
  })
})
