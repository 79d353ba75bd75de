import { mkdirSync } from 'node:fs'
import { FORMS } from '@/core/forms'
import { shapeOf } from '@/core/logbook'
import { onePart } from '@/core/piece'
import { dataFolder } from '../data-folder'
import { databasePath } from '../db/connection'
import { openDb } from '../db/open'
import { designSchema, itemUid, makeRepositories, type Repositories, type Tray } from '../db/repositories'
import { letFolderGo } from '../folder-lock'
import { freezePlan, planDesign, planOptions, torchBookOf } from '../services/piece-plan'

/** A workshop after ten years: what the figures of long use are measured on. */
const JOBS = 2000
const TRAYS = 4000
const A_TRAY = 25
/** Readings of each piece along its way. */
const READINGS = 15
const OPEN_TRAYS = 40

function addJobs(to: Repositories): number[] {
  return Array.from({ length: JOBS }, (_, i) => {
    const form = FORMS[i % FORMS.length] ?? FORMS[0]
    const status = i < 60 ? 'in-work' : 'handed-over'
    const jobId = to.jobs.addJob({ title: `Order ${i + 1}`, customer: `Customer ${i % 240}`, dueOn: null, status, note: '' })
    return to.jobs.addPiece({
      jobId,
      name: `${form.title} ${i + 1}`,
      quantity: A_TRAY,
      spares: 1,
      design: designSchema.parse(
        onePart({ form: form.id, inputVersion: form.inputVersion, input: { ...form.example }, bought: 'annealed' }),
      ),
    })
  })
}

/** A tray as it lies in the book: every workpiece measured and done at its last measured step. */
function addReadings(to: Repositories, tray: Tray, workshopUid: string, seed: number): void {
  const outcome = tray.plan.parts[0].outcomes.find((item) => item.primary)
  const step = tray.plan.steps.at(-1)
  if (!outcome || !step) return
  const at = new Date(Date.UTC(2017, 0, 1) + seed * 3_600_000).toISOString()
  for (let n = 1; n <= A_TRAY; n++) {
    const uid = itemUid(tray.uid, tray.plan.parts[0].part, n)
    const item = { uid, part: tray.plan.parts[0].part, instance: n }
    const valueMm = outcome.valueMm + 0.1 + 0.05 * Math.sin(seed * 31 + n)
    const reading = { dimension: outcome.dimension, valueMm, typed: valueMm.toFixed(2), instrument: 'typed', simulated: false }
    const base = { workshopUid, device: 'bench', trayId: tray.id, item, stepId: step.id, at, receivedAt: at, reverses: null }
    const sequence = (READINGS + 1) * (seed * A_TRAY + n)
    for (let k = 1; k < READINGS; k++)
      to.entries.add({ ...base, token: `reading-${sequence + k}`, sequence: sequence + k, kind: 'reading', reading })
    const entryId = to.entries.add({ ...base, token: `reading-${sequence}`, sequence, kind: 'reading', reading })
    const startedAt = new Date(Date.parse(at) - 60_000 * (3 + (n % 4))).toISOString()
    to.entries.add({ ...base, startedAt, token: `done-${sequence}`, sequence: sequence + READINGS, kind: 'done' })
    const [{ form, alloy, method, thicknessMm }] = tray.plan.parts
    const { sizeMm = 1, depthMm = 0 } = shapeOf(thicknessMm, tray.plan.parts[0].outcomes)
    const { dimension, label } = outcome
    const told = {
      item: uid,
      entryId,
      trayId: tray.id,
      form,
      alloy,
      method,
      dimension,
      label,
      workpiece: n,
      thicknessMm,
      sizeMm,
      depthMm,
      at,
    }
    to.record.keep(uid, { ...told, predictedMm: outcome.valueMm, measuredMm: valueMm })
  }
}

function addTrays(to: Repositories, pieceIds: readonly number[]): void {
  const options = planOptions(to)
  const { uid } = to.workshopRow()
  for (let i = 0; i < TRAYS; i++) {
    const piece = to.jobs.piece(pieceIds[i % 12 === 0 ? i % pieceIds.length : i % 7] ?? 0)
    const plan = piece && planDesign(piece.design, options)
    const frozen = piece && plan && freezePlan(piece, plan, torchBookOf(to, plan, options))
    if (!piece || !frozen) continue
    const tray = to.trays.one(to.trays.add(piece.id, A_TRAY, frozen))
    if (!tray) continue
    addReadings(to, tray, uid, i)
    if (i >= TRAYS - OPEN_TRAYS) continue
    to.trays.stand(tray.id, { stepIndex: tray.plan.steps.length, inHand: null, doneHere: 0, lost: 0 }, '2026-01-01T00:00:00.000Z')
  }
}

function main(): void {
  mkdirSync(dataFolder(), { recursive: true })
  const db = openDb(databasePath('workshop'))
  const to = makeRepositories(db)
  to.transaction(() => addTrays(to, addJobs(to)))
  db.close()
  letFolderGo()
}

main()
