import { type TrayProgress, trayProgress } from '@/core/logbook'
import { findOperation } from '@/core/operations'
import type { BenchEvent, Reading, Repositories, Tray } from '../db/repositories'

export interface TrayState {
  readonly tray: Tray
  readonly progress: TrayProgress
  readonly events: readonly BenchEvent[]
  readonly readings: readonly Reading[]
  /** Seconds the work looks after itself at the last step done, and when that began. */
  readonly waiting: { readonly title: string; readonly sinceAt: string; readonly waitS: number } | null
}

function waitingOf(tray: Tray, events: readonly BenchEvent[]): TrayState['waiting'] {
  const last = events.findLast((event) => event.kind === 'done')
  const step = tray.plan.steps.find((item) => item.id === last?.stepId)
  const operation = step && findOperation(step.op)
  return last && operation && operation.waitS > 0 ? { title: operation.title, sinceAt: last.at, waitS: operation.waitS } : null
}

/** A tray and where it stands, told from its events. */
export function trayState(repositories: Repositories, id: number): TrayState | undefined {
  const tray = repositories.bench.tray(id)
  if (!tray) return undefined
  const events = repositories.bench.events(id)
  const steps = tray.plan.steps.map((step) => ({ id: step.id, together: findOperation(step.op)?.together ?? false }))
  return {
    tray,
    events,
    readings: repositories.bench.readings(id),
    progress: trayProgress(tray.size, steps, events),
    waiting: waitingOf(tray, events),
  }
}
