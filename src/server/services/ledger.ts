import { countedReading, type ReworkableStep, shapeOf, type TrayProgress, trayProgress, withRework } from '@/core/logbook'
import { findOperation } from '@/core/operations'
import { recent } from '@/core/working'
import {
  type FrozenPart,
  type FrozenPlan,
  type FrozenStep,
  itemUid,
  type NewRecordRow,
  type Repositories,
  type Tray,
} from '../db/repositories'
import { frozenSubTrays } from './piece-plan'

type TrayStep = FrozenStep & ReworkableStep

/** So many trays are remembered with their steps and where they stand. */
const MOST_TRAYS = 200
const stepsKnown = recent<readonly TrayStep[]>(MOST_TRAYS)
const askingKnown = recent<ReturnType<Repositories['entries']['askingForSteps']>>(MOST_TRAYS)
const progressKnown = recent<TrayProgress>(MOST_TRAYS)

/** Where the ledger of a tray stands, as a text. */
const stateOf = (entries: Repositories['entries'], { id, uid }: Tray) => `${uid} ${entries.stateOf(id)}`

/** The steps of a tray: its frozen route, the rework that failed tests have asked for, and what makes a part again. */
export function stepsOf({ entries }: Pick<Repositories, 'entries'>, tray: Tray): readonly TrayStep[] {
  const asking = askingKnown(stateOf(entries, tray), () => entries.askingForSteps(tray.id))
  return stepsKnown([tray.uid, ...asking.map(({ token }) => token)].join(' '), () => {
    const subTrays = frozenSubTrays(tray.plan)
    const route = tray.plan.steps.map(
      (step): TrayStep => ({ ...step, together: findOperation(step.op)?.together ?? false, subTray: subTrays.get(step.id) }),
    )
    return withRework(route, asking, ({ target: _, overrides: __, ...step }) => step)
  })
}

/** Where a tray stands, from its entries. */
export function progressOf(repositories: Pick<Repositories, 'entries'>, tray: Tray): TrayProgress {
  const { entries } = repositories
  const tell = () => trayProgress(tray.size, stepsOf(repositories, tray), entries.moves(tray.id))
  return progressKnown(stateOf(entries, tray), tell)
}

/** Writes down where a tray stands now, so that a page of trays need not read every entry. */
export function standTray(repositories: Repositories, tray: Tray, at: string): void {
  const { stepIndex, workpiece, doneHere, lost, finished } = progressOf(repositories, tray)
  const standing = { stepIndex, inHand: workpiece, doneHere, lost: lost.length }
  repositories.trays.stand(tray.id, standing, finished ? (tray.finishedAt ?? at) : null)
}

function rowOf(repositories: Repositories, tray: Tray, part: FrozenPart, item: string, instance: number): NewRecordRow | undefined {
  const outcome = part.outcomes.find((candidate) => candidate.primary)
  if (!outcome) return undefined
  const entries = repositories.entries.ofItem(tray.id, item)
  const reading = countedReading(entries, outcome.dimension, repositories.workshopRow().demonstration)
  if (!reading || reading.value === null) return undefined
  const { form, alloy, method, thicknessMm, outcomes } = part
  const { sizeMm = 1, depthMm = 0 } = shapeOf(thicknessMm, outcomes)
  return {
    item,
    entryId: reading.id,
    trayId: tray.id,
    form,
    alloy,
    method,
    dimension: outcome.dimension,
    label: outcome.label,
    workpiece: instance,
    predictedMm: outcome.valueMm,
    measuredMm: reading.value,
    thicknessMm,
    sizeMm,
    depthMm,
    at: reading.at,
  }
}

/** Tells the book what stands of one item of a tray, or of all of them. */
export function bookItems(repositories: Repositories, tray: Tray, instance: number | null): void {
  const instances = instance === null ? Array.from({ length: tray.size }, (_, i) => i + 1) : [instance]
  for (const part of tray.plan.parts)
    for (const n of instances) {
      const item = itemUid(tray.uid, part.part, n)
      repositories.record.keep(item, rowOf(repositories, tray, part, item, n))
    }
}

/** A tray of workpieces on a frozen plan, at its first step. */
export function beginTray(repositories: Repositories, pieceId: number, size: number, plan: FrozenPlan): number {
  return repositories.transaction(() => {
    const id = repositories.trays.add(pieceId, size, plan)
    const tray = repositories.trays.one(id)
    if (tray) standTray(repositories, tray, tray.startedAt)
    return id
  })
}

/** Tells everything that is told from the ledger anew, after a migration. */
export function replayLedger(repositories: Repositories): void {
  repositories.transaction(() => {
    repositories.record.clear()
    for (const id of repositories.trays.ids()) {
      const tray = repositories.trays.one(id)
      if (!tray) continue
      standTray(repositories, tray, tray.finishedAt ?? tray.startedAt)
      bookItems(repositories, tray, null)
    }
  })
}
