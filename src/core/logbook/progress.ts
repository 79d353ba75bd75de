/** A step of a frozen route, as the bench walks it. */
export interface ProgressStep {
  readonly id: string
  /** Whether the whole tray goes through it together. */
  readonly together: boolean
  /** The one workpiece it is for, where it is rework; all of them otherwise. */
  readonly only?: number | undefined
}

export interface ProgressEvent {
  readonly stepId: string | null
  readonly workpiece: number | null
  /** `done` and `loss` move a tray; other entries leave it where it is. */
  readonly kind: string
}

export interface TrayProgress {
  /** Index of the step in hand, or the number of steps when all is done. */
  readonly stepIndex: number
  /** The workpiece in hand, 1 to size; null where the tray goes together. */
  readonly workpiece: number | null
  /** Workpieces that went wrong and are out of the tray. */
  readonly lost: readonly number[]
  /** Workpieces still in the tray. */
  readonly alive: readonly number[]
  /** Pieces through the step in hand. */
  readonly doneHere: number
  readonly finished: boolean
}

/**
 * Where a tray stands, from its events alone: each step is over when every workpiece still in the tray is through it (or the tray
 * together), and a workpiece that went wrong leaves the tray.
 */
export function trayProgress(size: number, steps: readonly ProgressStep[], events: readonly ProgressEvent[]): TrayProgress {
  const lost = [...new Set(events.filter((event) => event.kind === 'loss').map((event) => event.workpiece ?? 0))].filter((n) => n > 0)
  const alive = Array.from({ length: size }, (_, i) => i + 1).filter((n) => !lost.includes(n))
  for (const [stepIndex, step] of steps.entries()) {
    const done = new Set(events.filter((event) => event.kind === 'done' && event.stepId === step.id).map((event) => event.workpiece))
    const through = step.only === undefined ? alive : alive.filter((n) => n === step.only)
    if (step.together ? done.has(null) : through.every((n) => done.has(n))) continue
    if (alive.length === 0) break
    const workpiece = step.together ? null : (through.find((n) => !done.has(n)) ?? null)
    return { stepIndex, workpiece, lost, alive, doneHere: step.together ? 0 : through.filter((n) => done.has(n)).length, finished: false }
  }
  return { stepIndex: steps.length, workpiece: null, lost, alive, doneHere: 0, finished: true }
}
