import { describe, expect, it } from 'vitest'
import { seriesWords } from './series'

const AIM = { valueMm: 17, plusMinusMm: 0.05 }

describe('measure, correct, measure', () => {
  it('says what is left and how many goes that is', () =>
    expect(seriesWords([17.5, 17.4, 17.3], AIM)).toBe('17.5, 17.4, 17.3 mm: 0.3 mm still to come off, about 3 more goes like the last.'))
  it('says that it is there', () => expect(seriesWords([17.2, 17.04], AIM)).toBe('17.2, 17.04 mm: it is there.'))
  it('warns where it goes the other way, or nowhere', () => {
    expect(seriesWords([16.8, 16.7], AIM)).toContain('0.3 mm still to gain, and it is going the other way')
    expect(seriesWords([17.3, 17.3], AIM)).toContain('the last goes changed nothing')
  })
  it('says nothing of one reading', () => expect(seriesWords([17.3], AIM)).toBe(''))
})
