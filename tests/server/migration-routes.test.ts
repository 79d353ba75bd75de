import { join } from 'node:path'
import Database from 'better-sqlite3'
import { describe, expect, it } from 'vitest'
import { migrate } from '@/server/db/migrate'
import { openDb, programMigrations } from '@/server/db/open'
import { makeRepositories } from '@/server/db/repositories'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { trayState } from '@/server/services/tray-state'
import { tempFolder } from '../support/temp-db'

interface OldStep {
  readonly id: string
  readonly op: string
  readonly params: Readonly<Record<string, unknown>>
}

const INPUT = { insideDiameterMm: 'US 10', alloy: 'sterling-925', thicknessMm: 1.2, widthMm: 4 }
const AT = '2026-05-01T08:00:00.000Z'

/** A workshop of the version before with one ring whose route was stored, and a tray with entries taken back. */
function oldWorkshop(route?: readonly OldStep[]) {
  const path = join(tempFolder(), 'workshop.db')
  const db = new Database(path)
  migrate(db, null, programMigrations().slice(0, 2))
  const design = { parts: [{ form: 'ring-band', inputVersion: 1, input: INPUT }], bought: 'annealed', ...(route ? { route } : {}) }
  db.prepare("INSERT INTO jobs (id, title, status, created_at) VALUES (1, 'Rings', 'asked', ?)").run(AT)
  db.prepare("INSERT INTO pieces (id, job_id, name, quantity, created_at) VALUES (1, 1, 'Ring', 2, ?)").run(AT)
  db.prepare('INSERT INTO piece_revisions (id, piece_id, design_json, created_at) VALUES (1, 1, ?, ?)').run(JSON.stringify(design), AT)
  db.prepare('UPDATE pieces SET head_revision_id = 1').run()
  const steps = [
    { id: 'saw-1', op: 'saw', params: { what: 'the strip' } },
    { id: 'anneal-2', op: 'anneal', params: {} },
    {
      id: 'finish-3',
      op: 'finish',
      params: {},
      target: { dimension: 'insideDiameterMm', label: 'Inside', valueMm: 19.8, plusMinusMm: 0.05 },
    },
  ]
  const outcomes = [
    { dimension: 'insideDiameterMm', label: 'Inside', valueMm: 19.8, plusMinusMm: 0.05, blankPerMm: Math.PI, primary: true },
  ]
  const plan = {
    coreVersion: '0',
    form: 'ring-band',
    pieceName: 'Ring',
    alloy: 'sterling-925',
    thicknessMm: 1.2,
    method: 'strip',
    answer: { name: 'cut length', value: 66, unit: 'mm', markAt: 66 },
    allowanceMm: 0,
    bought: 'annealed',
    regions: ['whole'],
    outcomes,
    steps,
  }
  db.prepare('INSERT INTO trays (id, piece_id, size, plan_json, started_at) VALUES (1, 1, 2, ?, ?)').run(JSON.stringify(plan), AT)
  const event = db.prepare(
    'INSERT INTO bench_events (id, tray_id, step_id, workpiece, kind, text, at, reverses_id) VALUES (?, 1, ?, ?, ?, ?, ?, ?)',
  )
  event.run(1, 'saw-1', 1, 'done', '', AT, null)
  event.run(2, 'saw-1', 2, 'done', '', AT, null)
  event.run(3, 'anneal-2', null, 'done', '', AT, null)
  event.run(4, 'finish-3', 2, 'wrong', 'melted', AT, null)
  event.run(5, 'finish-3', 2, 'wrong', '', AT, 4)
  event.run(6, 'finish-3', 1, 'done', '', AT, null)
  const reading = db.prepare(
    "INSERT INTO readings (id, token, tray_id, workpiece, step_id, dimension, value_mm, typed, instrument, at, reverses_id) VALUES (?, ?, 1, ?, 'finish-3', 'insideDiameterMm', ?, ?, 'typed', ?, ?)",
  )
  reading.run(1, 'first-reading', 1, 19.9, '19.9', AT, null)
  reading.run(2, 'second-reading', 1, 25, '25', AT, null)
  reading.run(3, 'taken-back-it', 1, 25, '25', AT, 2)
  db.close()
  return makeRepositories(openDb(path))
}

function planned(to: ReturnType<typeof oldWorkshop>) {
  const piece = to.jobs.piece(1)
  const plan = piece && planDesign(piece.design, planOptions(to))
  if (!piece || !plan?.ok) throw new Error('no plan')
  return { design: piece.design, plan }
}

const plainRoute = planned(oldWorkshop()).plan
/** The form's route as the version before stored it: every step by its place, with the numbers of another size. */
const stored = plainRoute.base.map(
  (step, i): OldStep => ({ id: `${step.op}-${i + 1}`, op: step.op, params: { ...step.params, cutMm: 57 } }),
)

describe('a route that was stored whole', () => {
  it('untouched, becomes no edit at all, and its stale numbers are gone', () => {
    const { design, plan } = planned(oldWorkshop(stored))
    expect(design.route).toBeUndefined()
    expect(plan.steps).toEqual(plainRoute.steps)
  })
  it('with a step taken out, one moved and one put in, keeps those three and nothing else', () => {
    const wanted = stored.filter((step) => step.op !== 'pickle')
    const [moved] = wanted.splice(1, 1)
    if (moved) wanted.splice(3, 0, moved)
    wanted.splice(2, 0, { id: 'planish-9', op: 'planish', params: { thinnedFraction: 0.05, what: 'the band' } })
    const { design, plan } = planned(oldWorkshop(wanted))
    expect(plan.steps.map((step) => step.op)).toEqual(wanted.map((step) => step.op))
    expect(design.route?.removed.every((id) => id.startsWith('pickle'))).toBe(true)
    expect(plan.steps.find((step) => step.op === 'planish')?.params).toMatchObject({ thinnedFraction: 0.05 })
    for (const step of plan.steps.filter((item) => item.op !== 'planish'))
      expect(step.params).toEqual(plainRoute.steps.find((other) => other.id === step.id)?.params)
    expect(plan.misfits).toEqual([])
  })
})

describe('entries of the version before', () => {
  const to = oldWorkshop()
  const state = trayState(to, 1)
  it('stand as they stood: what was taken back is taken back', () => {
    expect(state?.entries.map((entry) => [entry.kind, entry.workpiece, entry.value])).toEqual([
      ['done', 1, null],
      ['done', 2, null],
      ['done', null, null],
      ['done', 1, null],
      ['reading', 1, 19.9],
    ])
    expect(state?.progress).toMatchObject({ stepIndex: 2, workpiece: 2, lost: [] })
    expect(state?.tray.standing).toEqual({ stepIndex: 2, inHand: 2, doneHere: 1, lost: 0 })
  })
  it('are told into the book', () => {
    const [group] = to.record.groups({ page: 1, size: 9 })
    expect(group?.sums.count).toBe(1)
    expect(group?.sums.g).toBeCloseTo(0.1, 9)
  })
  it('keep the steps’ names, and each piece has one of its own', () => {
    expect(state?.tray.plan.steps.map((step) => step.id)).toEqual(['saw-1', 'anneal-2', 'finish-3'])
    expect(state?.tray.plan.parts[0].part).toBe('part-1')
    for (const n of [1, 2]) expect(to.trays.item(`${state?.tray.uid}/part-1/${n}`, 1)).toEqual({ part: 'part-1', instance: n })
    expect(to.trays.item(`${state?.tray.uid}/part-1/3`, 1)).toBeUndefined()
  })
})
