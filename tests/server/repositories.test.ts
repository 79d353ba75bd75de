import { describe, expect, it } from 'vitest'
import { netAreaMm2, rectangleOutline } from '@/core/geometry'
import { findIllegal } from '@/core/layout'
import type { Repositories } from '@/server/db/repositories'
import { cutLayout, instanceOf, putBackCut } from '@/server/services/cut-layout'
import { printOf } from '@/server/services/print-layout'
import { designOf, laidPlainly } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const TOKEN = designOf('disc', { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 })

function addToken(to: Repositories, quantity = 4) {
  const jobId = to.jobs.addJob({ title: 'Tokens', customer: '', dueOn: null, status: 'asked', note: '' })
  const pieceId = to.jobs.addPiece({ jobId, name: 'Token', quantity, spares: 1, design: TOKEN })
  return { jobId, pieceId }
}

function addSheet(to: Repositories, label = 'S-1', lengthMm = 120) {
  return to.drawer.add({
    label,
    kind: 'sheet',
    alloy: 'copper-c110',
    thicknessTyped: '0.9',
    thicknessMm: 0.9,
    measuredMm: null,
    outer: rectangleOutline(lengthMm, 60),
    holes: [],
    lengthMm: null,
    acrossMm: null,
    temper: 'annealed',
    parentId: null,
  })
}

/** A job's blanks placed on a sheet. */
function placed(to: Repositories, jobId: number, sheetId: number): number {
  const setup = { jobId, sheetId, kerfMm: 0.3, marginMm: 1 }
  return to.layouts.add({ ...setup, placements: laidPlainly(instanceOf(to, setup)) })
}

describe('revisions of a piece', () => {
  it('are kept one behind the other; undo and redo move the head', () => {
    const { repositories: to } = tempWorkshop()
    const { pieceId } = addToken(to)
    const wider = designOf('disc', { diameterMm: 25 })
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
  it('takes the metal off the sheet, puts what is left in the drawer and freezes the plan', async () => {
    const { repositories: to } = tempWorkshop()
    const { jobId } = addToken(to)
    const sheetId = addSheet(to)
    const id = placed(to, jobId, sheetId)
    expect(await cutLayout(to, id)).toMatchObject({ ok: true })
    expect(to.drawer.one(sheetId)?.status).toBe('cut-up')
    const left = to.drawer.all()
    expect(left.length).toBeGreaterThan(0)
    expect(left.every((stock) => stock.parentId === sheetId)).toBe(true)
    const area = left.reduce((sum, stock) => sum + netAreaMm2(stock.outer ?? [], stock.holes), 0)
    // a cut between two discs that lie a kerf apart is one cut: each takes half of it with it at the least, the whole of it at the most
    const taken = (byMm: number) => 5 * Math.PI * (21.4 / 2 + byMm) ** 2
    expect(area).toBeLessThan(120 * 60 - taken(0.15) + 0.5)
    expect(area).toBeGreaterThan(120 * 60 - taken(0.3) - 400)
    expect(await cutLayout(to, id)).toMatchObject({ ok: false, message: expect.stringContaining('cut already') })
  })
  it('refuses blanks that overlap', async () => {
    const { repositories: to } = tempWorkshop()
    const { jobId, pieceId } = addToken(to)
    const sheetId = addSheet(to)
    const at = (copy: number) => ({ id: `piece-${pieceId}/part-1/disc`, copy, sheet: String(sheetId), x: 30, y: 30, rotationDeg: 0 })
    const id = to.layouts.add({ jobId, sheetId, kerfMm: 0.3, marginMm: 1, placements: [at(0), at(1)] })
    expect(await cutLayout(to, id)).toMatchObject({ ok: false, message: 'Cannot be cut as it lies: 1 too near another. Move them first.' })
    expect(to.drawer.one(sheetId)?.status).toBe('in-drawer')
    expect(printOf(to, id)?.fault).toBe('Cannot be cut as it lies: 1 too near another.')
  })
})

describe('one sheet, several jobs', () => {
  function twoJobs() {
    const { repositories: to } = tempWorkshop()
    const sheetId = addSheet(to, 'S-1', 170)
    const [first, second] = [addToken(to), addToken(to)]
    return { to, sheetId, first: first.jobId, second: second.jobId }
  }
  it('what one job has reserved is taken for the other, and its packer goes round it', () => {
    const { to, sheetId, first, second } = twoJobs()
    placed(to, first, sheetId)
    const instance = instanceOf(to, { jobId: second, sheetId, kerfMm: 0.3, marginMm: 1 })
    expect(instance?.sheets?.[0]?.taken).toHaveLength(5)
    const id = placed(to, second, sheetId)
    const layout = to.layouts.one(id)
    expect(layout?.placements).toHaveLength(5)
    expect(instance && layout && findIllegal(instance, layout.placements)).toEqual([])
  })
  it('blanks in the same place cannot both be cut', async () => {
    const { to, sheetId, first, second } = twoJobs()
    const one = to.layouts.one(placed(to, first, sheetId))
    if (!one) throw new Error('no layout')
    const [pieceId] = to.jobs.pieces(second).map((piece) => piece.id)
    const placements = one.placements.map((place) => ({ ...place, id: `piece-${pieceId}/part-1/disc` }))
    const other = to.layouts.add({ ...one, jobId: second, placements })
    expect(await cutLayout(to, other)).toMatchObject({
      ok: false,
      message: 'Cannot be cut as it lies: 5 where another job has its blanks. Move them first.',
    })
  })
  it('after a cut the other layout hears what happened, and lies on the remnant where it lay', async () => {
    const { to, sheetId, first, second } = twoJobs()
    const [one, two] = [placed(to, first, sheetId), placed(to, second, sheetId)]
    const beside = to.layouts.one(two)
    if (beside) to.layouts.change(two, { ...beside, placements: beside.placements.map((place) => ({ ...place, x: place.x + 20 })) })
    expect((await cutLayout(to, one)).ok).toBe(true)
    const late = await cutLayout(to, two)
    expect(late.ok ? '' : late.message).toMatch(
      /^Sheet S-1 was cut for “Tokens” on \d{4}-\d\d-\d\d\. Of it there is S-1r in the drawer\. Choose another sheet\.$/,
    )
    const [remnant] = to.drawer.remnantsOf(sheetId)
    const layout = to.layouts.one(two)
    if (!remnant || !layout) throw new Error('nothing left')
    const placements = layout.placements.map((place) => ({ ...place, sheet: String(remnant.id) }))
    to.layouts.change(two, { ...layout, sheetId: remnant.id, placements })
    expect((await cutLayout(to, two)).ok).toBe(true)
  })
  it('a cut is put back while its remnants lie untouched, and then no more', async () => {
    const { to, sheetId, first, second } = twoJobs()
    const id = placed(to, first, sheetId)
    await cutLayout(to, id)
    expect(putBackCut(to, id)).toEqual({ ok: true })
    expect(to.drawer.all().map((stock) => stock.label)).toEqual(['S-1'])
    expect(to.layouts.one(id)).toMatchObject({ status: 'draft', cutAt: null })
    expect(putBackCut(to, id)).toMatchObject({ ok: false })
    expect((await cutLayout(to, id)).ok).toBe(true)
    const [remnant] = to.drawer.remnantsOf(sheetId).filter((stock) => stock.status === 'in-drawer')
    expect((await cutLayout(to, placed(to, second, remnant?.id ?? 0))).ok).toBe(true)
    expect(putBackCut(to, id)).toMatchObject({ ok: false, message: expect.stringContaining('has been used since') })
  })
  it('labels of remnants are never given twice', async () => {
    const { to, sheetId, first } = twoJobs()
    const id = placed(to, first, sheetId)
    for (let n = 0; n < 3; n++) {
      expect((await cutLayout(to, id)).ok).toBe(true)
      expect(putBackCut(to, id).ok).toBe(true)
    }
    const labels = to.drawer.remnantsOf(sheetId).map((stock) => stock.label)
    expect(new Set(labels).size).toBe(labels.length)
  })
})
