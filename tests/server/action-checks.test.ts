import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { ACTION_NAMES, type ActionName } from '@/server/actions/names'
import { actionChecks, perform } from '@/server/actions/perform'
import type { RecordKind, Repositories } from '@/server/db/repositories'
import { cutLayout, instanceOf } from '@/server/services/cut-layout'
import { addPiece, designOf, laidPlainly, measured, trayOf } from '../support/bench'
import { changedOnce } from '../support/changed-once'
import { tempWorkshop, workshopLike } from '../support/temp-db'

const open = vi.hoisted(() => ({ repositories: undefined as unknown }))
vi.mock('@/server/workshop', () => ({ workshop: () => open.repositories }))
vi.mock('@/server/db/connection', () => ({ WORKSHOPS: ['demo', 'workshop'] }))

/** Actions that belong to no one workshop, each with its reason in the registry. */
const OF_NO_WORKSHOP: readonly ActionName[] = ['openWorkshop', 'restoreBackup', 'sendAwayDevice']
/** Actions that change nothing that is there: they are made against nothing. */
const MAKES_NEW: readonly ActionName[] = [
  'addLesson',
  'addPicture',
  'addPiece',
  'addStartingSets',
  'addStock',
  'addTool',
  'backUp',
  'duplicateJob',
  'duplicatePiece',
  'duplicateStock',
  'keepBath',
  'keepPrediction',
  'keepSwatch',
  'keepTemplate',
  'putInJar',
]

const DISC = designOf('disc', { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 })
let to: Repositories
let db: ReturnType<typeof tempWorkshop>['db']
/** The workshop with one of everything, closed. */
let filled = ''
let pieceId = 0
let jobId = 0
let layoutId = 0
let cutId = 0
let jarId = 0
let templateId = 0
let bathId = 0
let swatchId = 0
let pictureId = 0
let lessonId = 0
let recorded: RecordKind | undefined

beforeAll(async () => {
  const temp = tempWorkshop()
  to = temp.repositories
  pieceId = addPiece(to, 'Token', DISC, 3)
  jobId = to.jobs.piece(pieceId)?.jobId ?? 0
  const sheet = {
    kind: 'sheet',
    alloy: 'copper-c110',
    thicknessTyped: '0.9',
    thicknessMm: 0.9,
    measuredMm: null,
    holes: [],
    lengthMm: null,
    acrossMm: null,
  } as const
  const outer = [
    [0, 0],
    [90, 0],
    [90, 60],
    [0, 60],
  ] as const
  const lay = (job: number, label: string) => {
    const sheetId = to.drawer.add({ ...sheet, label, outer, temper: 'annealed', parentId: null })
    const setup = { jobId: job, sheetId, kerfMm: 0.3, marginMm: 1 }
    return to.layouts.add({ ...setup, placements: laidPlainly(instanceOf(to, setup)) })
  }
  layoutId = lay(jobId, 'S-1')
  const other = addPiece(to, 'Other', DISC, 2)
  cutId = lay(to.jobs.piece(other)?.jobId ?? 0, 'S-2')
  await cutLayout(to, cutId)
  to.tools.add({ kind: 'blade', label: '4/0', nominal: 0.22, count: 12 })
  to.tools.add({ kind: 'mandrel', label: 'mandrel' })
  to.tools.add({ kind: 'stamp', label: 'letters', nominal: 2 })
  to.archive.put('tool', to.tools.add({ kind: 'punch', label: 'put away' }))
  const scrap = { alloy: 'sterling-925', kind: 'clean' } as const
  jarId = to.jars.forMetal(scrap).id
  to.jars.putIn(jarId, scrap, 3)
  pictureId = to.pictures.add({ pieceId, words: 'first', width: 1, height: 1, bytes: new Uint8Array([1]) })
  lessonId = to.teaching.addLesson(pieceId, 'A lesson')
  swatchId = to.swatches.add({ alloy: 'copper-c110', agent: 'verdigris', recipe: 'one spray', colour: '#507060' })
  bathId = to.baths.add({ name: 'Pan', kind: 'copper-sulphate', litres: 1 })
  templateId = to.templates.add({ name: 'Arm', from: '', outer, holes: [] })
  const ring = { insideDiameterMm: 17.8, alloy: 'sterling-925', thicknessMm: 1.3, widthMm: 4 }
  measured(to, trayOf(to, addPiece(to, 'Ring', designOf('ring-band', ring), 1), 1), 1, 0.1)
  recorded = to.record.groups({ page: 1, size: 1 })[0]
  temp.db.close()
  filled = temp.path
})

beforeEach(() => {
  const temp = workshopLike(filled)
  to = temp.repositories
  db = temp.db
  open.repositories = to
})

const toolId = (kind: string) => to.tools.all().find((tool) => tool.kind === kind)?.id ?? 0

/** A write of each action that would go through, and would change something. */
const INPUTS: Readonly<Record<ActionName, () => unknown>> = {
  addLesson: () => ({ pieceId, title: 'First ring' }),
  addPicture: () => ({
    pieceId,
    words: 'first',
    base64: 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  }),
  addPiece: () => ({ name: 'New', form: 'disc' }),
  addStartingSets: () => ({ ids: ['hammers'] }),
  addStock: () => ({ kind: 'wire', alloy: 'copper-c110', thickness: '1', length: '100' }),
  addTool: () => ({ kind: 'drill', label: 'new' }),
  answerRecord: () => ({ ...recorded, says: { of: 'hand', since: '2027-03-01T10:00:00.000Z' } }),
  archiveThing: () => ({ kind: 'tool', id: toolId('blade') }),
  backUp: () => ({}),
  chooseCuts: () => ({ id: layoutId, lines: { x: { side: 'on' } } }),
  correctStock: () => ({ id: 1, label: 'S-1', alloy: 'copper-c110', thickness: '0.9', temper: 'hard' }),
  correctTool: () => ({ id: toolId('blade'), label: '4/0, the blue packet', size: '4/0' }),
  countTemplate: () => ({ id: templateId, change: 1 }),
  countTool: () => ({ id: toolId('blade'), change: -1, reason: 'broke' }),
  cutLayout: () => ({ id: layoutId }),
  deleteForGood: () => ({ kind: 'tool', id: to.archive.all('tool')[0]?.id ?? 0 }),
  describePiece: () => ({ pieceId, name: 'Renamed', quantity: 9, spares: 1 }),
  dropLesson: () => ({ id: lessonId }),
  dropPicture: () => ({ id: pictureId }),
  dropSwatch: () => ({ id: swatchId }),
  dropTemplate: () => ({ id: templateId }),
  duplicateJob: () => ({ id: jobId }),
  duplicatePiece: () => ({ pieceId }),
  duplicateStock: () => ({ id: 1 }),
  keepBath: () => ({ name: 'Green pan', kind: 'salt', litres: '0.7' }),
  keepFigure: () => ({ id: 'price-sterling-925', typed: '0.9' }),
  keepSwatch: () => ({ alloy: 'copper-c110', agent: 'verdigris', recipe: 'two sprays', colour: '#70a090' }),
  keepPrediction: () => ({ token: 'prediction-1', learner: 'Wren', question: 'gauge-4', guess: '1.3' }),
  keepTemplate: () => ({
    name: 'New',
    outer: [
      [0, 0],
      [9, 0],
      [9, 9],
    ],
  }),
  keepTrials: () => ({ id: 'modulus-sterling-925', values: [80] }),
  markMandrel: () => ({ id: toolId('mandrel'), mark: 'US 7', typed: '17.4' }),
  measureStamp: () => ({ id: toolId('stamp'), character: 'W', typed: '2.2' }),
  measureStock: () => ({ id: 1, typed: '0.91' }),
  measureTool: () => ({ id: toolId('blade'), typed: '0.23' }),
  moveRevision: () => ({ pieceId, way: 'undo' }),
  noteBath: () => ({ id: bathId, what: { does: 'filtered' } }),
  openWorkshop: () => ({ name: 'demo' }),
  putBackCut: () => ({ id: cutId }),
  putInJar: () => ({ alloy: 'sterling-925', kind: 'clean', mass: '2.5' }),
  restoreBackup: () => ({ file: 'x.db', shownLastAt: null }),
  saveDesign: () => ({ pieceId, design: designOf('disc', { diameterMm: 22, alloy: 'copper-c110', thicknessMm: 0.9 }) }),
  saveJob: () => ({ id: jobId, title: 'Renamed' }),
  saveLayout: () => ({ jobId, sheetId: 1, kerfMm: 0.5, marginMm: 1, placements: [] }),
  saveSettings: () => ({ workshopName: 'Renamed' }),
  sendAwayDevice: () => ({ id: 'x' }),
  sendJar: () => ({ id: jarId }),
  startTray: () => ({ pieceId, size: 2 }),
  takePrices: () => ({ day: '2027-03-01', prices: { 'sterling-925': 1.3 } }),
  takeOutOfArchive: () => ({ kind: 'tool', id: to.archive.all('tool')[0]?.id ?? 0 }),
  weighJar: () => ({ id: jarId, mass: '4' }),
}

/** Everything the workshop holds, as text. */
function everything(): string {
  const tables = db.prepare("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name").all() as { name: string }[]
  return tables.map(({ name }) => JSON.stringify(db.prepare(`SELECT * FROM ${name}`).all())).join('\n')
}

const checks = actionChecks()
const own = checks.filter(({ name }) => !OF_NO_WORKSHOP.includes(name))
const changing = own.filter(({ name }) => !MAKES_NEW.includes(name))

describe('the registry of actions', () => {
  it('names each once, and lists by name the few that check less, with the reason', () => {
    expect(checks.map(({ name }) => name)).toEqual([...ACTION_NAMES])
    expect(checks.filter(({ spec }) => spec.workshop !== 'own').map(({ name }) => name)).toEqual(OF_NO_WORKSHOP)
    for (const { spec } of checks) if (spec.workshop !== 'own') expect(spec.workshop.any.length).toBeGreaterThan(20)
    expect(own.filter(({ spec }) => spec.against === 'new').map(({ name }) => name)).toEqual(MAKES_NEW)
  })
  it.each(own.map(({ name }) => name))('%s made in another workshop writes nothing', async (name) => {
    const before = everything()
    const answer = await perform(name, { workshop: 'of another', revision: 1, input: INPUTS[name]() })
    expect(answer).toMatchObject({ ok: false, code: 'other-workshop', message: expect.stringContaining('Nothing was written') })
    expect(everything()).toBe(before)
  })
  it.each(changing.map(({ name }) => name))('%s made against what is no longer so writes nothing, and tells what is', async (name) => {
    const before = everything()
    const answer = await perform(name, { workshop: to.workshopRow().uid, revision: 4711, input: INPUTS[name]() })
    expect(answer).toMatchObject({ ok: false, code: 'stale', stale: { revision: expect.any(Number) } })
    expect(everything()).toBe(before)
    const again = await perform(name, {
      workshop: to.workshopRow().uid,
      revision: answer.ok ? 0 : (answer.stale?.revision ?? 0),
      input: INPUTS[name](),
    })
    if (name !== 'moveRevision') expect(again).toMatchObject({ ok: true })
  })
  it.each(own.map(({ name }) => name))('%s without a workshop or with nonsense is refused in words', async (name) => {
    const before = everything()
    for (const raw of [
      undefined,
      null,
      7,
      'x',
      [],
      {},
      { workshop: 3 },
      { workshop: to.workshopRow().uid, revision: -1, input: {} },
      { input: INPUTS[name]() },
    ]) {
      const answer = await perform(name, raw)
      expect(answer.ok).toBe(false)
      expect(answer.ok ? '' : answer.message.length).toBeGreaterThan(5)
    }
    expect(everything()).toBe(before)
  })
  it('a write that would change nothing is no conflict', async () => {
    const job = to.jobs.job(jobId)
    if (!job) throw new Error('no job')
    const { id, title, customer, dueOn, status, note } = job
    const answer = await perform('saveJob', {
      workshop: to.workshopRow().uid,
      revision: 4711,
      input: { id, title, customer, dueOn, status, note },
    })
    expect(answer.ok).toBe(true)
  })
})

/** Every route handler of the program. */
function routeFiles(folder = 'src/app'): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) return routeFiles(path)
    return entry.name === 'route.ts' ? [path] : []
  })
}

describe('the routes', () => {
  const writing = routeFiles().filter((file) => /export (async )?function (POST|PUT|PATCH|DELETE)/.test(readFileSync(file, 'utf8')))
  it('that take a body go through the one door that measures and reads it', () => {
    const taking = writing.filter((file) => /function (POST|PUT|PATCH)/.test(readFileSync(file, 'utf8')))
    for (const file of taking.filter((name) => !name.includes('/pair/')))
      expect(readFileSync(file, 'utf8'), file).toMatch(/with(Json|Bytes)\(request/)
  })
  it('that write are the actions, the ledger’s entries and the pairing, and no others', () => {
    const reaching = writing.filter((file) => /workshop\(\)|perform\(|pairDevice\(/.test(readFileSync(file, 'utf8')))
    expect(reaching.sort()).toEqual(['src/app/api/act/[action]/route.ts', 'src/app/api/v1/entries/route.ts', 'src/app/pair/route.ts'])
  })
  it('no page writes behind their back: there are no server actions', () => {
    const sources = (folder: string): string[] =>
      readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
        entry.isDirectory() ? sources(join(folder, entry.name)) : [join(folder, entry.name)],
      )
    for (const file of sources('src')) expect(readFileSync(file, 'utf8').includes("'use server'"), file).toBe(false)
  })
})

describe('how the store is written', () => {
  it('only by statements that cannot drop an error: none gives rows back as it writes', () => {
    for (const file of readdirSync('src/server/db/repositories')) {
      const text = readFileSync(join('src/server/db/repositories', file), 'utf8')
      expect(text, file).not.toMatch(/RETURNING/)
      for (const [, sql = ''] of text.matchAll(/db\.prepare\(\s*[`'"]([^`'"]*)/g))
        expect(sql.trimStart(), file).not.toMatch(/^(INSERT|UPDATE|DELETE)/)
    }
  })
})

describe('a sheet in the archive', () => {
  it('is not cut, and says where it is; taken out again it is', async () => {
    const sheetId = to.layouts.one(layoutId)?.sheetId ?? 0
    to.archive.put('stock', sheetId)
    expect(await cutLayout(to, layoutId)).toEqual({
      ok: false,
      message: 'Sheet S-1 is in the archive. Take it out there, or choose another sheet.',
    })
    to.archive.takeOut('stock', sheetId)
    expect(await cutLayout(to, layoutId)).toMatchObject({ ok: true })
  })
})

describe('an edit that arrives twice', () => {
  it('is written once, and told as kept both times', async () => {
    const asked = {
      workshop: to.workshopRow().uid,
      revision: to.jobs.piece(pieceId)?.revision ?? 0,
      input: { pieceId, design: designOf('disc', { diameterMm: 22, alloy: 'copper-c110', thicknessMm: 0.9 }) },
    }
    const [first, again] = [await perform('saveDesign', asked), await perform('saveDesign', asked)]
    expect(first).toMatchObject({ ok: true })
    expect(again).toEqual(first)
  })
})

describe('a write after one that has no answer', () => {
  const token = (diameterMm: number) => ({ pieceId, design: designOf('disc', { diameterMm, alloy: 'copper-c110', thicknessMm: 0.9 }) })
  const save = (revision: number, diameterMm: number, after?: number) =>
    perform('saveDesign', {
      workshop: to.workshopRow().uid,
      revision,
      input: token(diameterMm),
      ...(after === undefined ? {} : { after: token(after) }),
    })
  const stands = () => to.jobs.piece(pieceId)?.design.parts[0]?.input.diameterMm

  it('is made of it where it arrived, and of what was there where it did not', async () => {
    const base = to.jobs.piece(pieceId)?.revision ?? 0
    expect(await save(base, 23)).toMatchObject({ ok: true })
    expect(await save(base, 24, 23)).toMatchObject({ ok: true })
    expect(stands()).toBe(24)
    const next = to.jobs.piece(pieceId)?.revision ?? 0
    expect(await save(next, 26, 25)).toMatchObject({ ok: true })
    expect(stands()).toBe(26)
    // the one before comes late, and is not heard
    expect(await save(next, 25)).toMatchObject({ ok: false, code: 'stale' })
    expect(stands()).toBe(26)
  })
  it('asks where another was quicker than both', async () => {
    const base = to.jobs.piece(pieceId)?.revision ?? 0
    expect(await save(base, 30)).toMatchObject({ ok: true })
    expect(await save(base, 32, 31)).toMatchObject({ ok: false, code: 'stale' })
    expect(await save(base, 32, Number.NaN)).toMatchObject({ ok: false, code: 'stale' })
    expect(stands()).toBe(30)
  })
})

describe('settings that differ from what stands in one value only', () => {
  it('are told from it, each by its name', () => {
    const spec = checks.find((check) => check.name === 'saveSettings')?.spec
    if (!spec || spec.against === 'new') throw new Error('no such action')
    to.settings.write({ methods: { S22: 'glue', S1: 'x' }, orderSchools: { S3: 'y' }, figures: { 'scale-error': 0.1 } })
    const settings = to.settings.read()
    const said = changedOnce(settings).map((other) => (spec.against as Exclude<typeof spec.against, 'new'>)(to, other)?.lines ?? [])
    expect(said.length).toBeGreaterThan(20)
    for (const lines of said) expect(lines).toHaveLength(1)
    expect(said.flat().map(({ label }) => label)).toEqual(expect.arrayContaining(['Methods: S22', 'Order of work: S3', 'Torch, W']))
  })
})

describe('a write that differs from what stands in one value only', () => {
  // what a question rests on is told with its answer, and is not kept
  it.each(changing.map(({ name }) => name).filter((name) => name !== 'answerRecord'))('%s is told from it', async (name) => {
    const spec = checks.find((check) => check.name === name)?.spec
    const workshop = to.workshopRow().uid
    const first = await perform(name, { workshop, revision: 4711, input: INPUTS[name]() })
    const input = INPUTS[name]()
    await perform(name, { workshop, revision: first.ok ? 0 : (first.stale?.revision ?? 0), input })
    for (const other of changedOnce(input)) {
      const read = spec?.input.safeParse(other)
      if (!spec || spec.against === 'new' || !read?.success) continue
      expect(spec.against(to, read.data)?.lines, JSON.stringify(other)).not.toEqual([])
    }
  })
})
