import * as z from 'zod'
import { storeFaultOf } from '../db/faults'
import type { Repositories } from '../db/repositories'
import { TaskEnded } from '../long/run-task'
import { workshop } from '../workshop'
import { type ActionResult, type ActionSpec, type Against, type AnyAction, type OwnAction, readAction, refuse } from './action'
import { ACTION_NAMES, type ActionName } from './names'
import { ACTIONS, type Actions } from './registry'

/** How an action is asked for: the workshop and the revision it was made against, and what it is to write. */
const envelope = z.object({
  workshop: z.string().max(80),
  /** Revision of the thing that is changed, as it was shown; null where nothing is. */
  revision: z.int().min(0).nullable(),
  /** An earlier write of the same page that may have arrived without an answer: where it stands, this one is made of it. */
  after: z.unknown().optional(),
  input: z.unknown(),
})

export type ActionInput<N extends ActionName> = z.input<Actions[N]['input']>
/** What an action gives where it is done. */
export type ActionDone<N extends ActionName> = Extract<Awaited<ReturnType<Actions[N]['run']>>, { ok: true }> & {
  readonly revision?: number
}

type Either = OwnAction<z.ZodType, object> | AnyAction<z.ZodType, object>

const OTHER = 'A different workshop is open now from the one this page was opened in. Nothing was written; what you entered is still here.'
const STALE = 'This was changed elsewhere since the page was opened. Nothing was written.'

/** Whether what stands there is what an earlier write of the same page was to make of it. */
function standsAfter(action: OwnAction<z.ZodType, object>, to: Repositories, after: unknown): boolean {
  if (after === undefined || action.against === 'new') return false
  const earlier = readAction(action.input, after)
  return earlier.ok && action.against(to, earlier.data)?.lines?.length === 0
}

function ownRun(action: OwnAction<z.ZodType, object>, to: Repositories, made: z.output<typeof envelope>, input: unknown) {
  if (made.workshop !== to.workshopRow().uid) return refuse(OTHER, [], 'other-workshop')
  if (action.against !== 'new') {
    const now: Against | undefined = action.against(to, input)
    if (now && now.revision !== made.revision && !standsAfter(action, to, made.after)) {
      if (now.lines?.length !== 0) return { ...refuse(STALE, [], 'stale'), stale: { revision: now.revision, lines: now.lines ?? [] } }
      if (action.already) return action.already(to, input)
    }
  }
  return withRevision(action, to, input)
}

/** What an action gives, with the revision that the thing has after it, so that it can be taken back. */
async function withRevision(action: OwnAction<z.ZodType, object>, to: Repositories, input: unknown): Promise<ActionResult> {
  const done = await action.run(to, input)
  if (!done.ok || action.against === 'new' || 'revision' in done) return done
  const after = action.against(to, input)
  return after ? Object.assign({}, done, { revision: after.revision }) : done
}

/** A fault of the disk, or of work that took too long, in words; anything else is ours and is thrown on. */
function sayFault(error: unknown): ActionResult {
  const fault = storeFaultOf(error)
  if (fault) return refuse(fault.message, [], 'store')
  if (error instanceof TaskEnded) return refuse(error.message)
  throw error
}

export function isActionName(name: string): name is ActionName {
  return (ACTION_NAMES as readonly string[]).includes(name)
}

/** Runs an action for a page: refused with words where it was made in another workshop, or against what is no longer so. */
export async function perform(name: ActionName, raw: unknown): Promise<ActionResult> {
  const action = ACTIONS[name] as unknown as Either
  const asked = readAction(envelope, raw)
  if (!asked.ok) return asked
  const input = readAction(action.input, asked.data.input)
  if (!input.ok) return input
  try {
    if (action.workshop === 'own') return await ownRun(action as OwnAction<z.ZodType, object>, workshop(), asked.data, input.data)
    return await (action as AnyAction<z.ZodType, object>).run(input.data)
  } catch (error) {
    return sayFault(error)
  }
}

/** What each action checks, for a test to walk. */
export function actionChecks(): readonly { readonly name: ActionName; readonly spec: ActionSpec<z.ZodType> }[] {
  return ACTION_NAMES.map((name) => ({ name, spec: ACTIONS[name] as unknown as ActionSpec<z.ZodType> }))
}
