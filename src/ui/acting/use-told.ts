'use client'
import type { ActionName } from '@/server/actions/names'
import type { ActionInput } from '@/server/actions/perform'
import { useNotice } from '../shared/notices'
import { useAct } from './act-provider'
import type { Acted } from './post-act'

interface Told<N extends ActionName> {
  /** Revision of the thing as it is shown. */
  readonly revision: number | null
  /** What happened, in words. */
  readonly text: string
  /** The same write with what stood there before; none where it cannot be taken back by itself. */
  readonly back?: ActionInput<N>
}

/** Writes, says what happened, and offers to take it back. */
export function useTold() {
  const act = useAct()
  const say = useNotice()
  return async <N extends ActionName>(name: N, input: ActionInput<N>, { revision, text, back }: Told<N>): Promise<Acted<N>> => {
    const done = await act(name, input, { revision })
    if (!done.ok) return done
    const { revision: next = null } = done as { readonly revision?: number }
    async function undo(before: ActionInput<N>) {
      const undone = await act(name, before, { revision: next })
      say({ text: undone.ok ? 'Undone.' : undone.message })
    }
    say(back === undefined ? { text } : { text, undo: () => undo(back) })
    return done
  }
}
