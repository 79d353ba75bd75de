import { describe, expect, it } from 'vitest'
import { bandWords } from './in-band'

const BAND = { valueMm: 17, plusMinusMm: 0.1 }

describe('a reading against its band', () => {
  it.each([
    [null, 'no reading yet'],
    [17, 'in the band'],
    [17.07, 'in the band'],
    [17.09, 'in the band, at its edge: calipers tell ± 0.02 mm'],
    [16.91, 'in the band, at its edge: calipers tell ± 0.02 mm'],
    [17.11, '0.01 mm over the band, which the calipers may be off by'],
    [17.15, '0.05 mm over the band'],
    [16.8, '0.1 mm under the band'],
  ] as const)('%s', (readMm, words) => expect(bandWords(readMm, BAND, 0.02)).toBe(words))
  it('of calipers without an error is in or out', () => {
    expect(bandWords(17.1, BAND, 0)).toBe('in the band')
    expect(bandWords(17.101, BAND, 0)).toContain('over the band')
  })
  it('that is as narrow as the calipers is still told by the reading', () =>
    expect(bandWords(17, { valueMm: 17, plusMinusMm: 0.01 }, 0.05)).toBe('in the band'))
})
