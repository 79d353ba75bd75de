import { type AgentId, agentOfStep } from '@/core/chemistry'
import { findOperation } from '@/core/operations'
import type { Repositories, Tray } from '../db/repositories'
import { stepsOf } from './ledger'

/** What stands open on the bench for another tray, and which. */
export interface AgentBeside {
  readonly agent: AgentId
  readonly tray: string
  /** When its wait is over, or it counts as put away. */
  readonly until: string
}

/** Trays whose baths are looked at. */
const MOST_TRAYS = 60
/** A bath that pieces go through one by one stands open so long after the last of them. */
const OPEN_MS = 30 * 60_000

function openFor(repositories: Repositories, tray: Tray): AgentBeside | undefined {
  const last = repositories.entries.lastDone(tray.id)
  if (!last) return undefined
  const steps = stepsOf(repositories, tray)
  const step = steps.find(({ id }) => id === last.stepId)
  const agent = step && agentOfStep(step)
  if (!step || !agent) return undefined
  const waitMs = 1000 * (findOperation(step.op)?.waitS ?? 0)
  const isGoingOn = steps[tray.standing.stepIndex]?.id === step.id
  const until = new Date(Date.parse(last.at) + (isGoingOn ? OPEN_MS : waitMs)).toISOString()
  return { agent, tray: tray.plan.pieceName, until }
}

/** What stands open on the bench for the other trays: a pickle that waits, a bath that pieces are going through. */
export function agentsBeside(repositories: Repositories, own: Tray, now: string): AgentBeside[] {
  if (!stepsOf(repositories, own).some((step) => agentOfStep(step))) return []
  return repositories.trays
    .open({ page: 1, size: MOST_TRAYS })
    .filter(({ id }) => id !== own.id)
    .flatMap((tray) => openFor(repositories, tray) ?? [])
    .filter(({ until }) => until > now)
}
