import { type TrayProgress, type Waiting, waitingNow, waitsOf } from '@/core/logbook'
import { findOperation } from '@/core/operations'
import type { Entry, Repositories, Tray } from '../db/repositories'
import { progressOf, stepsOf } from './ledger'

export interface TrayState {
  readonly tray: Tray
  readonly progress: TrayProgress
  readonly entries: readonly Entry[]
}

type StepOfTray = ReturnType<typeof stepsOf>[number]

/** What was noted at a step of a tray, where that is done in several runs. */
export function runNotesAt({ entries }: Repositories, tray: Tray, step: StepOfTray | undefined) {
  return step && findOperation(step.op)?.runs ? entries.notesAt(tray.id, step.id) : []
}

/** What looks after itself since a step was done, or one run of it, and since when. */
export function waitingOf(repositories: Repositories, tray: Tray): Waiting | null {
  const last = repositories.entries.lastDone(tray.id)
  const steps = stepsOf(repositories, tray)
  const inHand = steps[tray.standing.stepIndex]
  const done = steps.find(({ id }) => id === last?.stepId)
  const notes = [...new Set([done, inHand])].flatMap((step) => runNotesAt(repositories, tray, step))
  const marks = [...notes, ...(last ? [last] : [])].sort((a, b) => a.at.localeCompare(b.at))
  if (marks.length === 0) return null
  return waitingNow(
    steps.map(({ id, op, params }) => ({ id, op, title: findOperation(op)?.title ?? op, ...waitsOf(op, params) })),
    marks,
  )
}

/** A tray and where it stands, told from its entries. */
export function trayState(repositories: Repositories, id: number): TrayState | undefined {
  const tray = repositories.trays.one(id)
  return tray && { tray, entries: repositories.entries.standing(id), progress: progressOf(repositories, tray) }
}
