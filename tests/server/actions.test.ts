import { beforeEach, describe, expect, it, vi } from 'vitest'
import { rectangleOutline } from '@/core/geometry'
import { logEvent, startTray } from '@/server/actions/bench'
import { addStock, measureStock } from '@/server/actions/drawer'
import { addPiece, saveJob } from '@/server/actions/jobs'
import { cutLayout, saveLayout } from '@/server/actions/layouts'
import { describePiece, duplicatePiece, moveRevision, saveDesign } from '@/server/actions/pieces'
import { keepFigure, saveSettings } from '@/server/actions/settings'
import { addStartingSets, addTool, countTool, markMandrel, measureStamp, measureTool, takeToolDown } from '@/server/actions/tools'
import type { Repositories } from '@/server/db/repositories'
import { trayState } from '@/server/services/tray-state'
import { tempWorkshop } from '../support/temp-db'

const open = vi.hoisted(() => ({ repositories: undefined as unknown }))
vi.mock('next/cache', () => ({ revalidatePath: () => undefined }))
vi.mock('@/server/workshop', () => ({ workshop: () => open.repositories }))

let to: Repositories
beforeEach(() => {
  to = tempWorkshop().repositories
  open.repositories = to
})

/** What was done, or what was said against it. */
const said = (result: { readonly ok: boolean; readonly message?: string }) => (result.ok ? 'done' : (result.message ?? ''))
const DISC = { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 }

async function aPiece(input: Record<string, unknown> = DISC, form = 'disc') {
  const added = await addPiece({ name: 'Token', quantity: 3, spares: 1, form, input })
  if (!added.ok) throw new Error(added.message)
  return added
}

describe('jobs and pieces', () => {
  it('a piece without a job is given one of its own name', async () => {
    const { id, jobId } = await aPiece()
    expect(to.jobs.job(jobId)?.title).toBe('Token')
    expect(to.jobs.piece(id)).toMatchObject({ quantity: 3, spares: 1, design: { bought: 'unknown' } })
  })
  it('a piece of which nothing was typed starts from its form’s example', async () => {
    const added = await addPiece({ name: 'Dome', form: 'dome' })
    expect(added.ok && to.jobs.piece(added.id)?.design.parts[0]?.input).toHaveProperty('widthMm')
  })
  it.each([
    [{ name: '  ', form: 'disc' }, 'Piece: give it a name'],
    [{ name: 'x', form: 'horseshoe' }, 'There is no form "horseshoe".'],
    [{ name: 'x', form: 'disc', quantity: 0 }, 'How many: at least 1'],
    [{ name: 'x', form: 'disc', quantity: 2.5 }, 'How many: a whole number'],
    [{ name: 'x', form: 'disc', quantity: 'a few' }, 'How many: a whole number, 1 to 5000'],
    [{ name: 'x', form: 'disc', jobId: 77 }, 'This job is no longer there.'],
    [null, 'null was given; it must be an object of fields'],
  ])('%j is refused', async (raw, message) => expect(said(await addPiece(raw))).toBe(message))
  it('a job keeps what is said of it, and takes a change', async () => {
    const made = await saveJob({ title: ' Winter coats ', customer: 'Guards’ mess', dueOn: '2027-01-15' })
    if (!made.ok) throw new Error(made.message)
    expect(to.jobs.job(made.id)).toMatchObject({ title: 'Winter coats', status: 'asked', dueOn: '2027-01-15' })
    expect(said(await saveJob({ title: 'Winter coats', status: 'promised' }, made.id))).toBe('done')
    expect(to.jobs.job(made.id)?.status).toBe('promised')
  })
  it.each([
    [{ title: '' }, undefined, 'Job: give it a name, such as what is made'],
    [{ title: 'x', dueOn: 'soon' }, undefined, 'Due: a date such as 2027-03-01'],
    [{ title: 'x', status: 'lost' }, undefined, '"lost" was given; it can be asked, promised, in-work, done, handed-over'],
    [{ title: 'x' }, 99, 'This job is no longer there.'],
  ])('%j is refused', async (raw, id, message) => expect(said(await saveJob(raw, id))).toBe(message))
  it('variants are named in order, and carry the design', async () => {
    const { id } = await aPiece()
    const names = []
    for (const from of [id, id, id]) {
      const made = await duplicatePiece(from)
      names.push(made.ok ? to.jobs.piece(made.id)?.name : '')
    }
    expect(names).toEqual(['Token, variant', 'Token, variant 2', 'Token, variant 3'])
    expect(said(await duplicatePiece(500))).toBe('This piece is no longer there.')
  })
  it('every edit is a revision; undo and redo say when there is no more', async () => {
    const { id } = await aPiece()
    const wider = { parts: [{ form: 'disc', inputVersion: 1, input: { ...DISC, diameterMm: 25 } }], bought: 'annealed' }
    expect(said(await saveDesign(id, wider))).toBe('done')
    expect(said(await moveRevision(id, 'undo'))).toBe('done')
    expect(to.jobs.piece(id)?.design.parts[0]?.input.diameterMm).toBe(21)
    expect(said(await moveRevision(id, 'undo'))).toBe('There is nothing to undo.')
    expect(said(await moveRevision(id, 'redo'))).toBe('done')
    expect(said(await moveRevision(id, 'redo'))).toBe('There is nothing to redo.')
    expect((await saveDesign(id, { parts: 'none' })).ok).toBe(false)
    expect(said(await saveDesign(404, wider))).toBe('This piece is no longer there.')
  })
  it('a piece is renamed and counted anew, in whole numbers', async () => {
    const { id } = await aPiece()
    expect(said(await describePiece(id, { name: 'Ticket', quantity: 12, spares: 2 }))).toBe('done')
    expect(to.jobs.piece(id)).toMatchObject({ name: 'Ticket', quantity: 12, spares: 2 })
    expect(said(await describePiece(id, { name: 'Ticket', quantity: 12, spares: -1 }))).toBe('Spares: 0 or more')
    expect(said(await describePiece(999, { name: 'Ticket', quantity: 1, spares: 0 }))).toBe('This piece is no longer there.')
  })
})

describe('the drawer', () => {
  const SHEET = { kind: 'sheet', alloy: 'copper-c110', thickness: '20 ga', length: '120', width: '76', temper: 'annealed' }
  it('takes a sheet as it is written on the bench, and labels it', async () => {
    const added = await addStock(SHEET)
    if (!added.ok) throw new Error(added.message)
    expect(added.label).toBe('S-1')
    expect(to.drawer.one(added.id)).toMatchObject({ thicknessTyped: '20 ga', outer: rectangleOutline(120, 76), measuredMm: null })
    expect(await addStock({ ...SHEET, kind: 'wire', length: '1 m' })).toMatchObject({ ok: true, label: 'W-1' })
  })
  it.each([
    [{ thickness: 'thick' }, 'thickness', /^Thickness: "thick" is not a size; write it as .*; possible is 0.05 to 12 mm$/],
    [{ thickness: '20' }, 'thickness', /^Thickness: 20 mm, 0.787 in was given; possible is 0.05 to 12 mm$/],
    [{ length: '30 m' }, 'length', /^Length: 30 m is 30 m; lengths up to 20 m/],
    [{ width: '' }, 'width', /^Width: nothing was entered/],
    [{ measured: '2-4' }, 'measured', /^As measured: /],
  ])('%j is refused by name, and all that is wrong is said at once', async (more, path, message) => {
    const refused = await addStock({ ...SHEET, ...more })
    if (refused.ok) throw new Error('taken')
    expect(refused.issues.map((issue) => issue.path)).toEqual([path])
    expect(refused.message).toMatch(message)
  })
  it('a measured thickness wins, and can be taken back', async () => {
    const added = await addStock(SHEET)
    if (!added.ok) throw new Error(added.message)
    expect(said(await measureStock(added.id, '0.79'))).toBe('done')
    expect(to.drawer.one(added.id)?.measuredMm).toBe(0.79)
    expect(said(await measureStock(added.id, ' '))).toBe('done')
    expect(to.drawer.one(added.id)?.measuredMm).toBeNull()
    expect(said(await measureStock(777, '1'))).toBe('This stock is no longer in the drawer.')
  })
})

describe('the bench', () => {
  it('does not start what cannot be made, nor what is out of order without a note', async () => {
    const none = await aPiece({ ...DISC, diameterMm: 'wide' })
    expect(said(await startTray(none.id, 2))).toMatch(/^Diameter: "wide" is not a size/)
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
    expect(said(await startTray(near.id, 2))).toMatch(/^Not released to the bench: /)
    const { id } = await aPiece()
    const route = ['finish', 'anneal'].map((op) => ({ id: `${op}-1`, op, params: {} }))
    const design = { parts: [{ form: 'disc', inputVersion: 1, input: DISC }], bought: 'annealed', route }
    await saveDesign(id, design)
    expect(said(await startTray(id, 2))).toMatch(/^Not released to the bench: A torch after finishing/)
    await saveDesign(id, { ...design, orderNote: 'heat colours are wanted' })
    expect(said(await startTray(id, 2))).toBe('done')
  })
  it.each([0, -1, 1.5, 5001, Number.NaN])('a tray of %f is none', async (size) => {
    const { id } = await aPiece()
    expect(said(await startTray(id, size))).toBe('A tray holds 1 to 5000 pieces.')
  })
  it('finishes when every piece is through every step, and opens again when one is taken back', async () => {
    const { id } = await aPiece()
    const started = await startTray(id, 2)
    if (!started.ok) throw new Error(started.message)
    const { trayId } = started
    const steps = to.bench.tray(trayId)?.plan.steps ?? []
    let last = 0
    for (const step of steps)
      for (const workpiece of [1, 2]) {
        const logged = await logEvent({ trayId, stepId: step.id, workpiece, kind: 'done' })
        last = logged.ok ? logged.id : 0
      }
    expect(to.bench.tray(trayId)?.finishedAt).not.toBeNull()
    await logEvent({ trayId, stepId: steps.at(-1)?.id ?? '', workpiece: 2, kind: 'done', reversesId: last })
    expect(to.bench.tray(trayId)?.finishedAt).toBeNull()
    expect(trayState(to, trayId)?.progress).toMatchObject({ workpiece: 2, finished: false })
  })
  it('says so where there is no such tray', async () =>
    expect(said(await logEvent({ trayId: 5, stepId: 'x', workpiece: 1, kind: 'done' }))).toBe('This tray is no longer there.'))
})

describe('layouts', () => {
  async function aLayout() {
    const { jobId } = await aPiece()
    const sheet = await addStock({ kind: 'sheet', alloy: 'copper-c110', thickness: '0.9', length: '80', width: '60' })
    if (!sheet.ok) throw new Error(sheet.message)
    return { jobId, sheetId: sheet.id, kerfMm: 0.3, marginMm: 1, placements: [] }
  }
  it('a job has one draft: saving again changes it', async () => {
    const layout = await aLayout()
    const [first, second] = [await saveLayout(layout), await saveLayout({ ...layout, kerfMm: 0.4 })]
    expect(first).toEqual(second)
    expect(to.layouts.all()).toHaveLength(1)
  })
  it('is refused for a job or a sheet that is gone, or a kerf that is none', async () => {
    const layout = await aLayout()
    expect(said(await saveLayout({ ...layout, jobId: 99 }))).toBe('This job is no longer there.')
    expect(said(await saveLayout({ ...layout, sheetId: 99 }))).toBe('This sheet is no longer in the drawer.')
    expect(said(await saveLayout({ ...layout, kerfMm: 3 }))).toBe('Kerf: 0 to 2 mm')
    expect((await cutLayout(55)).ok).toBe(false)
  })
})

describe('the tool wall', () => {
  const add = async (tool: Record<string, unknown>) => {
    const added = await addTool(tool)
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
    [{ kind: 'drill', label: 'x', size: '99 mm' }, 'Diameter: 99 mm was given; possible is 0.05 to 30 mm'],
    [{ kind: 'solder', label: 'x', size: 'hot' }, 'Flows at: "hot" is not a number'],
    [{ kind: 'blade', label: 'x', size: '4/0', count: '1.5' }, 'How many: a whole number from 0 to 100000'],
    [{ kind: 'anvil', label: 'x' }, 'What it is: choose one'],
  ])('%j is refused', async (tool, message) => expect(await add(tool)).toBe(message))
  it('a starting set is hung once', async () => {
    const first = await addStartingSets(['number-drills', 'no-such-set'])
    const again = await addStartingSets(['number-drills'])
    expect(again).toEqual({ ok: true, added: 0 })
    expect(first.ok && first.added).toBe(to.tools.all().length)
  })
  it('is measured, counted and taken down; gone is gone', async () => {
    const added = await addTool({ kind: 'blade', label: 'fine', size: '4/0', count: '12' })
    if (!added.ok) throw new Error(added.message)
    expect(await countTool({ id: added.id, change: -2, reason: 'broke' })).toEqual({ ok: true, onHand: 10 })
    expect(said(await measureTool(added.id, '0.23'))).toBe('done')
    expect(said(await measureTool(added.id, '9'))).toMatch(/^Thickness: 9 mm was given; possible is/)
    expect(said(await takeToolDown(added.id))).toBe('done')
    for (const result of [
      await takeToolDown(added.id),
      await measureTool(added.id, '0.2'),
      await countTool({ id: added.id, change: 1, reason: 'bought' }),
    ])
      expect(said(result)).toBe('This tool is no longer on the wall.')
  })
  it('a mandrel is marked and a stamp measured, within reason', async () => {
    const mandrel = await addTool({ kind: 'mandrel', label: 'ring mandrel' })
    const stamp = await addTool({ kind: 'stamp', label: 'letters', size: '2' })
    if (!mandrel.ok || !stamp.ok) throw new Error('not hung')
    expect(said(await markMandrel(mandrel.id, 'US 7', '17.35'))).toBe('done')
    expect(said(await markMandrel(mandrel.id, 'US 6', '16.55'))).toBe('done')
    expect(to.tools.one(mandrel.id)?.facts.marks?.map((mark) => mark.mark)).toEqual(['US 6', 'US 7'])
    expect(said(await markMandrel(mandrel.id, 'US 7', ''))).toBe('done')
    expect(to.tools.one(mandrel.id)?.facts.marks).toHaveLength(1)
    expect(said(await markMandrel(mandrel.id, '', '17'))).toMatch(/^Mark: /)
    expect(said(await markMandrel(mandrel.id, 'US 8', '900'))).toMatch(/possible is 2 to 300 mm/)
    expect(said(await measureStamp(stamp.id, 'w', '2.6'))).toBe('done')
    expect(to.tools.one(stamp.id)?.facts.widths).toEqual({ W: 2.6 })
    expect(said(await measureStamp(stamp.id, 'WW', '2.6'))).toBe('Character: one letter or figure')
    expect(said(await measureStamp(stamp.id, 'I', '12'))).toMatch(/for letters 2 mm high; possible is up to 6 mm/)
    expect(said(await measureStamp(mandrel.id, 'I', '1'))).toBe('This tool is no longer on the wall.')
  })
})

describe('settings', () => {
  it('keep what is sensible, and say what is not', async () => {
    expect(said(await saveSettings({ workshopName: 'Lamp room', kerfMm: 0.25 }))).toBe('done')
    expect(to.settings.read()).toMatchObject({ workshopName: 'Lamp room', kerfMm: 0.25, paper: 'A4' })
    for (const bad of [{ kerfMm: -1 }, { paper: 'A3' }, { ringSystem: 'shoe' }, { checkBarMm: Number.NaN }]) {
      const refused = await saveSettings(bad)
      expect(refused.ok).toBe(false)
      expect(said(refused)).not.toMatch(/invalid|expected/i)
    }
    expect(to.settings.read().kerfMm).toBe(0.25)
  })
  it('an own figure stands beside its preset until it is taken back', async () => {
    expect(said(await keepFigure('price-sterling-925', '0,98'))).toBe('done')
    expect(to.settings.read().figures['price-sterling-925']).toBe(0.98)
    expect(said(await keepFigure('price-sterling-925', 'dear'))).toMatch(/"dear" was given; possible is 0 to 10000/)
    expect(said(await keepFigure('price-sterling-925', ''))).toBe('done')
    expect(to.settings.read().figures).toEqual({})
    expect(said(await keepFigure('price-of-tea', '1'))).toBe('This figure is not among those that can be changed.')
  })
})
