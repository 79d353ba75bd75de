import { expect, it } from 'vitest'
import { readTemperatureLine } from './temperature-line'

it.each([
  ['652.3 C', 652.3],
  ['+0652', 652],
  ['T1:  652,3 °C', 652.3],
  ['212 F', 100],
  ['32 °F', 0],
  ['-40 F', -40],
  ['373.15 K', 100],
  ['25', 25],
])('%s is %d °C', (line, tempC) => expect(readTemperatureLine(line)).toBeCloseTo(tempC, 9))

it.each(['', 'OL', 'C', '---- C', '9999 C', '-200 C', '652.3 mm', '652.3 V'])('“%s” is no temperature', (line) =>
  expect(readTemperatureLine(line)).toBeUndefined(),
)
