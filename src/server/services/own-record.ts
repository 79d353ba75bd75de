import { type GrowthReading, growthOf, type Losses, type OwnAllowance, ownAllowance } from '@/core/logbook'
import type { Reading, Repositories, Tray } from '../db/repositories'

/** One finished workpiece: what was predicted, what was measured. */
export interface RecordRow {
  readonly trayId: number
  readonly pieceName: string
  readonly workpiece: number
  readonly dimension: string
  readonly label: string
  readonly predictedMm: number
  readonly measuredMm: number
  readonly growthMm: number
  readonly thicknessMm: number
  readonly at: string
}

export interface RecordGroup {
  readonly form: string
  readonly alloy: string
  readonly method: string
  readonly blankPerMm: number
  readonly rows: readonly RecordRow[]
}

function lastReading(readings: readonly Reading[], workpiece: number, dimension: string): Reading | undefined {
  return readings.findLast((reading) => reading.workpiece === workpiece && reading.dimension === dimension)
}

function rowsOf(tray: Tray, readings: readonly Reading[], lost: ReadonlySet<number>): RecordRow[] {
  const outcome = tray.plan.outcomes.find((item) => item.primary)
  if (!outcome) return []
  return Array.from({ length: tray.size }, (_, i) => i + 1).flatMap((workpiece) => {
    const reading = lost.has(workpiece) ? undefined : lastReading(readings, workpiece, outcome.dimension)
    if (!reading) return []
    return [
      {
        trayId: tray.id,
        pieceName: tray.plan.pieceName,
        workpiece,
        dimension: outcome.dimension,
        label: outcome.label,
        predictedMm: outcome.valueMm,
        measuredMm: reading.valueMm,
        growthMm: growthOf(reading.valueMm, outcome.valueMm),
        thicknessMm: tray.plan.thicknessMm,
        at: reading.at,
      },
    ]
  })
}

/** Every finished piece with a reading, grouped by form, metal and method; each group is one hand's allowance. */
export function recordGroups(repositories: Repositories): RecordGroup[] {
  const groups = new Map<string, { form: string; alloy: string; method: string; blankPerMm: number; rows: RecordRow[] }>()
  for (const tray of repositories.bench.trays()) {
    const lost = new Set(
      repositories.bench
        .events(tray.id)
        .filter((event) => event.kind === 'wrong')
        .map((event) => event.workpiece ?? 0),
    )
    const rows = rowsOf(tray, repositories.bench.readings(tray.id), lost)
    if (rows.length === 0) continue
    const { form, alloy, method, outcomes } = tray.plan
    const key = [form, alloy, method].join('|')
    const group = groups.get(key) ?? { form, alloy, method, blankPerMm: outcomes.find((item) => item.primary)?.blankPerMm ?? 1, rows: [] }
    group.rows.push(...rows)
    groups.set(key, group)
  }
  return [...groups.values()]
}

/** Workpieces of a form and metal that were begun on finished trays, and how many of them went wrong. */
export function lossesFor(repositories: Repositories, form: string, alloy: string): Losses {
  const trays = repositories.bench
    .trays()
    .filter((tray) => tray.finishedAt !== null && tray.plan.form === form && tray.plan.alloy === alloy)
  const lostOf = (tray: Tray) =>
    new Set(repositories.bench.events(tray.id).flatMap((event) => (event.kind === 'wrong' && event.workpiece ? [event.workpiece] : [])))
      .size
  return {
    begun: trays.reduce((sum, tray) => sum + tray.size, 0),
    lost: trays.reduce((sum, tray) => sum + lostOf(tray), 0),
  }
}

export type Growths = Readonly<Record<string, readonly GrowthReading[]>>

/** Growth readings by method, for one form and metal: small enough to travel to the screen, which redoes the sum at every key. */
export function growthsFor(repositories: Repositories, form: string, alloy: string): Growths {
  const own = recordGroups(repositories).filter((group) => group.form === form && group.alloy === alloy)
  return Object.fromEntries(own.map((group) => [group.method, group.rows.map(({ growthMm, thicknessMm }) => ({ growthMm, thicknessMm }))]))
}

/** The allowance of a group at its mean thickness. */
export function allowanceOfGroup(group: RecordGroup): OwnAllowance {
  const thickness = group.rows.reduce((sum, row) => sum + row.thicknessMm, 0) / group.rows.length
  return ownAllowance(group.rows, thickness, group.blankPerMm)
}
