import { copyFileSync, existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { describe, expect, it } from 'vitest'
import { ownAllowance } from '@/core/logbook'
import { openDb } from '@/server/db/open'
import { makeRepositories, type Repositories } from '@/server/db/repositories'
import { replayLedger } from '@/server/services/ledger'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { trayState } from '@/server/services/tray-state'
import { tempFolder } from '../support/temp-db'

/** The numbers the version before showed for its own demonstration, written down by that version. */
interface Before {
  readonly pieces: readonly { id: number; name: string; answer: { value: number; markAt: number }; ops: string[]; params: unknown[] }[]
  readonly trays: readonly {
    id: number
    size: number
    stepIndex: number
    workpiece: number | null
    lost: number[]
    doneHere: number
    finished: boolean
    steps: string[]
    readings: { workpiece: number; stepId: string; dimension: string; valueMm: number; typed: string; instrument: string; at: string }[]
    events: { workpiece: number | null; stepId: string; kind: string; text: string; at: string }[]
  }[]
  readonly groups: readonly {
    form: string
    alloy: string
    method: string
    growths: number[]
    own: { allowanceMm: number; plusMinusMm: number; spreadMm: number; why: string }
    losses: { begun: number; lost: number }
  }[]
  readonly layouts: readonly { id: number; jobId: number; sheetId: number; at: { x: number; y: number; copy: number }[] }[]
  readonly stock: readonly { id: number; label: string; thicknessMm: number; outer: unknown }[]
  readonly tools: number
}
const before = JSON.parse(readFileSync('tests/fixtures/demo-0002.json', 'utf8')) as Before

function oldDemonstration(isDemonstration = true): { to: Repositories; path: string } {
  const path = join(tempFolder(), 'demo.db')
  copyFileSync('tests/fixtures/demo-0002.db', path)
  const to = makeRepositories(openDb(path))
  if (isDemonstration) {
    to.markDemonstration()
    replayLedger(to)
  }
  return { to, path }
}

/** Forms whose calculating this version set right: a cone by the slope of its wall. */
const RECKONED_ANEW = new Set(['cone'])

describe('the last version’s demonstration, opened by this one', () => {
  const { to, path } = oldDemonstration()
  it('is copied beside itself first', () => expect(existsSync(`${path}.before-0003.bak`)).toBe(true))
  it.each(before.pieces.map((piece) => [piece.name, piece] as const))('%s comes to the same numbers, on a route that fits', (_, piece) => {
    const design = to.jobs.piece(piece.id)?.design
    if (!design) throw new Error('no piece')
    const plan = planDesign(design, planOptions(to))
    const result = plan.parts[0]?.result
    if (!result) throw new Error('no plan')
    const form = design.parts[0]?.form ?? ''
    if (!RECKONED_ANEW.has(form)) expect(result.answer.value).toBeCloseTo(piece.answer.value, 9)
    // marked no coarser than before: finer where the coarse mark would have put the piece out of its band
    expect(result.answer.markAt).toBeLessThanOrEqual(piece.answer.markAt + (RECKONED_ANEW.has(form) ? 3 : 1e-9))
    // forms stand on their usual routes now; what the smith had put in or taken out is so still
    expect(plan.steps.filter(({ op }) => op === 'planish')).toHaveLength(piece.ops.filter((op) => op === 'planish').length)
    expect(plan.misfits).toEqual([])
    expect(plan.faults).toEqual([])
    expect(design.parts.map((part) => part.id)).toEqual(['part-1'])
  })
  it.each(before.trays.map((tray) => [tray.id, tray] as const))('tray %i stands where it stood, with every entry', (id, tray) => {
    const state = trayState(to, id)
    if (!state) throw new Error('no tray')
    const { stepIndex, workpiece, lost, doneHere, finished } = tray
    expect(state.progress).toMatchObject({ stepIndex, workpiece, lost, doneHere, finished })
    expect(state.tray.standing).toEqual({ stepIndex, inHand: workpiece, doneHere, lost: lost.length })
    expect(state.tray.plan.steps.map((step) => step.op)).toEqual(tray.steps)
    const readings = state.entries.filter((entry) => entry.kind === 'reading')
    expect(
      readings.map(({ workpiece: n, stepId, dimension, value, typed, instrument, at }) => ({
        workpiece: n,
        stepId,
        dimension,
        valueMm: value,
        typed,
        instrument,
        at,
      })),
    ).toEqual(tray.readings)
    const others = state.entries.filter((entry) => entry.kind !== 'reading')
    expect(
      others.map(({ workpiece: n, stepId, kind, text, at }) => ({
        workpiece: n,
        stepId,
        kind: kind === 'loss' ? 'wrong' : kind,
        text,
        at,
      })),
    ).toEqual(tray.events)
  })
  it('says the same in the book: growths, allowance, spread, losses', () => {
    const groups = to.record.groups({ page: 1, size: 50 })
    expect(groups).toHaveLength(before.groups.length)
    for (const old of before.groups) {
      const group = groups.find((item) => item.form === old.form && item.alloy === old.alloy && item.method === old.method)
      if (!group) throw new Error(`no group ${old.form}`)
      const rows = to.record.rowsOf(group, { page: 1, size: 99 })
      expect(rows.map((row) => row.growthMm).sort()).toEqual([...old.growths].sort())
      expect(ownAllowance(group.sums, { thicknessMm: 1 }, 1).spreadMm).toBeCloseTo(old.own.spreadMm, 9)
      expect(to.record.losses(old.form, old.alloy)).toEqual(old.losses)
    }
  })
  it('keeps layouts and stock, and knows each blank by its part and its own name', () => {
    for (const layout of before.layouts) {
      const now = to.layouts.one(layout.id)
      expect(now?.placements.map(({ x, y, copy }) => ({ x, y, copy }))).toEqual(layout.at)
      expect(now?.placements.every((place) => /^piece-\d+\/part-1\/disc$/.test(place.id))).toBe(true)
    }
    expect(to.drawer.all().map(({ id, label, thicknessMm, outer }) => ({ id, label, thicknessMm, outer }))).toEqual(
      before.stock.map(({ id, label, thicknessMm, outer }) => ({ id, label, thicknessMm, outer })),
    )
    expect(to.tools.all()).toHaveLength(before.tools)
  })
  it('has no kind left that is a list in a table’s own rules', () => {
    const db = new Database(path, { readonly: true })
    const rules = db.prepare("SELECT name, sql FROM sqlite_master WHERE sql LIKE '%CHECK (%IN (''%'").all()
    db.close()
    expect(rules).toEqual([])
  })
})

describe('an own workshop of the version before', () => {
  it('keeps what the simulated calipers read, marks it as practice and counts it no longer', () => {
    const { to } = oldDemonstration(false)
    const readings = before.trays.flatMap((tray) => to.entries.standing(tray.id).filter((entry) => entry.kind === 'reading'))
    expect(readings.length).toBeGreaterThan(10)
    expect(readings.every((reading) => reading.simulated)).toBe(true)
    expect(to.record.groups({ page: 1, size: 9 })).toEqual([])
  })
})
