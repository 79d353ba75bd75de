import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { TABLES } from '../tables/registry'
import { benchCardOf } from './bench-cards'
import { findInTables } from './find'
import { rowSummary, shortName, tableAsText } from './format'
import { neighboursOn, RULERS, rulerOfTable } from './rulers'

const named = (text: string) =>
  findInTables(text)
    .findings.filter((finding) => finding.how === 'named')
    .map((finding) => finding.row.name)

describe('finding what a smith types', () => {
  it.each([
    ['#60', '#60'],
    ['no 60', '#60'],
    ['P600', 'P600'],
    ['cami 600', 'CAMI 600'],
    ['18 ga swg', '18 ga SWG'],
    ['4/0', '4/0 blade'],
    ['0000', '4/0 blade'],
    ['N 1/2', 'UK N½'],
    ['n.5', 'UK N½'],
    ['us 7', 'US 7'],
    ['jp 12', 'JP 12'],
    ['1/16', '1/16 in'],
    ['585', '14 k gold'],
    ['65%', 'Easy (65 % silver) solder'],
    ['2-4', 'bangle 2-4'],
    ['20 oz copper', '20 oz copper'],
    ['rouge', 'red rouge'],
    ['18x13', '18×13 oval'],
  ])('%s is %s', (text, name) => expect(named(text)).toContain(name))
  it('a bare number stands on many scales and is asked back', () => {
    const found = findInTables('18')
    expect(found.question).toMatch(/^Which 18\?/)
    expect(named('18')).toEqual(expect.arrayContaining(['18 ga B&S', '18 ga SWG', '18 ga MSG', '#18', 'JP 18']))
  })
  it('1.02 finds its neighbours with the signed difference', () => {
    const near = findInTables('1.02').findings.filter((finding) => finding.how === 'near')
    expect(near.find((finding) => finding.row.name === '18 ga B&S')?.difference).toBeCloseTo(0.0037, 4)
    expect(near.find((finding) => finding.row.name === '#60')?.difference).toBeCloseTo(-0.004, 4)
  })
  it('words find what speaks of them', () => {
    expect(findInTables('fluoride').findings[0]?.row.name).toContain('fluoride')
    expect(findInTables('sterling density').findings.map((finding) => finding.table.id)).toContain('density')
    expect(findInTables('opal').findings.map((finding) => finding.row.id)).toContain('sulphide-stones')
  })
  it('every row is found by its own name', () => {
    for (const table of TABLES) for (const row of table.rows) expect(named(row.name), `${table.id}/${row.id}`).toContain(row.name)
  })
  it('never throws, whatever is typed, and finds nothing for nothing', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 16 }), (text) => {
        expect(findInTables(text).text.length).toBeLessThanOrEqual(80)
      }),
      { numRuns: 1000 },
    )
    expect(findInTables('  ').findings).toEqual([])
    expect(findInTables('qqqq').findings).toEqual([])
  })
})

describe('rulers', () => {
  it('a value lies between its neighbours on every scale', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 8, noNaN: true }), (value) => {
        for (const { below, same, above } of neighboursOn(RULERS.thickness, value)) {
          if (below) expect(below.value).toBeLessThan(value)
          if (above) expect(above.value).toBeGreaterThan(value)
          if (same) expect(Math.abs(same.value - value)).toBeLessThanOrEqual(1e-3 * value)
        }
      }),
    )
  })
  it('the marks beside US 7 on the UK scale are N and O, with N½ all but the same', () => {
    const uk = neighboursOn(RULERS.ring, 17.3228).find((item) => item.table.id === 'ring-uk')
    expect([uk?.below?.name, uk?.same?.name, uk?.above?.name]).toEqual(['UK N', 'UK N½', 'UK O'])
  })
  it('a table lies on one ruler at most, in that ruler’s unit', () => {
    for (const table of TABLES) {
      const ruler = rulerOfTable(table.id)
      if (ruler) expect(table.unit, table.id).toBe(ruler.unit)
    }
  })
})

describe('how tables are written out', () => {
  it('carries source, confidence and ownership with every line', () => {
    for (const table of TABLES) {
      const { heads, lines } = tableAsText(table)
      for (const line of lines) expect(line, table.id).toHaveLength(heads.length)
      expect(heads.slice(-4)).toEqual(['source', 'confidence', 'ownership', 'note'])
    }
  })
  it('engraves a mark without what its table says', () => {
    const row = (id: string) => TABLES.find((table) => table.id === id)?.rows[10]
    for (const [id, short] of [
      ['gauge-bs', '7'],
      ['ring-us', '2½'],
      ['drill-letter', 'K'],
    ] as const) {
      const found = row(id)
      expect(found && shortName(found)).toBe(short)
    }
  })
  it('every table has a page to be printed on', () => {
    for (const table of TABLES) expect(benchCardOf(table.id)?.tables.map((item) => item.id)).toContain(table.id)
    expect(benchCardOf('nothing')).toBeUndefined()
  })
  it('says a row in a line', () => {
    for (const table of TABLES)
      for (const row of table.rows) expect(rowSummary(table, row).length, `${table.id}/${row.id}`).toBeGreaterThan(0)
  })
})

describe('the ways a smith says an amount', () => {
  const said = (text: string) => findInTables(text)
  it.each([
    ['1 troy ounce', 31.1034768, 'g'],
    ['3 pennyweight', 4.66552152, 'g'],
    ['2 lbs', 907.18474, 'g'],
    ['700 C', 1292, '°F'],
    ['1450 F', 787.7777778, '°C'],
    ['10 g in dwt', 6.4301493, 'pennyweight'],
    ['14 tpi', 5.511811, '/cm'],
  ])('%s is %f %s (exact)', (text, value, unit) => {
    const [first] = said(text).conversions
    expect(first?.unit).toBe(unit)
    expect(first?.value).toBeCloseTo(value, 5)
  })
  it('14 tpi finds the blades with about as many teeth', () => {
    const blades = said('14 tpi').findings.filter(({ table }) => table.id === 'saw-blade')
    expect(blades).toHaveLength(2)
  })
  it('18ct is asked back: a weight or a gold', () =>
    expect(said('18ct').question).toMatch(/^Which 18ct\? .*3\.6 g, or 18 k gold, marked 750\.$/))
  it.each(['14 kt', '14k', '14 k', '14 karat'])('%s is 14 k gold, marked 585 and 583.3 by its karats', (text) => {
    const row = said(text).findings.find(({ table }) => table.id === 'fineness')?.row
    expect([row?.name, row?.value]).toEqual(['14 k gold', 585])
    expect(row?.cells.byKarat).toBeCloseTo(583.33, 2)
  })
  it.each(['13x18', '18x13', '18 x 13', '13×18'])('%s is the oval cabochon', (text) =>
    expect(said(text).findings[0]?.row.name).toBe('18×13 oval'),
  )
})
