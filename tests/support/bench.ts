import type { DoorAnswer } from '@/core/commands'
import { type LayoutInput, type Placement, placementsOf } from '@/core/layout'
import type { BoughtTemper } from '@/core/metals'
import { onePart } from '@/core/piece'
import { type Design, designSchema, itemUid, type Repositories } from '@/server/db/repositories'
import { keepEntry } from '@/server/services/keep-entry'
import { beginTray, stepsOf } from '@/server/services/ledger'
import { freezePlan, planDesign, planOptions, torchBookOf } from '@/server/services/piece-plan'

export const NOW = '2027-03-01T10:00:00.000Z'

/** A design of one part. */
export function designOf(
  form: string,
  input: Record<string, unknown>,
  more: Partial<Design> & { readonly bought?: BoughtTemper } = {},
): Design {
  const { bought = 'annealed', ...rest } = more
  return { ...designSchema.parse(onePart({ form, inputVersion: 1, input, bought })), ...rest }
}

/** All pieces of all jobs. */
export function allPieces(to: Repositories) {
  return to.jobs.jobs({ page: 1, size: 9999 }).flatMap((job) => to.jobs.pieces(job.id))
}

/** A piece in a job of its own. */
export function addPiece(to: Repositories, name: string, design: Design, quantity = 4): number {
  const jobId = to.jobs.addJob({ title: `Job of ${name}`, customer: '', dueOn: null, status: 'asked', note: '' })
  return to.jobs.addPiece({ jobId, name, quantity, spares: 0, design })
}

/** A tray on a piece's plan as it stands. */
export function trayOf(to: Repositories, pieceId: number, size: number) {
  const piece = to.jobs.piece(pieceId)
  const options = planOptions(to)
  const plan = piece && planDesign(piece.design, options)
  const frozen = piece && plan && freezePlan(piece, plan, torchBookOf(to, plan, options))
  if (!frozen) throw new Error('no plan')
  const tray = to.trays.one(beginTray(to, pieceId, size, frozen))
  if (!tray) throw new Error('no tray')
  return tray
}
export type TestTray = ReturnType<typeof trayOf>

let sequence = 0

/** An entry as a device would send it; what is not said is filled in. */
export function entryFor(to: Repositories, tray: TestTray, workpiece: number | null, more: Record<string, unknown>) {
  sequence++
  return {
    workshop: to.workshopRow().uid,
    token: `test-token-${sequence}`,
    device: 'test device',
    sequence,
    tray: tray.uid,
    item: workpiece === null ? null : itemUid(tray.uid, tray.plan.parts[0].part, workpiece),
    at: NOW,
    sentAt: NOW,
    ...more,
  }
}

/** Sends an entry; throws what is said against it. */
export function enter(to: Repositories, tray: TestTray, workpiece: number | null, more: Record<string, unknown>): string {
  const entry = entryFor(to, tray, workpiece, more)
  const answer = keepEntry(to, entry, NOW)
  if (!answer.ok) throw new Error(answer.body.error.message)
  return entry.token
}

/** What was said against an entry, or `kept`. */
export function saidOf(answer: DoorAnswer): string {
  return answer.ok ? 'kept' : answer.body.error.message
}

/** Takes some workpieces through steps of the tray's route, up to but not including one. */
export function workThrough(to: Repositories, tray: TestTray, workpieces: readonly number[], upTo = tray.plan.steps.length): void {
  const moves = () => to.entries.moves(tray.id)
  for (const { id, together, only } of stepsOf(to, tray)) {
    if (id === tray.plan.steps[upTo]?.id) return
    const pieces = together ? [null] : workpieces.filter((n) => only === undefined || n === only)
    for (const workpiece of pieces)
      if (!moves().some((move) => move.kind === 'done' && move.stepId === id && move.workpiece === workpiece))
        enter(to, tray, workpiece, { kind: 'done', step: id })
  }
}

/** Measures a workpiece at the last step that measures what the record is kept of, and finishes it. */
export function measured(to: Repositories, tray: TestTray, workpiece: number, growthMm: number, at = NOW): string {
  const outcome = tray.plan.parts[0].outcomes.find((item) => item.primary)
  const place = tray.plan.steps.findLastIndex((step) => step.target?.dimension === outcome?.dimension)
  const step = tray.plan.steps[place]
  if (!outcome || !step) throw new Error('nothing is measured on this route')
  workThrough(to, tray, [workpiece], place)
  const value = outcome.valueMm + growthMm
  const token = enter(to, tray, workpiece, { kind: 'reading', step: step.id, dimension: outcome.dimension, value, at })
  if (!to.entries.moves(tray.id).some((move) => move.kind === 'done' && move.stepId === step.id && move.workpiece === workpiece))
    enter(to, tray, workpiece, { kind: 'done', step: step.id })
  return token
}

/** Where the blanks of an instance come to lie in its plain first layout: soon, and the same on every machine. */
export function laidPlainly(instance: LayoutInput | undefined): readonly Placement[] {
  if (!instance) throw new Error('no instance')
  return placementsOf(instance, { shouldStop: () => false, elapsedS: () => 0 })
}
