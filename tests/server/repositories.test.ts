import { describe, expect, it } from 'vitest'
import { netAreaMm2, rectangleOutline } from '@/core/geometry'
import { packLayout } from '@/core/layout'
import type { Design, Repositories } from '@/server/db/repositories'
import { seedDemo } from '@/server/seed/seed-demo'
import { cutLayout, instanceOf } from '@/server/services/cut-layout'
import { growthsFor, recordGroups } from '@/server/services/own-record'
import { freezePlan, planDesign } from '@/server/services/piece-plan'
import { takeReading } from '@/server/services/take-reading'
import { trayState } from '@/server/services/tray-state'
import { tempWorkshop } from '../support/temp-db'

const TOKEN: Design = {
  parts: [{ form: 'disc', inputVersion: 1, input: { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 } }],
  bought: 'annealed',
}

function addToken(to: Repositories, quantity = 4) {
  const jobId = to.jobs.addJob({ title: 'Tokens', customer: '', dueOn: null, status: 'asked', note: '' })
  const pieceId = to.jobs.addPiece({ jobId, name: 'Token', quantity, spares: 1, design: TOKEN })
  return { jobId, pieceId }
}

function startTray(to: Repositories, pieceId: number, size: number) {
  const piece = to.jobs.piece(pieceId)
  const plan = piece && planDesign(piece.design, to.settings.read())
  if (!piece || !plan?.ok) throw new Error('no plan')
  return to.bench.addTray(pieceId, size, freezePlan(piece, plan))
}

describe('revisions of a piece', () => {
  it('are kept one behind the other; undo and redo move the head', () => {
    const { repositories: to } = tempWorkshop()
    const { pieceId } = addToken(to)
    const wider = { ...TOKEN, parts: [{ ...TOKEN.parts[0], form: 'disc', inputVersion: 1, input: { diameterMm: 25 } }] }
    to.jobs.revise(pieceId, wider)
    expect(to.jobs.piece(pieceId)?.design.parts[0]?.input.diameterMm).toBe(25)
    expect(to.jobs.undo(pieceId)).toBe(true)
    expect(to.jobs.piece(pieceId)?.design.parts[0]?.input.diameterMm).toBe(21)
    expect(to.jobs.undo(pieceId)).toBe(false)
    expect(to.jobs.redo(pieceId)).toBe(true)
    expect(to.jobs.piece(pieceId)?.design.parts[0]?.input.diameterMm).toBe(25)
  })
})

describe('cutting a layout', () => {
  it('takes the metal off the sheet, puts what is left in the drawer and freezes the plan', () => {
    const { repositories: to } = tempWorkshop()
    const { jobId } = addToken(to)
    const sheetId = to.drawer.add({
      label: 'S-1',
      kind: 'sheet',
      alloy: 'copper-c110',
      thicknessTyped: '0.9',
      thicknessMm: 0.9,
      measuredMm: null,
      outer: rectangleOutline(120, 60),
      holes: [],
      lengthMm: null,
      temper: 'annealed',
      parentId: null,
    })
    const setup = { jobId, sheetId, kerfMm: 0.3, marginMm: 1 }
    const instance = instanceOf(to, setup)
    if (!instance) throw new Error('no instance')
    const { placements } = packLayout(instance, { shouldStop: () => false, elapsedS: () => 0 })
    const id = to.layouts.add({ ...setup, placements })
    expect(cutLayout(to, id)).toMatchObject({ ok: true })
    expect(to.drawer.one(sheetId)?.status).toBe('cut-up')
    const left = to.drawer.all()
    expect(left.length).toBeGreaterThan(0)
    expect(left.every((stock) => stock.parentId === sheetId)).toBe(true)
    const area = left.reduce((sum, stock) => sum + netAreaMm2(stock.outer ?? [], stock.holes), 0)
    const kerfed = 5 * Math.PI * (21.4 / 2 + 0.3) ** 2
    expect(area).toBeLessThan(120 * 60 - kerfed + 0.5)
    expect(area).toBeGreaterThan(120 * 60 - kerfed - 400)
    expect(cutLayout(to, id)).toMatchObject({ ok: false, message: expect.stringContaining('cut already') })
  })
  it('refuses blanks that overlap', () => {
    const { repositories: to } = tempWorkshop()
    const { jobId, pieceId } = addToken(to)
    const sheetId = to.drawer.add({
      label: 'S-1',
      kind: 'sheet',
      alloy: 'copper-c110',
      thicknessTyped: '0.9',
      thicknessMm: 0.9,
      measuredMm: null,
      outer: rectangleOutline(120, 60),
      holes: [],
      lengthMm: null,
      temper: 'annealed',
      parentId: null,
    })
    const at = (copy: number) => ({ id: `piece-${pieceId}`, copy, sheet: String(sheetId), x: 30, y: 30, rotationDeg: 0 })
    const id = to.layouts.add({ jobId, sheetId, kerfMm: 0.3, marginMm: 1, placements: [at(0), at(1)] })
    expect(cutLayout(to, id)).toMatchObject({ ok: false, message: expect.stringContaining('overlap') })
    expect(to.drawer.one(sheetId)?.status).toBe('in-drawer')
  })
})

describe('readings', () => {
  const reading = {
    token: 'reading-0001',
    workpiece: 1,
    stepId: 'finish-3',
    dimension: 'diameterMm',
    value: '21.1 mm',
    instrument: 'typed',
  }
  it('are kept once however often they are sent', () => {
    const { repositories: to } = tempWorkshop()
    const trayId = startTray(to, addToken(to).pieceId, 3)
    const first = takeReading(to, trayId, reading)
    expect(first).toMatchObject({ ok: true, body: { valueMm: 21.1 } })
    expect(takeReading(to, trayId, reading)).toEqual(first)
    expect(to.bench.readings(trayId)).toHaveLength(1)
  })
  it('are refused with a plain message', () => {
    const { repositories: to } = tempWorkshop()
    const trayId = startTray(to, addToken(to).pieceId, 3)
    for (const bad of [{ ...reading, value: 'wide' }, { ...reading, workpiece: 9 }, { ...reading, token: 'x' }, {}, null])
      expect(takeReading(to, trayId, bad)).toMatchObject({ ok: false, body: { error: { message: expect.any(String) } } })
    expect(takeReading(to, 99, reading)).toMatchObject({ ok: false })
    expect(to.bench.readings(trayId)).toEqual([])
  })
  it('are never edited: a later entry reverses one', () => {
    const { repositories: to } = tempWorkshop()
    const trayId = startTray(to, addToken(to).pieceId, 3)
    const kept = takeReading(to, trayId, reading)
    const id = kept.ok ? (kept.body as { id: number }).id : 0
    takeReading(to, trayId, { ...reading, token: 'reading-0002', reversesId: id })
    expect(to.bench.readings(trayId)).toEqual([])
  })
  it('become the record: growth over what was predicted, pieces that went wrong left out', () => {
    const { repositories: to } = tempWorkshop()
    const trayId = startTray(to, addToken(to).pieceId, 3)
    ;[21.1, 21.2, 21.3].forEach((value, i) => {
      takeReading(to, trayId, { ...reading, token: `reading-1${i}00`, workpiece: i + 1, value })
    })
    to.bench.addEvent({ trayId, stepId: 'finish-3', workpiece: 3, kind: 'wrong', text: 'dented', reversesId: null })
    const growths = growthsFor(to, 'disc', 'copper-c110')['saw and file true']?.map((item) => Number(item.growthMm.toFixed(2)))
    expect(growths).toEqual([0.1, 0.2])
    expect(trayState(to, trayId)?.progress.lost).toEqual([3])
  })
})

describe('the demonstration', () => {
  const { repositories: to } = tempWorkshop()
  seedDemo(to)
  it('has jobs at every stage', () => {
    const trays = to.bench.trays().map((tray) => trayState(to, tray.id))
    expect(to.jobs.jobs().length).toBeGreaterThanOrEqual(6)
    expect(to.layouts.all()).toHaveLength(1)
    expect(trays.some((state) => state?.tray.plan.steps[state.progress.stepIndex]?.op === 'anneal')).toBe(true)
    expect(trays.some((state) => state?.waiting?.title === 'Pickle' && !state.progress.finished)).toBe(true)
    expect(trays.some((state) => (state?.progress.lost.length ?? 0) > 0)).toBe(true)
    expect(recordGroups(to).length).toBeGreaterThanOrEqual(3)
  })
  it('plans every piece of it without a stop', () => {
    for (const piece of to.jobs.pieces()) {
      const plan = planDesign(piece.design, to.settings.read())
      expect(plan.ok && plan.result.checks.filter((check) => check.level === 'stop')).toEqual([])
    }
  })
})
