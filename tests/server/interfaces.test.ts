import { spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import { advise, COMMANDS, calc, convert, listAdvisers, listForms, listTables, openApiDocument, table } from '@/core/commands'
import { FORM_IDS } from '@/core/forms'
import { buildCommands } from '../../scripts/bundles.mjs'

const clock = () => 0
const RING = { insideDiameterMm: 'US 7', thicknessMm: '18 ga', alloy: 'red-brass-c230' }

const FOLDER = 'node_modules/.cache/anvil-test'
await buildCommands(FOLDER)

function anvil(args: string[], input = '') {
  const done = spawnSync('node', [`${FOLDER}/anvil.mjs`, ...args], { input, encoding: 'utf8' })
  return { code: done.status, out: done.stdout === '' ? undefined : (JSON.parse(done.stdout) as Record<string, unknown>), err: done.stderr }
}

describe('the command line', () => {
  it('gives the core’s own answer, nothing else on standard output', () => {
    const { code, out } = anvil(['calc', 'ring-band', JSON.stringify(RING)])
    expect(code).toBe(0)
    expect({ ok: true, body: out }).toEqual(calc('ring-band', RING))
  })
  it('reads standard input', () => expect(anvil(['calc', 'ring-band', '-'], JSON.stringify(RING)).code).toBe(0))
  it('exits 2 on bad input with the error object, whatever is wrong', () => {
    for (const args of [
      ['calc', 'ring-band', '{"x":'],
      ['calc', 'nothing', '{}'],
      ['calc', 'dome', '{"widthMm":"wide"}'],
      ['convert', 'abc'],
      ['table', 'nothing'],
      ['advise', 'nothing', '{}'],
      ['advise', 'drill', '{"pinMm":"thick"}'],
      ['advise'],
      ['layout', '{}'],
      ['temper', '[]'],
      ['calc', 'disc', '@/no/such/file.json'],
      ['fly'],
      [],
    ]) {
      const { code, out } = anvil(args)
      expect(code).toBe(2)
      expect(out).toMatchObject({ error: { code: expect.any(String), message: expect.any(String), issues: expect.any(Array) } })
    }
  })
  it('answers a question with candidates, exit 0', () =>
    expect(anvil(['convert', '2-4'])).toMatchObject({ code: 0, out: { kind: 'ambiguous' } }))
  it('looks up and advises', () => {
    expect(anvil(['find', '#60']).out).toMatchObject({
      findings: expect.arrayContaining([expect.objectContaining({ table: 'drill-number', how: 'named' })]),
    })
    expect(anvil(['table', 'saw-blade']).out).toMatchObject({ id: 'saw-blade', sources: { 'bench-practice': { confidence: 'medium' } } })
    const advisers = anvil(['advisers']).out as unknown as { id: string; example: unknown }[]
    expect({ ok: true, body: advisers }).toEqual(JSON.parse(JSON.stringify(listAdvisers())))
    for (const { id, example } of advisers.filter((_, i) => i % 4 === 0))
      expect({ ok: true, body: anvil(['advise', id, JSON.stringify(example)]).out }).toEqual(advise(id, example))
  })
  it('lists forms with a valid example each', () => {
    const listed = anvil(['forms']).out as unknown as { id: string; example: unknown }[]
    expect(listed.map((form) => form.id)).toEqual(FORM_IDS)
    for (const { id, example } of listed) expect(calc(id, example).ok).toBe(true)
    for (const { id, example } of listed.filter((_, i) => i % 9 === 0)) expect(anvil(['calc', id, JSON.stringify(example)]).code).toBe(0)
  })
})

describe('the interfaces', () => {
  it('an ambiguous size is an answer to convert and bad input to calc', () => {
    expect(convert('4/0')).toMatchObject({ ok: true, body: { kind: 'ambiguous' } })
    expect(calc('disc', { diameterMm: 20, alloy: 'copper-c110', thicknessMm: '4/0' })).toMatchObject({
      ok: false,
      body: { error: { issues: [{ path: 'thicknessMm' }] } },
    })
  })
  it('layout says when a sheet is smaller than the blank', () => {
    const answer = COMMANDS.get('layout')?.(
      {
        sheets: [
          {
            id: 'S',
            outer: [
              [0, 0],
              [10, 0],
              [10, 10],
              [0, 10],
            ],
          },
        ],
        items: [{ id: 'a', circle: { radiusMm: 9 } }],
      },
      clock,
    )
    expect(answer).toMatchObject({ ok: true, body: { placements: [], unplaced: [{ id: 'a', qty: 1 }] } })
  })
  it('a table comes whole, with its sources spelt out; one that is not there names those that are', () => {
    const all = listTables()
    for (const { id, rows } of (all.ok ? all.body : []) as { id: string; rows: number }[]) {
      const one = table(id)
      expect(one.ok && (one.body as { rows: unknown[] }).rows).toHaveLength(rows)
    }
    expect(table('gauges')).toMatchObject({
      ok: false,
      body: { error: { code: 'unknown-table', issues: [{ message: expect.stringContaining('gauge-bs') }] } },
    })
    expect(COMMANDS.get('table')?.({ id: 'flux' }, clock)).toMatchObject({ ok: true, body: { id: 'flux' } })
    expect(COMMANDS.get('table')?.(7, clock)).toMatchObject({ ok: false })
    expect(COMMANDS.get('find')?.({ text: 'easy' }, clock)).toMatchObject({
      ok: true,
      body: { question: expect.stringContaining('British easy') },
    })
  })
  it('temper walks a route', () =>
    expect(
      COMMANDS.get('temper')?.({ alloy: 'copper-c110', thicknessMm: 1, steps: [{ op: 'roll', params: { fromMm: 1, toMm: 0.5 } }] }, clock),
    ).toMatchObject({ ok: true, body: { steps: [{ light: 'green' }] } }))
  it('the OpenAPI document names every interface and form', () => {
    const { paths } = openApiDocument()
    const forms = listForms()
    for (const { id } of (forms.ok ? forms.body : []) as { id: string }[]) expect(paths).toHaveProperty([`/api/v1/calc/${id}`])
    const advisers = listAdvisers()
    for (const { id } of (advisers.ok ? advisers.body : []) as { id: string }[]) expect(paths).toHaveProperty([`/api/v1/advise/${id}`])
    for (const command of COMMANDS.keys()) expect(paths).toHaveProperty([`/api/v1/${command}`])
  })
})
