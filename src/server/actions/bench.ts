'use server'
import { revalidatePath } from 'next/cache'
import * as z from 'zod'
import { checkOrder } from '@/core/route'
import { freezePlan, planDesign, planOptions } from '../services/piece-plan'
import { trayState } from '../services/tray-state'
import { workshop } from '../workshop'
import { type ActionResult, readAction, refuse } from './result'

/** Starts a tray of workpieces on the plan as it stands; the plan is frozen with the version that made it. */
export async function startTray(pieceId: number, size: number): Promise<ActionResult<{ trayId: number }>> {
  const repositories = workshop()
  const { jobs, bench } = repositories
  const piece = jobs.piece(pieceId)
  if (!piece) return refuse('This piece is no longer there.')
  if (!Number.isInteger(size) || size < 1 || size > 5000) return refuse('A tray holds 1 to 5000 pieces.')
  const plan = planDesign(piece.design, planOptions(repositories))
  if (!plan.ok) return refuse(plan.issues[0]?.message ?? 'The size is not complete.', plan.issues)
  const stop = plan.result.checks.find((check) => check.level === 'stop')
  if (stop) return refuse(`Not released to the bench: ${stop.message}`)
  const order = checkOrder(plan.steps).find((finding) => finding.level === 'stop')
  if (order && !piece.design.orderNote)
    return refuse(`Not released to the bench: ${order.message} Change the route, or write a note there to override it.`)
  const trayId = bench.addTray(pieceId, size, freezePlan(piece, plan))
  revalidatePath('/', 'layout')
  return { ok: true, trayId }
}

const eventSchema = z.object({
  trayId: z.number(),
  stepId: z.string(),
  workpiece: z.number().int().min(1).nullable(),
  kind: z.enum(['done', 'wrong', 'note']),
  text: z.string().max(500).default(''),
  reversesId: z.number().nullable().default(null),
})

/** Writes what happened at the bench. An entry is undone by a later one that names it. */
export async function logEvent(raw: unknown): Promise<ActionResult<{ id: number }>> {
  const read = readAction(eventSchema, raw)
  if (!read.ok) return read
  const { bench } = workshop()
  if (!bench.tray(read.data.trayId)) return refuse('This tray is no longer there.')
  const id = bench.addEvent(read.data)
  const finished = trayState(workshop(), read.data.trayId)?.progress.finished
  if (finished) bench.finishTray(read.data.trayId)
  else bench.reopenTray(read.data.trayId)
  revalidatePath('/bench', 'layout')
  return { ok: true, id }
}
