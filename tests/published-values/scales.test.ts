import { describe, expect, it } from 'vitest'
import {
  bangleInsideMm,
  GAUGE_SCALES,
  GAUGE_SYSTEMS,
  gaugesOf,
  gaugeToMm,
  letterDrillMm,
  nearestGauge,
  numberDrillMm,
  RING_SYSTEMS,
  ringInsideMm,
  ringSizeName,
  ringSizeOf,
} from '@/core/tables'

/** Printed to three decimals in mm; compared at half a unit of the last digit. All values from memory, high unless said. */
const PRINTED = 3

describe('B&S gauge, ASTM B258 (from memory, high)', () => {
  it.each([
    [10, 2.588],
    [12, 2.053],
    [14, 1.628],
    [16, 1.291],
    [18, 1.024],
    [20, 0.812],
    [22, 0.644],
    [24, 0.511],
    [26, 0.405],
    [28, 0.321],
    [30, 0.255],
    [0, 8.251],
    [-3, 11.684],
    [36, 0.127],
  ])('%i ga is %f mm', (gauge, mm) => {
    expect(gaugeToMm('B&S', gauge)).toBeCloseTo(mm, PRINTED)
  })
  it('steps by the 39th root of 92; six gauges about halve the thickness', () => {
    for (let gauge = -3; gauge < 40; gauge++)
      expect((gaugeToMm('B&S', gauge) ?? 0) / (gaugeToMm('B&S', gauge + 1) ?? 1)).toBeCloseTo(92 ** (1 / 39), 12)
    expect((gaugeToMm('B&S', 16) ?? 0) / (gaugeToMm('B&S', 22) ?? 1)).toBeCloseTo(2.005, 3)
  })
})

describe('SWG, BS 3737, and steel MSG (from memory, high)', () => {
  it.each([
    ['SWG', 16, 1.626],
    ['SWG', 18, 1.219],
    ['SWG', 22, 0.711],
    ['SWG', -6, 12.7],
    ['SWG', 50, 0.025],
    ['MSG', 18, 1.214],
    ['MSG', 22, 0.759],
    ['MSG', 3, 6.073],
  ] as const)('%s %i is %f mm', (system, gauge, mm) => {
    expect(gaugeToMm(system, gauge)).toBeCloseTo(mm, PRINTED)
  })
  it.each(GAUGE_SYSTEMS)('%s strictly falls, and its nearest gauge finds itself', (system) => {
    const gauges = gaugesOf(system)
    const sizes = gauges.map((gauge) => gaugeToMm(system, gauge) ?? 0)
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a))
    expect(new Set(sizes).size).toBe(sizes.length)
    for (const gauge of gauges) expect(nearestGauge(system, gaugeToMm(system, gauge) ?? 0).gauge).toBe(gauge)
    expect(gaugeToMm(system, GAUGE_SCALES[system].highest + 1)).toBeUndefined()
  })
  it('steel of 18 gauge is 18.6 % thicker than brass of 18 gauge', () =>
    expect((gaugeToMm('MSG', 18) ?? 0) / (gaugeToMm('B&S', 18) ?? 1)).toBeCloseTo(1.186, 3))
})

describe('twist drills, ANSI/ASME B94.11M (from memory, high)', () => {
  it.each([
    [1, 5.791],
    [7, 5.105],
    [49, 1.854],
    [50, 1.778],
    [54, 1.397],
    [55, 1.321],
    [60, 1.016],
    [80, 0.343],
    [97, 0.15],
  ])('#%i is %f mm', (drill, mm) => expect(numberDrillMm(drill)).toBeCloseTo(mm, PRINTED))
  it('strictly falls from #1 to #97 and there is no #0', () => {
    for (let drill = 1; drill < 97; drill++) expect(numberDrillMm(drill)).toBeGreaterThan(numberDrillMm(drill + 1) ?? Infinity)
    expect(numberDrillMm(0)).toBeUndefined()
    expect(numberDrillMm(98)).toBeUndefined()
  })
  it('letters go on upwards: A is over #1, E is a quarter inch, Z is the last', () => {
    expect(letterDrillMm('A')).toBeGreaterThan(numberDrillMm(1) ?? Infinity)
    expect(letterDrillMm('E')).toBe(6.35)
    expect(letterDrillMm('Z')).toBeCloseTo(10.49, 2)
    const all = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter) => letterDrillMm(letter) ?? 0)
    expect(all).toEqual([...all].sort((a, b) => a - b))
  })
})

describe('ring scales', () => {
  it.each([
    [0, 11.633],
    [3, 14.072],
    [6, 16.51],
    [7, 17.323],
    [8.5, 18.542],
    [13, 22.2],
    [16, 24.638],
  ])('US %f is %f mm inside (US trade scale, diameter form, high)', (size, mm) => expect(ringInsideMm('US', size)).toBeCloseTo(mm, PRINTED))
  it.each([
    [0, 11.937],
    [2, 12.732],
    [10, 15.915],
    [13, 17.109],
    [13.5, 17.308],
    [25, 21.884],
    [28, 23.077],
  ])('UK place %f is %f mm inside (BS 6820, formula high)', (place, mm) => expect(ringInsideMm('UK', place)).toBeCloseTo(mm, PRINTED))
  it('ISO is the circumference (ISO 8653)', () => expect(ringInsideMm('ISO', 54) * Math.PI).toBeCloseTo(54, 12))
  it.each(RING_SYSTEMS)('%s comes back exactly', (system) => {
    for (let size = 40; size < 60; size += 0.25) expect(ringSizeOf(system, ringInsideMm(system, size / 4))).toBeCloseTo(size / 4, 10)
  })
  it('names sizes as they are written', () => {
    expect([ringSizeName('US', 6.74), ringSizeName('UK', 13.4), ringSizeName('UK', 26.6), ringSizeName('US', 0.5)]).toEqual([
      '6¾',
      'N½',
      'Z+1½',
      '½',
    ])
  })
})

describe('bangle notation (trade custom, high)', () => {
  it.each([
    [2, 0, 50.8],
    [2, 4, 57.15],
    [2, 10, 66.675],
    [3, 0, 76.2],
  ])('%i-%i is %f mm', (inches, sixteenths, mm) => expect(bangleInsideMm(inches, sixteenths)).toBeCloseTo(mm, 9))
})
