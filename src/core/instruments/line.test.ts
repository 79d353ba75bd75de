import { describe, expect, it } from 'vitest'
import { readInstrumentLine } from './line'

describe('a line of an instrument', () => {
  it.each([
    ['12.34', 12.34],
    ['+012.34 mm', 12.34],
    ['  17,21\r', 17.21],
    ['01A+00012.34', 12.34],
    ['0.5 in', 12.7],
    ['1"', 25.4],
  ])('%s', (line, mm) => expect(readInstrumentLine(line)).toBeCloseTo(mm, 9))
  it.each(['', 'ERR', '-3.2', '0.00', '99999', 'mm'])('nothing of “%s”', (line) => expect(readInstrumentLine(line)).toBeUndefined())
})
