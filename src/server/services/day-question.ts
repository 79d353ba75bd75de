import { findAlloy } from '@/core/metals'
import { findOperation } from '@/core/operations'
import { wordsOf } from '@/core/piece'
import {
  DAY_TRIES,
  type ScheduleInput,
  type StepOfTray,
  scheduleInput,
  type TookMinutes,
  type WorkLeft,
  workLeft,
  workToBe,
} from '@/core/schedule'
import { runsNoted } from '@/core/surface'
import { figureOf } from '@/core/tables'
import type { Repositories, Tray } from '../db/repositories'
import { progressOf, stepsOf } from './ledger'
import { frozenMetals, partOfFrozen } from './piece-plan'
import { runNotesAt, waitingOf } from './tray-state'
import { endOfWorkOn, restsFrom } from './work-hours'

/** A step of a tray that is still to do, as the day shows it. */
export interface DayStep {
  readonly title: string
  readonly caution: string | null
  /** How many of one's own times are behind its minutes. */
  readonly own: number
}

/** A tray in the day, by the letter its metal is marked with. */
export interface DayTray {
  readonly id: string
  readonly trayId: number
  readonly letter: string
  readonly name: string
  readonly pieces: number
  readonly colour: { readonly face: string; readonly edge: string }
  readonly dueOn: string | null
  readonly steps: readonly DayStep[]
}

export interface DayQuestion {
  /** Nothing where no tray is at the bench. */
  readonly input: ScheduleInput | null
  readonly trays: readonly DayTray[]
}

const MOST_TRAYS = 40
const SLOT_MS = 5 * 60_000

/** The steps that are left as they read, each with the metal of its part. */
function stepWords({ plan }: Tray, steps: ReturnType<typeof stepsOf>, work: readonly WorkLeft[]): DayStep[] {
  const metals = frozenMetals(plan)
  return work.map(({ stepId, op, own, go }) => {
    const step = steps.find(({ id }) => id === stepId)
    const title = step ? wordsOf(step, metals.get(partOfFrozen(plan, step.on).part)).title : op
    return { title: go ? `${title}, ${go.number} of ${go.of}` : title, caution: findOperation(op)?.caution ?? null, own }
  })
}

const letterOf = (at: number) => String.fromCharCode(65 + (at % 26)) + (at < 26 ? '' : String(Math.floor(at / 26)))

function trayOf(repositories: Repositories, tray: Tray, took: TookMinutes) {
  const steps = stepsOf(repositories, tray)
  const progress = progressOf(repositories, tray)
  const notes = runNotesAt(repositories, tray, steps[progress.stepIndex]).map(({ text }) => text)
  const runsMade = runsNoted(steps[progress.stepIndex]?.op ?? '', notes)
  const work = workLeft(steps, { ...progress, runsMade }, took)
  const job = repositories.jobs.job(repositories.jobs.piece(tray.pieceId)?.jobId ?? 0)
  const waiting = waitingOf(repositories, tray)
  return {
    tray,
    work,
    dueOn: job?.dueOn ?? null,
    pieces: progress.alive.length,
    freeAt: waiting ? new Date(Date.parse(waiting.sinceAt) + 1000 * waiting.waitS).toISOString() : undefined,
    words: stepWords(tray, steps, work),
  }
}

/** How many pieces of a tray not begun, and how its plan would be worked. */
export interface TrayToBe {
  readonly id: string
  readonly pieces: number
  readonly steps: readonly StepOfTray[]
  readonly dueAt: string
}

const asAsked = ({ op, params, handsOnMin, waitMin, handsSpread }: WorkLeft) => ({ op, params, handsOnMin, waitMin, handsSpread })

/** What the hands, torches and pots have before them: all trays at the bench from where they stand, and one more that is not begun, in the workshop's hours. */
export function dayQuestion(repositories: Repositories, now: Date, toBe?: TrayToBe): DayQuestion {
  const settings = repositories.settings.read()
  const took = repositories.entries.tookMinutes()
  const open = repositories.trays
    .open({ page: 1, size: MOST_TRAYS })
    .map((tray) => trayOf(repositories, tray, took))
    .filter(({ work }) => work.length > 0)
    .sort((a, b) => (a.dueOn ?? '9').localeCompare(b.dueOn ?? '9') || a.tray.id - b.tray.id)
  const startsAt = new Date(Math.floor(now.getTime() / SLOT_MS) * SLOT_MS)
  const trays = open.map(({ tray, dueOn, pieces, words }, at): DayTray => {
    const alloy = findAlloy(tray.plan.parts[0].alloy)
    return {
      id: `tray ${tray.id}`,
      trayId: tray.id,
      letter: letterOf(at),
      name: tray.plan.pieceName,
      pieces,
      colour: alloy?.colour ?? { face: '#bbb', edge: '#555' },
      dueOn,
      steps: words,
    }
  })
  const more = toBe ? [{ id: toBe.id, dueAt: toBe.dueAt, steps: workToBe(toBe.steps, toBe.pieces, took).map(asAsked) }] : []
  if (open.length + more.length === 0) return { input: null, trays }
  const input = scheduleInput.parse({
    startsAt: startsAt.toISOString(),
    resources: { torch: settings.torches, 'pickle-pot': settings.potTrays, tumbler: settings.tumblerTrays },
    warmUps: { 'pickle-pot': figureOf('pot-warm-up', settings.figures) },
    breaks: restsFrom(startsAt, settings),
    trays: [
      ...open.map(({ tray, work, dueOn, freeAt }) => ({
        id: `tray ${tray.id}`,
        ...(dueOn ? { dueAt: endOfWorkOn(dueOn, settings) } : {}),
        ...(freeAt ? { notBefore: freeAt } : {}),
        steps: work.map(asAsked),
      })),
      ...more,
    ],
    tries: DAY_TRIES,
    seed: 1,
  })
  return { input, trays }
}
