import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { benchCardOf } from '@/core/lookup'
import { findTable, TABLES } from '@/core/tables'
import { findStartingSet } from '@/core/toolwall'
import { benchCardPdf } from '@/server/export/bench-card-pdf'
import { tableCsv } from '@/server/export/table-csv'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { toolsWanted } from '@/server/services/tools-wanted'
import { allPieces } from '../support/bench'
import { demoWorkshop, tempWorkshop } from '../support/temp-db'

describe('the tool wall', () => {
  it('counts by what came and went: a dozen blades, one broken, one worn out', () => {
    const { tools } = tempWorkshop().repositories
    const id = tools.add({ kind: 'blade', label: '3/0', nominal: 0.24, count: 12 })
    expect(tools.change(id, -1, 'broke')).toBe(11)
    expect(tools.change(id, -1, 'wore-out')).toBe(10)
    expect(tools.one(id)).toMatchObject({ count: 10, broken: 1 })
    expect(tools.change(id, -50, 'lost')).toBe(0)
    expect(tools.change(id, 144, 'bought')).toBe(144)
    expect(tools.change(999, 1, 'bought')).toBeUndefined()
  })
  it('keeps a measurement beside the size as sold, and takes it back', () => {
    const { tools } = tempWorkshop().repositories
    const id = tools.add({ kind: 'punch', label: '18 mm', nominal: 18 })
    tools.setMeasured(id, 17.9)
    expect(tools.one(id)).toMatchObject({ nominal: 18, measured: 17.9 })
    tools.setMeasured(id, null)
    expect(tools.one(id)).not.toHaveProperty('measured')
  })
  it('keeps a tool of which only the label is known, and its log when it is taken down', () => {
    const { db, repositories } = tempWorkshop()
    const { tools, archive } = repositories
    const id = tools.add({ kind: 'drill', label: 'burr A', count: 2 })
    expect(tools.owned()).toEqual([{ kind: 'drill', label: 'burr A', count: 2, facts: {} }])
    expect(archive.put('tool', id)).toBe(true)
    expect(tools.all()).toEqual([])
    expect(db.prepare('SELECT count(*) AS n FROM tool_events').get()).toEqual({ n: 1 })
  })
  it('refuses a kind it does not know and a size of nothing', () => {
    const { db } = tempWorkshop()
    expect(() => db.prepare("INSERT INTO tools (uid, kind, label, created_at) VALUES ('u', 'spoon', 'x', '')").run()).toThrow()
    expect(() => db.prepare("INSERT INTO tools (uid, kind, label, nominal, created_at) VALUES ('u', 'drill', 'x', 0, '')").run()).toThrow()
  })
  it('plans pick from it: the dome takes one’s own punches by their measured size', () => {
    const { repositories } = demoWorkshop()
    const finial = allPieces(repositories).find((piece) => piece.name === 'Finial cup')
    const plan = finial && planDesign(finial.design, planOptions(repositories))
    const punches = plan?.ok ? plan.steps.filter((step) => step.op === 'dap').map((step) => step.params.punchMm) : []
    expect(punches.at(-1)).toBe(31.9)
    const usual = finial && planDesign(finial.design, { ringSystem: 'US' })
    expect(usual?.ok && usual.steps.filter((step) => step.op === 'dap').at(-1)?.params.punchMm).toBe(32)
  })
  it('what open jobs want and the wall lacks is told with what it costs, by one’s own price where there is one', () => {
    const { repositories } = demoWorkshop()
    const wanted = () => toolsWanted(repositories, planOptions(repositories))
    const bits = () => wanted().filter(({ message }) => / mm bit; /.test(message))
    expect(bits().length).toBeGreaterThan(0)
    for (const { cost, pieces } of bits()) {
      expect(cost).toBe(3)
      expect(pieces.length).toBeGreaterThan(0)
    }
    expect(new Set(wanted().map(({ message }) => message)).size).toBe(wanted().length)
    repositories.settings.write({ figures: { 'tool-price-drill': 4.25 } })
    expect(bits().map(({ cost }) => cost)).toEqual(bits().map(() => 4.25))
  })
  it('a set hung twice would be the same tools', () => {
    const { tools } = tempWorkshop().repositories
    for (const tool of findStartingSet('hammers')?.tools ?? []) tools.add(tool)
    expect(tools.all().map((tool) => tool.label)).toContain('brass hammer')
  })
})

describe('tables on paper', () => {
  it.each(['A4', 'Letter'] as const)(
    'cards are one page of %s',
    async (paper) => {
      // on the second paper every fourth: what is set differs by its width alone
      for (const { id } of paper === 'A4' ? TABLES : TABLES.filter((_, i) => i % 4 === 0)) {
        const card = benchCardOf(id)
        const bytes = card ? await benchCardPdf({ ...card, paper }) : new Uint8Array()
        expect((await PDFDocument.load(bytes)).getPageCount(), id).toBe(1)
      }
    },
    60_000,
  )
  it('CSV quotes what needs it and carries full precision', () => {
    const table = findTable('flux')
    const csv = table ? tableCsv(table) : ''
    const lines = csv.trimEnd().split('\r\n')
    expect(lines).toHaveLength((table?.rows.length ?? 0) + 1)
    expect(lines[0]).toContain('"works to, °C"')
    const gauge = findTable('gauge-bs')
    expect(gauge ? tableCsv(gauge) : '').toContain('1.0236873428326523')
  })
})
