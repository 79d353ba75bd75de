import type { DoorAnswer } from '@/core/commands'
import type { Repositories } from '../db/repositories'
import { runTask } from '../long/run-task'
import { dayQuestion } from './day-question'
import { planDesign, planOptions } from './piece-plan'
import { endOfWorkOn } from './work-hours'

const SECONDS = 20
const TO_BE = 'the piece that is asked about'

function refuse(code: string, message: string, path: string): DoorAnswer {
  return { ok: false, body: { error: { code, message, issues: [{ path, message }] } } }
}

/** When a piece that is not begun would be done beside all that is at the bench, and how likely by the end of a day. */
export async function promiseOf(
  repositories: Repositories,
  pieceId: number,
  on: string,
  now: Date,
  signal: AbortSignal,
): Promise<DoorAnswer> {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(on) || Number.isNaN(Date.parse(on)))
    return refuse('bad-input', `For the day: a date such as 2027-03-01; "${on}" was given`, 'on')
  const piece = repositories.jobs.piece(pieceId)
  if (!piece) return refuse('not-found', 'this piece is no longer there', 'piece')
  const plan = planDesign(piece.design, planOptions(repositories))
  if (!plan.ok || plan.steps.length === 0)
    return refuse('bad-input', 'The size of this piece is not complete: its work is not known yet.', 'piece')
  const settings = repositories.settings.read()
  const { input } = dayQuestion(repositories, now, {
    id: TO_BE,
    pieces: piece.quantity + piece.spares,
    steps: plan.steps,
    dueAt: endOfWorkOn(on, settings),
  })
  if (!input) return refuse('bad-input', 'There is nothing to plan.', 'piece')
  const answer = await runTask('day', input, { seconds: SECONDS, signal })
  const end = answer.ends.find(({ tray }) => tray === TO_BE)
  if (!end) return refuse('bad-input', 'There is nothing to plan.', 'piece')
  const { doneAt, earliest, latest, onTimeShare = 0 } = end
  return { ok: true, body: { doneAt, earliest, latest, onTimeShare } }
}
