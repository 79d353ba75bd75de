import { describe, expect, it } from 'vitest'
import { netAreaMm2, rectangleOutline } from '@/core/geometry'
import type { Design, Repositories } from '@/server/db/repositories'
import { compareTwo } from '@/server/services/compare'
import { cutLayout, instanceOf } from '@/server/services/cut-layout'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { printOf } from '@/server/services/print-layout'
import { supplyFor } from '@/server/services/supply'
import { designOf as design, enter, laidPlainly, type TestTray, trayOf, workThrough } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const TOKEN = design('disc', { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 })
const FRAME = design('plate', {
  shape: 'rectangle',
  cornerMm: 0,
  lengthMm: 40,
  widthMm: 30,
  alloy: 'copper-c110',
  thicknessMm: 0.9,
  cleanUpMm: 0,
  window: 'rectangle',
  windowLengthMm: 24,
  windowWidthMm: 16,
})

function addPiece(to: Repositories, name: string, of: Design, quantity = 4, job?: number) {
  const jobId = job ?? to.jobs.addJob({ title: `Job of ${name}`, customer: '', dueOn: null, status: 'asked', note: '' })
  const id = to.jobs.addPiece({ jobId, name, quantity, spares: 0, design: of })
  const piece = to.jobs.piece(id)
  if (!piece) throw new Error('no piece')
  return piece
}

function addSheet(
  to: Repositories,
  lengthMm: number,
  widthMm: number,
  more: { label?: string; alloy?: 'copper-c110' | 'sterling-925' } = {},
) {
  return to.drawer.add({
    label: more.label ?? 'S-1',
    kind: 'sheet',
    alloy: more.alloy ?? 'copper-c110',
    thicknessTyped: '0.9',
    thicknessMm: 0.9,
    measuredMm: null,
    outer: rectangleOutline(lengthMm, widthMm),
    holes: [],
    lengthMm: null,
    acrossMm: null,
    temper: 'annealed',
    parentId: null,
  })
}

function planOf(to: Repositories, of: Design) {
  const plan = planDesign(of, planOptions(to))
  if (!plan.ok) throw new Error(JSON.stringify(plan.issues))
  return plan
}

const lose = (to: Repositories, tray: TestTray, workpiece: number) =>
  enter(to, tray, workpiece, { kind: 'loss', step: 'saw', text: 'blade wandered' })

describe('what the drawer holds', () => {
  it('follows the drawer: short, then a sheet is laid in, then it holds all', () => {
    const { repositories: to } = tempWorkshop()
    const plan = planOf(to, TOKEN)
    expect(supplyFor(to, plan, 6)[0]).toMatchObject({ covered: 0, from: [] })
    expect(supplyFor(to, plan, 6)[0]?.buy?.massG).toBeGreaterThan(0)
    addSheet(to, 120, 60)
    expect(supplyFor(to, plan, 6)[0]).toMatchObject({ covered: 6, from: ['S-1'], buy: null })
  })
  it('does not count a sheet that was cut up', () => {
    const { repositories: to } = tempWorkshop()
    const id = addSheet(to, 120, 60)
    to.drawer.move(id, 'in-drawer', 'cut-up')
    expect(supplyFor(to, planOf(to, TOKEN), 6)[0]?.covered).toBe(0)
  })
  it('goes by the thickness as it was measured', () => {
    const { repositories: to } = tempWorkshop()
    const id = addSheet(to, 120, 60)
    const stock = to.drawer.one(id)
    if (stock) to.drawer.correct(id, { ...stock, measuredMm: 1.1 }, '')
    const [supply] = supplyFor(to, planOf(to, TOKEN), 6)
    expect(supply?.covered).toBe(0)
    expect(supply?.instead[0]?.why).toMatch(/1\.1 mm, 22 % thicker/)
  })
  it('uses the workshop’s own price of a gram', () => {
    const { repositories: to } = tempWorkshop()
    const dear = () => supplyFor(to, planOf(to, TOKEN), 6)[0]?.buy
    const before = dear()
    to.settings.write({ figures: { 'price-copper-c110': 3 } })
    expect(dear()?.cost).toBeCloseTo(3 * (before?.massG ?? 0), 6)
  })
})

describe('what was lost before', () => {
  const losses = (to: Repositories, form = 'disc', alloy = 'copper-c110') => to.record.losses(form, alloy)
  it('counts the workpieces of finished trays of the same form and metal, each lost one once', () => {
    const { repositories: to } = tempWorkshop()
    const tray = trayOf(to, addPiece(to, 'Token', TOKEN).id, 12)
    lose(to, tray, 3)
    expect(() => lose(to, tray, 3)).toThrow('Piece 3 was lost before; it is out of the tray.')
    lose(to, tray, 7)
    expect(losses(to)).toEqual({ begun: 0, lost: 0 })
    workThrough(to, tray, [1, 2, 4, 5, 6, 8, 9, 10, 11, 12])
    expect(losses(to)).toEqual({ begun: 12, lost: 2 })
    expect(losses(to, 'disc', 'sterling-925')).toEqual({ begun: 0, lost: 0 })
    expect(losses(to, 'dome')).toEqual({ begun: 0, lost: 0 })
  })
  it('forgets a loss that was taken back', () => {
    const { repositories: to } = tempWorkshop()
    const tray = trayOf(to, addPiece(to, 'Token', TOKEN).id, 3)
    const token = lose(to, tray, 2)
    enter(to, tray, 2, { kind: 'reversal', reverses: token })
    workThrough(to, tray, [1, 2, 3])
    expect(losses(to)).toEqual({ begun: 3, lost: 0 })
  })
})

describe('pieces that may be compared', () => {
  it('those of the same job come first, then the same form elsewhere, nothing else', () => {
    const { repositories: to } = tempWorkshop()
    const token = addPiece(to, 'Token', TOKEN)
    const beside = addPiece(to, 'Frame', FRAME, 1, token.jobId)
    const alike = addPiece(to, 'Other token', TOKEN)
    addPiece(to, 'Other frame', FRAME)
    expect(to.jobs.alike(token, 9).map((piece) => piece.name)).toEqual([beside.name, alike.name])
  })
  it('are planned under the workshop’s own settings', () => {
    const { repositories: to } = tempWorkshop()
    to.settings.write({ figures: { 'price-copper-c110': 1 } })
    const compared = compareTwo(to, addPiece(to, 'Token', TOKEN), addPiece(to, 'Frame', FRAME))
    const cost = compared?.comparison.comesTo.find((row) => row.label === 'Metal cost each')
    const mass = compared?.comparison.comesTo.find((row) => row.label === 'Metal each')
    expect(mass?.first).toBe(cost?.first.replace('EUR', 'g'))
  })
  it('a piece that cannot be made as it is entered is not compared', () => {
    const { repositories: to } = tempWorkshop()
    const broken = design('dome', { widthMm: 20, heightMm: 30, alloy: 'copper-c110', thicknessMm: 0.9 })
    expect(compareTwo(to, addPiece(to, 'Token', TOKEN), addPiece(to, 'Too deep', broken))).toBeUndefined()
  })
})

describe('a plate with a window on the sheet', () => {
  function laidOut() {
    const { repositories: to } = tempWorkshop()
    const piece = addPiece(to, 'Frame', FRAME, 1)
    const sheetId = addSheet(to, 60, 50)
    const id = to.layouts.add({ jobId: piece.jobId, sheetId, kerfMm: 0.4, marginMm: 1, placements: [] })
    const layout = to.layouts.one(id)
    if (!layout) throw new Error('no layout')
    to.layouts.change(id, { ...layout, placements: [...laidPlainly(instanceOf(to, layout))] })
    return { to, id }
  }
  it('has its window in the file that is sawn from', () => {
    const { to, id } = laidOut()
    const print = printOf(to, id)
    const purposes = print?.patterns[0]?.lines.map(({ purpose }) => purpose) ?? []
    expect(purposes.filter((purpose) => purpose === 'saw-inside').length).toBeGreaterThan(0)
    expect(purposes.filter((purpose) => purpose === 'saw-inside').length).toBe(
      purposes.filter((purpose) => purpose === 'saw-outside').length,
    )
  })
  it('gives the piece out of its window back to the drawer', async () => {
    const { to, id } = laidOut()
    const cut = await cutLayout(to, id)
    expect(cut.ok).toBe(true)
    const areas = to.drawer.all().map((stock) => netAreaMm2(stock.outer ?? [], stock.holes))
    const window = (24 - 0.8) * (16 - 0.8)
    expect(areas.some((area) => Math.abs(area / window - 1) < 0.02)).toBe(true)
  })
})
