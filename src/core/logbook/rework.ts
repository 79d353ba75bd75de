import { madeAgain, routeStepOf } from './made-again'
import type { ProgressEvent, ProgressStep } from './progress'

/** A step of a tray's route as far as rework needs to know it. */
export interface ReworkableStep extends ProgressStep {
  readonly op: string
  readonly on: readonly { readonly thing: string }[]
  readonly params: Readonly<Record<string, unknown>>
}

/** What is done to a piece whose joint failed its test, before anything else goes on: clean, pickle, flux and solder again, pickle, test. */
export const REWORK_LOOP = ['scrub', 'pickle', 'solder', 'pickle', 'test-joint'] as const

/** How a failed test begins its words; what comes after is what was seen. */
export const FAILED = 'failed'
export const PASSED = 'passed'

export const isFailedTest = ({ kind, text }: { readonly kind: string; readonly text?: string | null }) =>
  kind === 'test' && (text ?? '').startsWith(FAILED)

/** What is told of a piece: the result of a test, or that one of its parts is made again. */
interface Told extends ProgressEvent {
  readonly text?: string | null
}

/** The heat in which what is tested was joined: the last one before the test that shares a joint with it. */
function heatBefore<S extends ReworkableStep>(steps: readonly S[], at: number): S | undefined {
  const tested = new Set(steps[at]?.on.map(({ thing }) => thing))
  const heats = steps.slice(0, at).filter(({ op }) => op === 'solder')
  return heats.findLast(({ on }) => on.some(({ thing }) => tested.has(thing))) ?? heats.at(-1)
}

/** Gives a step of the loop what else the caller's steps carry: its words, no target. */
type Dress<S> = (step: S, op: (typeof REWORK_LOOP)[number]) => S

/** The steps of one rework: they are that piece's alone, and done by itself. */
function loopOf<S extends ReworkableStep>(steps: readonly S[], at: number, workpiece: number, time: number, dress: Dress<S>): S[] {
  const test = steps[at]
  const heat = heatBefore(steps, at)
  if (!test) return []
  return REWORK_LOOP.map((op, i) => {
    const like = op === 'solder' ? (heat ?? test) : test
    const params = op === 'solder' ? like.params : {}
    return dress({ ...like, id: `${test.id}~${workpiece}.${time}.${i + 1}`, op, params, together: false, only: workpiece }, op)
  })
}

/**
 * The steps of a tray with those its entries ask for beside the route: after each test that a piece failed that piece alone goes through the
 * loop and is tested again, as often as it fails; a part that is made again goes through its earlier steps once more. Told from the entries
 * alone, so that a device without the program comes to the same.
 */
export function withRework<S extends ReworkableStep>(route: readonly S[], entries: readonly Told[], dress: Dress<S>): readonly S[] {
  let steps: readonly S[] = route
  const times = new Map<string, number>()
  for (const entry of entries) {
    const { stepId, workpiece, again } = entry
    const at = steps.findIndex(({ id }) => id === stepId)
    const asks = isFailedTest(entry) || again
    if (!asks || stepId === null || workpiece === null || at < 0) continue
    const key = `${routeStepOf(stepId)}~${workpiece}`
    const time = (times.get(key) ?? 0) + 1
    times.set(key, time)
    const own = again ? madeAgain(steps, stepId, again, workpiece, time) : loopOf(steps, at, workpiece, time, dress)
    const from = again ? at : at + 1
    steps = [...steps.slice(0, from), ...own, ...steps.slice(from)]
  }
  return steps
}

/** Steps whose result is told: whether a joint holds, or a part fits. */
export const TESTED: ReadonlySet<string> = new Set(['test-joint', 'trial-fit', 'fit-stone', 'try-on', 'fit-joint'])
/** Of these, the one after whose failing the loop begins; a fit is only tried again. */
export const asksForRework = (op: string) => op === 'test-joint'
