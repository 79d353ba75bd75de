import type { Refusal } from '@/server/actions/action'
import type { ActionName } from '@/server/actions/names'
import type { ActionDone, ActionInput } from '@/server/actions/perform'

/** What an action is asked with: the workshop and the revision it was made against. */
export interface Asked<N extends ActionName> {
  readonly workshop: string
  readonly revision: number | null
  /** An earlier write of the same page that may have arrived without an answer. */
  readonly after?: ActionInput<N> | undefined
  readonly input: ActionInput<N>
}

export type Acted<N extends ActionName> = ActionDone<N> | Refusal

function unanswered(message: string): Refusal {
  return { ok: false, code: 'store', message, issues: [] }
}

/** Bodies up to this many bytes may go on being sent when the page is left (the browser's own limit is 64 kB for all of them). */
const KEEPALIVE_BYTES = 60_000

/**
 * Asks the program to write, and waits `withinMs` for its answer, or as long as it takes. Never throws: no answer is a refusal too, and what
 * was entered stays with the caller.
 */
export async function postAct<N extends ActionName>(name: N, asked: Asked<N>, withinMs?: number): Promise<Acted<N>> {
  const body = JSON.stringify(asked)
  try {
    const response = await fetch(`/api/act/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
      keepalive: body.length < KEEPALIVE_BYTES,
      signal: withinMs === undefined ? null : AbortSignal.timeout(withinMs),
    })
    const answer = (await response.json()) as Acted<N> | { error: { message: string } }
    return 'error' in answer ? unanswered(answer.error.message) : answer
  } catch {
    return unanswered('The program is not responding. What you entered is still here.')
  }
}
