import { beforeEach, describe, expect, it, vi } from 'vitest'
import { findForm } from '@/core/forms'
import { rectangleOutline } from '@/core/geometry'
import { planPiece } from '@/core/piece'
import { checkRoute } from '@/core/rules'
import type { ActionName } from '@/server/actions/names'
import { type ActionInput, perform } from '@/server/actions/perform'
import { designSchema, type Repositories } from '@/server/db/repositories'
import { tempWorkshop } from '../support/temp-db'

const open = vi.hoisted(() => ({ repositories: undefined as unknown }))
vi.mock('@/server/workshop', () => ({ workshop: () => open.repositories }))
vi.mock('@/server/db/connection', () => ({ WORKSHOPS: ['demo', 'workshop'] }))

let to: Repositories
beforeEach(() => {
  to = tempWorkshop().repositories
  open.repositories = to
})

/** The revision a page would show of what an action changes. */
function shownRevision(name: ActionName, input: { id?: number; pieceId?: number; jobId?: number }): number | null {
  if (name === 'saveJob') return input.id === undefined ? null : (to.jobs.job(input.id)?.revision ?? 1)
  if (name === 'saveLayout') return to.layouts.draftOf(input.jobId ?? 0)?.revision ?? 0
  if (name === 'saveSettings' || name === 'keepFigure' || name === 'keepTrials') return to.settings.revision()
  if (name === 'cutLayout' || name === 'putBackCut') return to.layouts.one(input.id ?? 0)?.revision ?? 1
  if (input.pieceId !== undefined) return to.jobs.piece(input.pieceId)?.revision ?? 1
  if (name === 'measureStock') return to.drawer.one(input.id ?? 0)?.revision ?? 1
  return input.id === undefined ? null : (to.tools.one(input.id)?.revision ?? 1)
}

/** Asks for an action as a page would that shows everything as it is now. */
async function act<N extends ActionName>(name: N, input: ActionInput<N> | unknown) {
  const revision = shownRevision(name, (input ?? {}) as { id?: number })
  return (await perform(name, { workshop: to.workshopRow().uid, revision, input })) as
    | ({ ok: true } & Readonly<Record<'id' | 'jobId' | 'trayId' | 'added' | 'onHand', number>> & { readonly label: string })
    | { ok: false; message: string; issues: { path: string; message: string }[] }
}

/** What was done, or what was said against it. */
const said = (result: { readonly ok: boolean; readonly message?: string }) => (result.ok ? 'done' : (result.message ?? ''))
const DISC = { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 }

async function aPiece(input: Record<string, unknown> = DISC, form = 'disc') {
  const added = await act('addPiece', { name: 'Token', quantity: 3, spares: 1, form, input })
  if (!added.ok) throw new Error(added.message)
  return added
}

describe('jobs and pieces', () => {
  it('a piece without a job is given one of its own name', async () => {
    const { id, jobId } = await aPiece()
    expect(to.jobs.job(jobId)?.title).toBe('Token')
    expect(to.jobs.piece(id)).toMatchObject({ quantity: 3, spares: 1, design: { version: 2, parts: [{ bought: 'unknown' }] } })
  })
  it('a piece of which nothing was typed starts from its form’s example', async () => {
    const added = await act('addPiece', { name: 'Dome', form: 'dome' })
    expect(added.ok && to.jobs.piece(added.id)?.design.parts[0]?.input).toHaveProperty('widthMm')
  })
  it.each([
    [{ name: '  ', form: 'disc' }, 'Piece: give it a name'],
    [{ name: 'x', form: 'horseshoe' }, 'There is no form "horseshoe".'],
    [{ name: 'x', form: 'disc', quantity: 0 }, 'How many: a whole number, 1 to 5000'],
    [{ name: 'x', form: 'disc', quantity: 2.5 }, 'How many: a whole number, 1 to 5000'],
    [{ name: 'x', form: 'disc', quantity: 'a few' }, 'How many: a whole number, 1 to 5000'],
    [{ name: 'x', form: 'disc', jobId: 77 }, 'This job is no longer there.'],
    [null, 'null was given; it must be an object of fields'],
  ])('%j is refused', async (raw, message) => expect(said(await act('addPiece', raw))).toBe(message))
  it('a job keeps what is said of it, and takes a change', async () => {
    const made = await act('saveJob', { title: ' Winter coats ', customer: 'Guards’ mess', dueOn: '2027-01-15' })
    if (!made.ok) throw new Error(made.message)
    expect(to.jobs.job(made.id)).toMatchObject({ title: 'Winter coats', status: 'asked', dueOn: '2027-01-15' })
    expect(said(await act('saveJob', { title: 'Winter coats', status: 'promised', id: made.id }))).toBe('done')
    expect(to.jobs.job(made.id)?.status).toBe('promised')
  })
  it.each([
    [{ title: '' }, undefined, 'Job: give it a name, such as what is made'],
    [{ title: 'x', dueOn: 'soon' }, undefined, 'Due: a date such as 2027-03-01'],
    [{ title: 'x', status: 'lost' }, undefined, '"lost" was given; it can be asked, promised, in-work, done, handed-over'],
    [{ title: 'x' }, 99, 'This job is no longer there.'],
  ])('%j is refused', async (raw, id, message) =>
    expect(said(await act('saveJob', { ...raw, ...(id === undefined ? {} : { id }) }))).toBe(message),
  )
  it('variants are named in order, and carry the design', async () => {
    const { id } = await aPiece()
    const names = []
    for (const from of [id, id, id]) {
      const made = await act('duplicatePiece', { pieceId: from })
      names.push(made.ok ? to.jobs.piece(made.id)?.name : '')
    }
    expect(names).toEqual(['Token, variant', 'Token, variant 2', 'Token, variant 3'])
    expect(said(await act('duplicatePiece', { pieceId: 500 }))).toBe('This piece is no longer there.')
  })
  it('every edit is a revision; undo and redo say when there is no more', async () => {
    const { id } = await aPiece()
    const wider = { parts: [{ id: 'part-1', form: 'disc', inputVersion: 1, input: { ...DISC, diameterMm: 25 } }], bought: 'annealed' }
    expect(said(await act('saveDesign', { pieceId: id, design: wider }))).toBe('done')
    expect(said(await act('moveRevision', { pieceId: id, way: 'undo' }))).toBe('done')
    expect(to.jobs.piece(id)?.design.parts[0]?.input.diameterMm).toBe(21)
    expect(said(await act('moveRevision', { pieceId: id, way: 'undo' }))).toBe('There is nothing to undo.')
    expect(said(await act('moveRevision', { pieceId: id, way: 'redo' }))).toBe('done')
    expect(said(await act('moveRevision', { pieceId: id, way: 'redo' }))).toBe('There is nothing to redo.')
    expect((await act('saveDesign', { pieceId: id, design: { parts: 'none' } })).ok).toBe(false)
    expect(said(await act('saveDesign', { pieceId: 404, design: wider }))).toBe('This piece is no longer there.')
  })
  it('a piece is renamed and counted anew, in whole numbers', async () => {
    const { id } = await aPiece()
    expect(said(await act('describePiece', { pieceId: id, name: 'Ticket', quantity: 12, spares: 2 }))).toBe('done')
    expect(to.jobs.piece(id)).toMatchObject({ name: 'Ticket', quantity: 12, spares: 2 })
    expect(said(await act('describePiece', { pieceId: id, name: 'Ticket', quantity: 12, spares: -1 }))).toBe(
      'Spares: a whole number, 0 to 5000',
    )
    expect(said(await act('describePiece', { pieceId: 999, name: 'Ticket', quantity: 1, spares: 0 }))).toBe(
      'This piece is no longer there.',
    )
  })
})

describe('the drawer', () => {
  const SHEET = { kind: 'sheet', alloy: 'copper-c110', thickness: '20 ga', length: '120', width: '76', temper: 'annealed' }
  it('takes a sheet as it is written on the bench, and labels it', async () => {
    const added = await act('addStock', SHEET)
    if (!added.ok) throw new Error(added.message)
    expect(added.label).toBe('S-1')
    expect(to.drawer.one(added.id)).toMatchObject({ thicknessTyped: '20 ga', outer: rectangleOutline(120, 76), measuredMm: null })
    expect(await act('addStock', { ...SHEET, kind: 'wire', length: '1 m' })).toMatchObject({ ok: true, label: 'W-1' })
  })
  it.each([
    [{ thickness: 'thick' }, 'thickness', /^Thickness: "thick" is not a size; write it as .*; allowed: 0.05 to 12 mm$/],
    [{ thickness: '20' }, 'thickness', /^Thickness: 20 mm, 0.787 in was given; allowed: 0.05 to 12 mm$/],
    [{ length: '30 m' }, 'length', /^Length: 30 m is 30 m; lengths up to 20 m/],
    [{ width: '' }, 'width', /^Width: nothing was entered/],
    [{ measured: '2-4' }, 'measured', /^As measured: /],
  ])('%j is refused by name, and all that is wrong is said at once', async (more, path, message) => {
    const refused = await act('addStock', { ...SHEET, ...more })
    if (refused.ok) throw new Error('taken')
    expect(refused.issues.map((issue) => issue.path)).toEqual([path])
    expect(refused.message).toMatch(message)
  })
  it('a measured thickness wins, and can be taken back', async () => {
    const added = await act('addStock', SHEET)
    if (!added.ok) throw new Error(added.message)
    expect(said(await act('measureStock', { id: added.id, typed: '0.79' }))).toBe('done')
    expect(to.drawer.one(added.id)?.measuredMm).toBe(0.79)
    expect(said(await act('measureStock', { id: added.id, typed: ' ' }))).toBe('done')
    expect(to.drawer.one(added.id)?.measuredMm).toBeNull()
    expect(said(await act('measureStock', { id: 777, typed: '1' }))).toBe('This metal is no longer in the drawer.')
  })
})

describe('the bench', () => {
  it('does not start what cannot be made, nor what is out of order without a note', async () => {
    const none = await aPiece({ ...DISC, diameterMm: 'wide' })
    expect(said(await act('startTray', { pieceId: none.id, size: 2 }))).toMatch(/^Diameter: "wide" is not a size/)
    const near = await aPiece(
      {
        shape: 'rectangle',
        lengthMm: 30,
        widthMm: 20,
        alloy: 'copper-c110',
        thicknessMm: 1,
        window: 'rectangle',
        windowLengthMm: 31,
        windowWidthMm: 8,
      },
      'plate',
    )
    expect(said(await act('startTray', { pieceId: near.id, size: 2 }))).toMatch(/^Not released to the bench: /)
  })
  it('a tray keeps the figures of its metals that it began with, learned ones too, whatever is measured later', async () => {
    expect(said(await act('keepFigure', { id: 'hardening-copper-c110', typed: '1.2' }))).toBe('done')
    expect(said(await act('keepTrials', { id: 'reduction-limit-copper-c110', values: [50, 52] }))).toBe('done')
    const { id } = await aPiece()
    const started = await act('startTray', { pieceId: id, size: 2 })
    if (!started.ok) throw new Error(started.message)
    const figuresOf = () => to.trays.one(started.trayId)?.plan.parts[0]?.figures ?? {}
    const began = figuresOf()
    expect(began['hardening-copper-c110']).toBe(1.2)
    expect(began['reduction-limit-copper-c110']).toBeLessThan(70)
    expect(said(await act('keepFigure', { id: 'hardening-copper-c110', typed: '' }))).toBe('done')
    expect(said(await act('keepTrials', { id: 'reduction-limit-copper-c110', values: [] }))).toBe('done')
    expect(to.settings.read().trials).toEqual({})
    expect(figuresOf()).toEqual(began)
  })
  it('trials of what is not learned, or of what no metal is, are refused in words', async () => {
    expect(said(await act('keepTrials', { id: 'price-sterling-925', values: [1] }))).toMatch(/not among those that are learned/)
    expect(said(await act('keepTrials', { id: 'modulus-sterling-925', values: [80, 900] }))).toMatch(
      /900 was found; .* can be. Measure again/,
    )
    expect(to.settings.read().trials).toEqual({})
  })
  it('does not start what is out of order without a reason, and the reason holds for that rule alone', async () => {
    const { id } = await aPiece({ ...findForm('dome')?.example }, 'dome')
    const route = { removed: ['pickle'], changed: [], placed: [] }
    const part = { id: 'part-1', form: 'dome', inputVersion: 1, input: { ...findForm('dome')?.example }, bought: 'annealed' as const }
    const plan = planPiece(designSchema.parse({ parts: [part], route }))
    const stops = checkRoute(plan.assembly).findings.filter(({ level }) => level === 'stop')
    const [stop] = stops
    if (!stop) throw new Error('nothing is out of order')
    await act('saveDesign', { pieceId: id, design: { parts: [part], route } })
    expect(said(await act('startTray', { pieceId: id, size: 2 }))).toBe(
      `Not released to the bench: ${stop.message} Change the route, or give a reason there to override it.`,
    )
    const step = plan.steps[stop.steps.at(-1) ?? 0]?.id ?? ''
    const because = (rule: string, reason: string) => ({ ...route, reasons: [{ id: step, rule, reason }] })
    for (const [rule, reason] of [
      [stop.rule, 'because'],
      ['P99', 'scale is wanted here'],
    ] as const) {
      await act('saveDesign', { pieceId: id, design: { parts: [part], route: because(rule, reason) } })
      expect(said(await act('startTray', { pieceId: id, size: 2 }))).toContain('Not released to the bench')
    }
    const reasons = stops.map(({ rule, steps }) => ({ id: plan.steps[steps.at(-1) ?? 0]?.id ?? '', rule, reason: 'scale is wanted here' }))
    await act('saveDesign', { pieceId: id, design: { parts: [part], route: { ...route, reasons } } })
    expect(said(await act('startTray', { pieceId: id, size: 2 }))).toBe('done')
  })
  it.each([0, -1, 1.5, 5001, Number.NaN])('a tray of %f is none', async (size) => {
    const { id } = await aPiece()
    expect(said(await act('startTray', { pieceId: id, size: size }))).toBe('A tray holds 1 to 5000 pieces.')
  })
})

describe('layouts', () => {
  async function aLayout() {
    const { jobId } = await aPiece()
    const sheet = await act('addStock', { kind: 'sheet', alloy: 'copper-c110', thickness: '0.9', length: '80', width: '60' })
    if (!sheet.ok) throw new Error(sheet.message)
    return { jobId, sheetId: sheet.id, kerfMm: 0.3, marginMm: 1, placements: [] }
  }
  it('a job has one draft: saving again changes it', async () => {
    const layout = await aLayout()
    const [first, second] = [await act('saveLayout', layout), await act('saveLayout', { ...layout, kerfMm: 0.4 })]
    expect(second).toMatchObject({ ok: true, id: first.ok ? first.id : 0 })
    expect(to.layouts.ofJob(layout.jobId)).toHaveLength(1)
  })
  it('is refused for a job or a sheet that is gone, or a kerf that is none', async () => {
    const layout = await aLayout()
    expect(said(await act('saveLayout', { ...layout, jobId: 99 }))).toBe('This job is no longer there.')
    expect(said(await act('saveLayout', { ...layout, sheetId: 99 }))).toBe('This sheet is no longer in the drawer.')
    expect(said(await act('saveLayout', { ...layout, kerfMm: 3 }))).toBe('Kerf: a width, 0 to 2 mm')
    expect((await act('cutLayout', { id: 55 })).ok).toBe(false)
  })
})

describe('the tool wall', () => {
  const add = async (tool: Record<string, unknown>) => {
    const added = await act('addTool', tool)
    return added.ok ? to.tools.one(added.id) : added.message
  }
  it.each([
    [{ kind: 'drill', label: 'number 60', size: '#60' }, { nominal: 1.016 }],
    [
      { kind: 'drill', label: 'worn bit', size: '1/16 in', measured: '1.57' },
      { nominal: 1.5875, measured: 1.57 },
    ],
    [{ kind: 'blade', label: 'fine blades', size: '4/0', count: '12' }, { count: 12 }],
    [{ kind: 'abrasive', label: 'paper', size: 'P400' }, { nominal: 35 }],
    [{ kind: 'solder', label: 'hard wire', size: '788' }, { nominal: 788 }],
    [{ kind: 'hammer', label: 'chasing hammer', size: '54 HRC' }, { nominal: 54 }],
    [
      { kind: 'punch', label: 'lamp-room punch C' },
      { kind: 'punch', label: 'lamp-room punch C' },
    ],
  ])('%j hangs with its size', async (tool, kept) => expect(await add(tool)).toMatchObject(kept))
  it.each([
    [{ kind: 'drill', label: '' }, 'Name: what do you call it?'],
    [{ kind: 'drill', label: 'x', size: '99 mm' }, 'Diameter: 99 mm was given; allowed: 0.05 to 30 mm'],
    [{ kind: 'solder', label: 'x', size: 'hot' }, 'Flows at: "hot" is not a number'],
    [{ kind: 'blade', label: 'x', size: '4/0', count: '1.5' }, 'How many: a whole number, 0 to 100000'],
    [{ kind: 'anvil', label: 'x' }, 'What it is: choose one'],
  ])('%j is refused', async (tool, message) => expect(await add(tool)).toBe(message))
  it('a starting set is hung once', async () => {
    const first = await act('addStartingSets', { ids: ['number-drills', 'no-such-set'] })
    const again = await act('addStartingSets', { ids: ['number-drills'] })
    expect(again).toEqual({ ok: true, added: 0 })
    expect(first.ok && first.added).toBe(to.tools.all().length)
  })
  it('is measured, counted and taken down; gone is gone', async () => {
    const added = await act('addTool', { kind: 'blade', label: 'fine', size: '4/0', count: '12' })
    if (!added.ok) throw new Error(added.message)
    expect(await act('countTool', { id: added.id, change: -2, reason: 'broke' })).toMatchObject({ ok: true, onHand: 10 })
    expect(said(await act('measureTool', { id: added.id, typed: '0.23' }))).toBe('done')
    expect(said(await act('measureTool', { id: added.id, typed: '9' }))).toMatch(/^Thickness: 9 mm was given; allowed:/)
    expect(said(await act('archiveThing', { kind: 'tool', id: added.id }))).toBe('done')
    for (const result of [
      await act('measureTool', { id: added.id, typed: '0.2' }),
      await act('countTool', { id: added.id, change: 1, reason: 'bought' }),
    ])
      expect(said(result)).toBe('This tool is no longer on the wall.')
  })
  it('a mandrel is marked and a stamp measured, within reason', async () => {
    const mandrel = await act('addTool', { kind: 'mandrel', label: 'ring mandrel' })
    const stamp = await act('addTool', { kind: 'stamp', label: 'letters', size: '2' })
    if (!mandrel.ok || !stamp.ok) throw new Error('not hung')
    expect(said(await act('markMandrel', { id: mandrel.id, mark: 'US 7', typed: '17.35' }))).toBe('done')
    expect(said(await act('markMandrel', { id: mandrel.id, mark: 'US 6', typed: '16.55' }))).toBe('done')
    expect(to.tools.one(mandrel.id)?.facts.marks?.map((mark) => mark.mark)).toEqual(['US 6', 'US 7'])
    expect(said(await act('markMandrel', { id: mandrel.id, mark: 'US 7', typed: '' }))).toBe('done')
    expect(to.tools.one(mandrel.id)?.facts.marks).toHaveLength(1)
    expect(said(await act('markMandrel', { id: mandrel.id, mark: '', typed: '17' }))).toMatch(/^Mark: /)
    expect(said(await act('markMandrel', { id: mandrel.id, mark: 'US 8', typed: '900' }))).toMatch(/allowed: 2 to 300 mm/)
    expect(said(await act('measureStamp', { id: stamp.id, character: 'w', typed: '2.6' }))).toBe('done')
    expect(to.tools.one(stamp.id)?.facts.widths).toEqual({ W: 2.6 })
    expect(said(await act('measureStamp', { id: stamp.id, character: 'WW', typed: '2.6' }))).toBe('Character: one letter or figure')
    expect(said(await act('measureStamp', { id: stamp.id, character: 'I', typed: '12' }))).toMatch(
      /for letters 2 mm high; allowed: up to 6 mm/,
    )
    expect(said(await act('measureStamp', { id: mandrel.id, character: 'I', typed: '1' }))).toBe('This tool is no longer on the wall.')
  })
})

describe('settings', () => {
  it('keep what is sensible, and say what is not', async () => {
    expect(said(await act('saveSettings', { workshopName: 'Lamp room', kerfMm: 0.25 }))).toBe('done')
    expect(to.settings.read()).toMatchObject({ workshopName: 'Lamp room', kerfMm: 0.25, paper: 'A4' })
    for (const bad of [{ kerfMm: -1 }, { paper: 'A3' }, { ringSystem: 'shoe' }, { checkBarMm: Number.NaN }]) {
      const refused = await act('saveSettings', bad)
      expect(refused.ok).toBe(false)
      expect(said(refused)).not.toMatch(/invalid|expected/i)
    }
    expect(to.settings.read().kerfMm).toBe(0.25)
  })
  it('an own figure stands beside its preset until it is taken back', async () => {
    expect(said(await act('keepFigure', { id: 'price-sterling-925', typed: '0,98' }))).toBe('done')
    expect(to.settings.read().figures['price-sterling-925']).toBe(0.98)
    expect(said(await act('keepFigure', { id: 'price-sterling-925', typed: 'dear' }))).toMatch(/"dear" was given; allowed: 0 to 10000/)
    expect(said(await act('keepFigure', { id: 'price-sterling-925', typed: '' }))).toBe('done')
    expect(to.settings.read().figures).toEqual({})
    expect(said(await act('keepFigure', { id: 'price-of-tea', typed: '1' }))).toBe('This figure is not among those that can be changed.')
  })
})
