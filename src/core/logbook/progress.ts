/** A step of a frozen route, as the bench walks it. */
export interface ProgressStep {
  readonly id: string
  /** Whether the whole tray goes through it together. */
  readonly together: boolean
  /** The one workpiece it is for, where it is rework; all of them otherwise. */
  readonly only?: number | undefined
  /** The parts that it is done to, with all that hangs together with them; without it, everything. */
  readonly subTray?: readonly string[] | undefined
}

export interface ProgressEvent {
  readonly stepId: string | null
  readonly workpiece: number | null
  /** `done` and `loss` move a tray, `started` takes up a sub-tray; other entries leave it where it is. */
  readonly kind: string
  /** The part that is made again, where a loss takes no more of the piece than that. */
  readonly again?: string | null | undefined
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
  /** Steps that can be gone on with now, in the order of the route: one of each sub-tray that waits for no other. */
  readonly open: readonly number[]
  /** All steps that are not over, in the order of the route. */
  readonly left: readonly number[]
  readonly finished: boolean
}

/** Whether an entry takes a whole piece out of the tray. */
export const isWholeLoss = ({ kind, again }: Pick<ProgressEvent, 'kind' | 'again'>) => kind === 'loss' && !again

/** Whether two steps are done to something that hangs together, so that they keep the order of the route. */
export function doMeet(a: Pick<ProgressStep, 'subTray'>, b: Pick<ProgressStep, 'subTray'>): boolean {
  const [one, other] = [a.subTray, b.subTray]
  return !one || !other || one.some((thing) => other.includes(thing))
}

function doneAt({ id }: ProgressStep, events: readonly ProgressEvent[]): ReadonlySet<number | null> {
  return new Set(events.filter((event) => event.kind === 'done' && event.stepId === id).map((event) => event.workpiece))
}

/** Indices of steps not over yet, without those that wait for an earlier one of these. */
function openOf(steps: readonly ProgressStep[], left: readonly number[]): number[] {
  return left.filter((index, i) => {
    const step = steps[index]
    return step && left.slice(0, i).every((earlier) => !doMeet(steps[earlier] ?? step, step))
  })
}

/** The open step of the sub-tray that was taken up last, until it meets another; otherwise the first of the route. */
function takenUp(steps: readonly ProgressStep[], open: readonly number[], events: readonly ProgressEvent[]): number | undefined {
  const taken = events.findLast(({ kind }) => kind === 'started')
  const own = steps.find(({ id }) => id === taken?.stepId)?.subTray
  return open.find((index) => own && steps[index]?.subTray?.every((thing) => own.includes(thing))) ?? open[0]
}

/**
 * Where a tray stands, from its events alone: each step is over when every workpiece still in the tray is through it (or the tray
 * together), and a workpiece that went wrong leaves the tray unless only a part of it is made again. Steps that meet keep their order; sub-trays that have not met yet may be
 * worked in any order, the one that was taken up last first.
 */
export function trayProgress(size: number, steps: readonly ProgressStep[], events: readonly ProgressEvent[]): TrayProgress {
  const lost = [...new Set(events.filter(isWholeLoss).map((event) => event.workpiece ?? 0))].filter((n) => n > 0)
  const alive = Array.from({ length: size }, (_, i) => i + 1).filter((n) => !lost.includes(n))
  const through = ({ only }: ProgressStep) => (only === undefined ? alive : alive.filter((n) => n === only))
  const isOver = (step: ProgressStep) => {
    const done = doneAt(step, events)
    return step.together ? done.has(null) : through(step).every((n) => done.has(n))
  }
  const left = alive.length === 0 ? [] : steps.flatMap((step, index) => (isOver(step) ? [] : [index]))
  const open = openOf(steps, left)
  const stepIndex = takenUp(steps, open, events) ?? steps.length
  const step = steps[stepIndex]
  if (!step) return { stepIndex: steps.length, workpiece: null, lost, alive, doneHere: 0, open, left, finished: true }
  const done = doneAt(step, events)
  const workpiece = step.together ? null : (through(step).find((n) => !done.has(n)) ?? null)
  const doneHere = step.together ? 0 : through(step).filter((n) => done.has(n)).length
  return { stepIndex, workpiece, lost, alive, doneHere, open, left, finished: false }
}
