import { findOperation } from '../operations'
import { runsNoted } from '../surface'

/** A step as its clock needs it: how long it looks after itself once done, and after each of its runs. */
interface WaitingStep {
  readonly id: string
  readonly op: string
  readonly title: string
  readonly waitS: number
  readonly restS: number
}

interface WaitingEntry {
  readonly kind: string
  readonly stepId: string | null
  readonly text?: string
  readonly at: string
}

/** What looks after itself, and since when; s. */
export interface Waiting {
  readonly title: string
  readonly sinceAt: string
  readonly waitS: number
}

/** How long a step looks after itself once it is done, and after each of its runs, s; the last run of several is waited for as each is. */
export function waitsOf(op: string, params: unknown): { readonly waitS: number; readonly restS: number } {
  const operation = findOperation(op)
  const restS = operation?.runs?.(params).restS
  return { waitS: restS ?? operation?.waitS ?? 0, restS: restS ?? 0 }
}

const isRun = ({ op, restS }: WaitingStep, { kind, text = '' }: WaitingEntry) => kind === 'note' && restS > 0 && runsNoted(op, [text]) > 0

/**
 * What looks after itself since the last step done, or since the last run of one; null where nothing does. A step whose runs were counted has
 * been looked at after the last of them: it waits no more once it is done. Entries in their order.
 */
export function waitingNow(steps: readonly WaitingStep[], entries: readonly WaitingEntry[]): Waiting | null {
  const stepOf = ({ stepId }: WaitingEntry) => steps.find(({ id }) => id === stepId)
  const last = entries.findLast((entry) => {
    const step = stepOf(entry)
    return entry.kind === 'done' || (step !== undefined && isRun(step, entry))
  })
  const step = last && stepOf(last)
  if (!step) return null
  const isCounted = entries.some((entry) => entry.stepId === step.id && isRun(step, entry))
  const waitS = last.kind === 'note' ? step.restS : isCounted ? 0 : step.waitS
  return waitS > 0 ? { title: step.title, sinceAt: last.at, waitS } : null
}

/** When what looks after itself has done so long enough; the beginning of time where nothing does. */
export const waitOverAt = (waiting: Waiting | null) => (waiting ? Date.parse(waiting.sinceAt) + 1000 * waiting.waitS : 0)
