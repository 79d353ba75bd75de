import { join } from 'node:path'
import Database from 'better-sqlite3'
import { expect, it } from 'vitest'
import { findForm } from '@/core/forms'
import { migrate } from '@/server/db/migrate'
import { openDb, programMigrations } from '@/server/db/open'
import { makeRepositories } from '@/server/db/repositories'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { tempFolder } from '../support/temp-db'

const AT = '2026-05-01T08:00:00.000Z'

/** A workshop of the version before, with a stamping named like the operation, whose route was changed at the press. */
function workshopBefore() {
  const path = join(tempFolder(), 'workshop.db')
  const db = new Database(path)
  migrate(db, null, programMigrations().slice(0, 6))
  const design = {
    parts: [{ id: 'part-1', form: 'die-blank', inputVersion: 1, input: findForm('die-blank')?.example }],
    bought: 'annealed',
    route: {
      removed: [],
      placed: [{ id: 'anneal+k1', after: 'press', before: null, own: { op: 'anneal', params: { what: 'press' } } }],
      changed: [{ id: 'press', params: { what: 'press' } }],
    },
  }
  db.prepare("INSERT INTO jobs (id, uid, title, status, created_at) VALUES (1, 'j', 'press', 'asked', ?)").run(AT)
  db.prepare("INSERT INTO pieces (id, uid, job_id, name, quantity, spares, created_at) VALUES (1, 'p', 1, 'press', 2, 0, ?)").run(AT)
  db.prepare("INSERT INTO piece_revisions (id, uid, piece_id, design_json, created_at) VALUES (1, 'r', 1, ?, ?)").run(
    JSON.stringify(design),
    AT,
  )
  db.prepare('UPDATE pieces SET head_revision_id = 1').run()
  const plan = {
    coreVersion: '0',
    form: 'die-blank',
    pieceName: 'press',
    alloy: 'copper-c110',
    thicknessMm: 1,
    method: 'sheet',
    part: 'part-1',
    answer: { name: 'cut', value: 20, unit: 'mm', markAt: 20 },
    allowanceMm: 0,
    bought: 'annealed',
    regions: ['whole'],
    outcomes: [],
  }
  db.prepare(
    "INSERT INTO trays (id, uid, piece_id, size, form, alloy, method, plan_json, started_at) VALUES (1, 't', 1, 2, 'die-blank', 'copper-c110', 'sheet', ?, ?)",
  ).run(JSON.stringify(plan), AT)
  const step = db.prepare('INSERT INTO tray_steps (tray_id, step_id, position, content_json) VALUES (1, ?, ?, ?)')
  step.run('press', 0, JSON.stringify({ version: 1, op: 'press', params: { depthMm: 2, halfMm: 8, what: 'press' } }))
  step.run('finish', 1, JSON.stringify({ version: 1, op: 'finish', params: {} }))
  db.close()
  return path
}

it('a step at the bench keeps its name, and is done as it was', () => {
  const db = openDb(workshopBefore())
  const steps = db.prepare('SELECT step_id, content_json FROM tray_steps ORDER BY position').all()
  expect(steps).toEqual([
    { step_id: 'press', content_json: JSON.stringify({ version: 1, op: 'press-die', params: { depthMm: 2, halfMm: 8, what: 'press' } }) },
    { step_id: 'finish', content_json: JSON.stringify({ version: 1, op: 'finish', params: {} }) },
  ])
})

it('pressing in a die keeps its place in routes that were stored under its old name; texts stay as they are', () => {
  const to = makeRepositories(openDb(workshopBefore()))
  const piece = to.jobs.piece(1)
  expect(piece).toMatchObject({ name: 'press', jobTitle: 'press' })
  const plan = piece && planDesign(piece.design, planOptions(to))
  if (!plan?.ok) throw new Error(JSON.stringify(plan))
  const ids = plan.steps.map(({ id }) => id)
  expect(ids.indexOf('anneal+k1')).toBe(ids.indexOf('press-die') + 1)
  expect(plan.steps.find(({ id }) => id === 'press-die')?.params).toMatchObject({ what: 'press' })
  expect(plan.misfits).toEqual([])
})
