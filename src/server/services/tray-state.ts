import type { TrayProgress } from '@/core/logbook'
import { findOperation } from '@/core/operations'
import type { Entry, Repositories, Tray } from '../db/repositories'
import { progressOf, stepsOf } from './ledger'

export interface Waiting {
  readonly title: string
  readonly sinceAt: string
  readonly waitS: number
}

export interface TrayState {
  readonly tray: Tray
  readonly progress: TrayProgress
  readonly entries: readonly Entry[]
}

/** What looks after itself since a step was done, and since when. */
export function waitingOf(repositories: Repositories, tray: Tray): Waiting | null {
  const last = repositories.entries.lastDone(tray.id)
  const step = stepsOf(repositories, tray).find((item) => item.id === last?.stepId)
  const operation = step && findOperation(step.op)
  return last && operation && operation.waitS > 0 ? { title: operation.title, sinceAt: last.at, waitS: operation.waitS } : null
}

/** A tray and where it stands, told from its entries. */
export function trayState(repositories: Repositories, id: number): TrayState | undefined {
  const tray = repositories.trays.one(id)
  return tray && { tray, entries: repositories.entries.standing(id), progress: progressOf(repositories, tray) }
}
