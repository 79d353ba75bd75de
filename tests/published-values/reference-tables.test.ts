import { describe, expect, it } from 'vitest'
import { findForm } from '@/core/forms/registry'
import { SOURCES } from '@/core/sources'
import {
  ALL_GRITS,
  BLADES,
  bezelStripMm,
  copperWeightMm,
  edgeDistanceMm,
  ellipsePerimeterMm,
  FLUXES,
  findTable,
  GRAMS_PER,
  gaugeToMm,
  headStickOutMm,
  holeFillMm,
  isFluxRight,
  kerfOfMm,
  largestPunchMm,
  mmToBsGauge,
  nearestGrit,
  numberDrillMm,
  pilotMm,
  ringInsideMm,
  ringNeighbours,
  stampedLineMm,
  TABLES,
  teethInMetal,
  toGrams,
  usCircumferenceInsideMm,
} from '@/core/tables'

const rowOf = (table: string, row: string) => findTable(table)?.rows.find((item) => item.id === row)

describe('every table', () => {
  it('has an id of its own, a source in the catalogue and rows with ids of their own', () => {
    expect(new Set(TABLES.map((table) => table.id)).size).toBe(TABLES.length)
    for (const table of TABLES) {
      expect(new Set(table.rows.map((row) => row.id)).size, table.id).toBe(table.rows.length)
      for (const row of table.rows) expect(SOURCES[row.source], `${table.id}/${row.id}`).toBeDefined()
    }
  })
  it('marks what is only a suggestion low, and lets nobody change a standard', () => {
    for (const table of TABLES)
      for (const row of table.rows) {
        expect(['high', 'medium', 'low']).toContain(row.confidence)
        if (row.confidence === 'low') expect(row.ownership, `${table.id}/${row.id}`).not.toBe('fixed')
      }
  })
  it('is plain data, with finite numbers', () => {
    for (const table of TABLES) {
      const copy = JSON.parse(JSON.stringify(table)) as typeof table
      expect(copy.rows.length).toBe(table.rows.length)
      for (const row of table.rows) {
        if (row.value !== undefined) expect(Number.isFinite(row.value), `${table.id}/${row.id}`).toBe(true)
        for (const key of Object.keys(row.cells))
          expect(
            table.columns.map((column) => column.key),
            table.id,
          ).toContain(key)
      }
    }
  })
  it.each([
    ['gauge-bs', -1],
    ['gauge-swg', -1],
    ['gauge-steel', -1],
    ['gauge-galvanised', -1],
    ['drill-number', -1],
    ['drill-letter', 1],
    ['drill-fraction', 1],
    ['drill-metric', 1],
    ['ring-us', 1],
    ['ring-uk', 1],
    ['ring-iso', 1],
    ['ring-japan', 1],
    ['ring-continental', 1],
    ['bangle-size', 1],
    ['saw-blade', 1],
    ['abrasive-fepa-p', -1],
    ['abrasive-cami', -1],
    ['abrasive-jis', -1],
    ['abrasive-fepa-f', -1],
    ['abrasive-film', -1],
    ['steel-wool', 1],
    ['polish', -1],
    ['solder-percent', -1],
    ['solder-british', -1],
    ['temper-colour', 1],
    ['copper-weight', 1],
  ])('%s runs one way', (id, direction) => {
    const values = findTable(id)?.rows.map((row) => row.value ?? 0) ?? []
    for (let i = 1; i < values.length; i++) expect(((values[i] ?? 0) - (values[i - 1] ?? 0)) * direction).toBeGreaterThan(0)
  })
})

/** Ounces to the square foot behind each steel gauge (US manufacturers' standard gauge, from memory, high). */
const STEEL_OUNCES: Readonly<Record<number, number>> = {
  3: 160,
  4: 150,
  5: 140,
  6: 130,
  7: 120,
  8: 110,
  9: 100,
  10: 90,
  11: 80,
  12: 70,
  13: 60,
  14: 50,
  15: 45,
  16: 40,
  17: 36,
  18: 32,
  19: 28,
  20: 24,
  21: 22,
  22: 20,
  23: 18,
  24: 16,
  25: 14,
  26: 12,
  27: 11,
  28: 10,
  29: 9,
  30: 8,
  31: 7,
  32: 6.5,
  33: 6,
  34: 5.5,
  35: 5,
  36: 4.5,
  37: 4.25,
  38: 4,
}

describe('gauges against the formulas of their standards (high)', () => {
  it.each(Object.entries(STEEL_OUNCES))('steel %s ga is its %i oz/ft² at 41.82 lb/ft² to the inch', (gauge, ounces) => {
    expect(Math.abs((gaugeToMm('MSG', Number(gauge)) ?? 0) / 25.4 - ounces / 16 / 41.82)).toBeLessThan(0.00006)
  })
  it.each([10, 12, 14, 16, 18, 20, 22, 24, 26, 28, 30])('galvanised %i ga is the steel weight and 2.5 oz/ft² of zinc', (gauge) => {
    const inches = ((STEEL_OUNCES[gauge] ?? 0) + 2.5) / 16 / 41.82
    expect(Math.abs((gaugeToMm('galvanised', gauge) ?? 0) / 25.4 - inches)).toBeLessThan(0.00006)
  })
  it.each([
    [16, 0.0216],
    [20, 0.027],
    [24, 0.0323],
    [32, 0.0431],
  ])('copper of %i oz is %f in (ASTM B370)', (ounces, inches) => expect(copperWeightMm(ounces) / 25.4).toBeCloseTo(inches, 4))
  it('SWG falls in its steps: 12, 8, 4, 2 mils between 13/14 … 22/23 (BS 3737)', () => {
    const mils = (gauge: number) => Math.round(((gaugeToMm('SWG', gauge) ?? 0) / 25.4) * 10000) / 10
    expect([13, 14, 17, 20, 23].map((gauge) => Math.round((mils(gauge) - mils(gauge + 1)) * 10) / 10)).toEqual([12, 8, 8, 4, 2])
  })
  it('a thickness comes back from its real gauge number, and a half gauge lies between', () => {
    for (const gauge of [0, 7, 18, 22.5, 36]) expect(mmToBsGauge(gaugeToMm('B&S', gauge) ?? 0)).toBeCloseTo(gauge, 10)
  })
  it('three gauges double the area about, ten thin to a third: 1.4160 and 3.188', () => {
    expect((gaugeToMm('B&S', 10) ?? 0) / (gaugeToMm('B&S', 13) ?? 1)).toBeCloseTo(1.416, 3)
    expect((gaugeToMm('B&S', 10) ?? 0) / (gaugeToMm('B&S', 20) ?? 1)).toBeCloseTo(3.188, 3)
  })
})

describe('number drills against the threads they are drilled for (unified threads, from memory, high)', () => {
  it.each([
    [7, 0.25, 20],
    [21, 0.19, 32],
    [29, 0.164, 32],
    [36, 0.138, 32],
    [43, 0.112, 40],
    [50, 0.086, 56],
  ])('#%i under a %f in thread of %i to the inch leaves 69 to 79 hundredths of its thread', (drill, major, pitch) => {
    const depth = (major - (numberDrillMm(drill) ?? 0) / 25.4) / (1.299038 / pitch)
    expect(depth).toBeGreaterThan(0.685)
    expect(depth).toBeLessThan(0.795)
  })
})

describe('wire to drill (computed, high)', () => {
  it.each([
    ['10', '#37 (+0.053)', '#36 (+0.117)'],
    ['12', '#46 (+0.005)', '#44 (+0.132)'],
    ['14', '#51 (+0.074)', '#50 (+0.150)'],
    ['16', '#55 (+0.030)', '#54 (+0.106)'],
    ['18', '#59 (+0.018)', '#56 (+0.157)'],
    ['20', '#67 (+0.001)', '#64 (+0.103)'],
    ['22', '#71 (+0.017)', '#68 (+0.144)'],
    ['24', '#75 (+0.023)', '#72 (+0.124)'],
  ])('%s ga: snug %s, free %s', (gauge, snug, free) => expect(rowOf('wire-drill', gauge)?.cells).toMatchObject({ snug, free }))
})

describe('rings across the scales', () => {
  it.each([
    [2, 'D½'],
    [4, 'H½'],
    [6, 'L½'],
    [7, 'N½'],
    [9, 'R½'],
    [10, 'T½'],
    [14, 'Z+3'],
    [16, 'Z+7'],
  ])('US %i is UK %s (BS 6820, high)', (us, uk) => expect(ringNeighbours('UK', ringInsideMm('US', us))?.nearest).toBe(uk))
  it.each([
    [0.5, ['A', 'A½']],
    [12, ['X½', 'Y']],
    [13, ['Z½', 'Z+1']],
  ])('US %f lies on the edge and names both', (us, both) => expect(ringNeighbours('UK', ringInsideMm('US', us))?.tie).toEqual(both))
  it('the two US conventions differ by 0.047 mm round at 0, 0.071 at 7, 0.103 at 16', () => {
    const apart = (size: number) => Math.PI * (ringInsideMm('US', size) - usCircumferenceInsideMm(size))
    expect([0, 7, 16].map((size) => Number(apart(size).toFixed(3)))).toEqual([0.047, 0.071, 0.103])
  })
  it.each([
    [1, 13],
    [13, 17],
  ])('Japan %i is %i mm inside (trade scale, medium)', (size, mm) => expect(ringInsideMm('JP', size)).toBeCloseTo(mm, 12))
  it('the continental number is the circumference less 40 (trade scale, medium)', () =>
    expect(ringInsideMm('CH', 14) * Math.PI).toBeCloseTo(54, 12))
  it('off the end of a scale there is no neighbour', () => expect(ringNeighbours('US', 8)).toBeUndefined())
})

describe('saw blades (trade sizes, medium)', () => {
  it.each([
    ['8/0', 89],
    ['6/0', 76],
    ['4/0', 66],
    ['2/0', 56],
    ['1', 51],
    ['3', 40.5],
    ['5', 35.5],
    ['8', 28],
  ])('%s has %f teeth to the inch', (name, perInch) => {
    const blade = BLADES.find((item) => item.name === name)
    expect(Math.abs((blade?.teethPerCm ?? 0) * 2.54 - perInch)).toBeLessThan(0.6)
  })
  it('0.8 mm under 26 teeth to the centimetre is 2.1 teeth; at 60° twice as many (common practice, no source)', () => {
    expect(teethInMetal(26, 0.8)).toBeCloseTo(2.08, 10)
    expect(teethInMetal(26, 0.8, Math.PI / 3)).toBeCloseTo(4.16, 10)
  })
  it('the printed pilot of most sizes is smaller than the blade’s diagonal', () => {
    const tight = BLADES.filter((blade) => blade.printedPilot && (numberDrillMm(Number(blade.printedPilot.slice(1))) ?? 0) < pilotMm(blade))
    expect(tight.map((blade) => blade.name)).toEqual(['8/0', '7/0', '6/0', '5/0', '4/0', '3/0', '2/0', '1/0', '1', '2', '3', '4', '5'])
  })
  it('a pilot by diagonal: 4/0 wants #76, 1/0 #72 (closed form)', () => {
    expect(rowOf('saw-blade', '4-0')?.cells.drill).toBe('#76')
    expect(rowOf('saw-blade', '1-0')?.cells.drill).toBe('#72')
  })
  it('kerf is the blade and its set', () => expect(kerfOfMm({ thicknessMm: 0.26 }, {})).toBeCloseTo(0.29, 12))
})

describe('grits', () => {
  it.each([
    ['P400', 'CAMI 320'],
    ['P600', 'CAMI 400'],
    ['P1200', 'CAMI 600'],
    ['P1500', 'CAMI 800'],
    ['P2500', 'CAMI 1000'],
    ['P60', 'CAMI 60'],
  ])('%s is nearest %s (ISO 6344 against ANSI B74.18, medium)', (p, cami) => {
    const micron = ALL_GRITS.find((grit) => grit.name === p)?.micron ?? 0
    expect(`CAMI ${nearestGrit('CAMI', micron).name}`).toBe(cami)
  })
  it('mesh times grain is about 15000 in the middle of the American scale (trade rule, medium)', () => {
    for (const grit of ALL_GRITS.filter((item) => item.scale === 'CAMI' && item.micron > 60)) {
      expect((Number(grit.name) * grit.micron) / 15000).toBeGreaterThan(0.85)
      expect((Number(grit.name) * grit.micron) / 15000).toBeLessThan(1.15)
    }
  })
})

describe('solders and fluxes (AWS A5.8 and trade, from memory)', () => {
  it.each([
    ['solder-percent', 'medium-70', 50, 2],
    ['solder-percent', 'easy-65', 20, -28],
    ['solder-percent', 'extra-easy-56', 66, 19],
    ['solder-british', 'uk-hard', 22, -48],
    ['solder-british', 'uk-medium', 13, -20],
    ['solder-british', 'uk-easy', 42, -3],
    ['solder-british', 'uk-extra-easy', 14, -4],
  ])('%s %s flows %i under the one above, strict gap %i', (table, id, gap, strict) =>
    expect(rowOf(table, id)?.cells).toMatchObject({ gap, strict }),
  )
  it('white paste serves hard solder; borax wakes too late for extra easy', () => {
    const flux = (id: string) => FLUXES.find((item) => item.id === id) as (typeof FLUXES)[number]
    expect(isFluxRight(flux('white-paste'), { solidusC: 740, liquidusC: 788 })).toBe(true)
    expect(isFluxRight(flux('borax'), { solidusC: 618, liquidusC: 652 })).toBe(false)
    expect(isFluxRight(flux('soft'), { solidusC: 183, liquidusC: 183 })).toBe(true)
  })
})

describe('mass, fineness, density', () => {
  it('a troy ounce is 480 grains and 20 pennyweight; an avoirdupois pound 7000 grains (exact, 1959)', () => {
    expect(toGrams(480, 'grain')).toBeCloseTo(GRAMS_PER['troy ounce'], 10)
    expect(toGrams(20, 'pennyweight')).toBeCloseTo(GRAMS_PER['troy ounce'], 10)
    expect(toGrams(7000, 'grain')).toBeCloseTo(GRAMS_PER['avoirdupois pound'], 8)
    expect(toGrams(16, 'avoirdupois ounce')).toBeCloseTo(GRAMS_PER['avoirdupois pound'], 9)
  })
  it('a 12 mm cup takes a 10.4 mm punch over 0.8 mm sheet (geometry, high)', () => {
    expect(largestPunchMm(12, 0.8)).toBeCloseTo(10.4, 12)
    expect(largestPunchMm(12, 0.8, true)).toBeLessThan(10.4)
  })
  it('a stamped line is the sum of its advances; a measured letter wins (house default, low)', () => {
    expect(stampedLineMm('ABC', 2)).toBeCloseTo(5.4, 12)
    expect(stampedLineMm('I M', 2)).toBeCloseTo(1 + 1.2 + 2.3, 12)
    expect(stampedLineMm('ABC', 2, { B: 2.5 })).toBeCloseTo(6.1, 12)
  })
})

describe('stones and settings', () => {
  it('an oval of 18 by 13 is 49.012 round, its 0.32 strip 50.017 (Ramanujan; parallel curves, high)', () => {
    expect(ellipsePerimeterMm(18, 13)).toBeCloseTo(49.012, 3)
    expect(bezelStripMm(ellipsePerimeterMm(18, 13), 0.32)).toBeCloseTo(50.017, 3)
  })
  it('Ramanujan agrees with summing the ellipse in a hundred thousand chords', () => {
    const n = 100000
    const point = (i: number): [number, number] => [9 * Math.cos((2 * Math.PI * i) / n), 6.5 * Math.sin((2 * Math.PI * i) / n)]
    let sum = 0
    for (let i = 0; i < n; i++) sum += Math.hypot(point(i + 1)[0] - point(i)[0], point(i + 1)[1] - point(i)[1])
    expect(ellipsePerimeterMm(18, 13)).toBeCloseTo(sum, 6)
  })
  it('a round of 10 in 0.32 wants 32.42 (high)', () => expect(bezelStripMm(10 * Math.PI, 0.32)).toBeCloseTo(32.42, 2))
})

describe('rivets (volume, high; schools, medium)', () => {
  const headed = (thicknessMm: number, more: object) => {
    const run = findForm('rivet-wire')?.run({ alloy: 'copper-c110', thicknessMm, upperMm: 1, lowerMm: 1, holeMm: thicknessMm, ...more })
    if (!run?.ok) throw new Error(JSON.stringify(run))
    return run.result
  }
  it('wire 1.628, 1.0 out, hammered to 0.5 is a head of 2.30', () =>
    expect(headed(1.628, { headMm: 0.5 }).results.headMm?.value).toBeCloseTo(2.3, 2))
  it('wire 1.5 domed 0.6 high and 2.65 across takes 1.0 for each head, by volume', () => {
    const domed = headed(1.5, { headMm: 0.6, headAcrossMm: 2.65, schools: { head: 'cap' } })
    expect(((domed.results.lengthMm?.value ?? 0) - 2) / 2).toBeCloseTo(1, 2)
  })
  it('a bezel is a third of the stone or over the turn, whichever is more (low)', () => {
    const high = (stoneHeightMm: number, turnMm: number) => {
      const run = findForm('bezel')?.run({
        alloy: 'fine-silver',
        thicknessMm: 0.3,
        stoneLengthMm: 9,
        stoneWidthMm: 7,
        stoneHeightMm,
        turnMm,
      })
      return run?.ok ? run.result.results.heightMm?.value : undefined
    }
    expect([high(6, 1), high(3, 1.5)]).toEqual([2, 2])
  })
  it('grip 2, wire 1.6 in a 1.7 hole swallows 0.258', () => expect(holeFillMm(2, 1.6, 1.7)).toBeCloseTo(0.258, 3))
  it('edge distance: 2·d, but never less than a web of 1 mm', () => {
    expect(edgeDistanceMm(1.5)).toBe(3)
    expect(edgeDistanceMm(0.6)).toBeCloseTo(1.3, 12)
  })
  it('the schools: one sheet at most 1 mm, half the wire, one and a half wires', () => {
    expect(headStickOutMm('one-sheet', 1.6, 0.5)).toBe(0.5)
    expect(headStickOutMm('one-sheet', 1.6, 1.5)).toBe(1)
    expect(headStickOutMm('half-diameter', 1.6, 1)).toBe(0.8)
    expect(headStickOutMm('diameter-and-half', 1.6, 1)).toBeCloseTo(2.4, 12)
    expect(headStickOutMm('tube', 3, 1)).toBe(1)
  })
})
