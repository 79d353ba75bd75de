'use client'
import { useRouter } from 'next/navigation'
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useRef, useState } from 'react'
import type { Refusal } from '@/server/actions/action'
import type { ActionName } from '@/server/actions/names'
import type { ActionInput } from '@/server/actions/perform'
import { randomText } from '../shared/random-text'
import { useWorkshop, WORKSHOP_TITLES } from '../shared/workshop-context'
import { type Choice, ConflictDialog } from './conflict-dialog'
import { dropEdit, isToSendHere, type KeptEdit, keepEdit, keptEdits, thisTab } from './kept-edits'
import { type Acted, postAct } from './post-act'

interface ActOptions<N extends ActionName> {
  /** Revision of the thing that is changed, as this page shows it. */
  readonly revision?: number | null
  /** An earlier write of this page that may have arrived without an answer: where it stands, this one is made of it. */
  readonly after?: ActionInput<N> | undefined
  /** Keeps the write in the browser under this name until it is acknowledged. */
  readonly keepAs?: string
  /** Leaves the page as it is afterwards: the caller shows what came of it. */
  readonly quiet?: boolean
}

export type Act = <N extends ActionName>(name: N, input: ActionInput<N>, options?: ActOptions<N>) => Promise<Acted<N>>

const ActContext = createContext<Act>(() => Promise.reject(new Error('no provider of actions')))

/** Writes to the workshop this page was opened in. */
export function useAct(): Act {
  return useContext(ActContext)
}

interface Asking {
  readonly refusal: Refusal
  readonly answer: (choice: Choice) => void
}

const RESEND_MS = 4000
/** So long a write that is kept in the browser is waited for, ms: then it is sent again, and what was changed meanwhile is kept too. */
const KEPT_ANSWER_MS = 30_000
const isConflict = (refusal: Refusal) => refusal.code === 'stale' || refusal.code === 'other-workshop'
/** Answers after which a kept edit has nothing left to wait for. */
const isOver = (answer: { readonly ok: boolean; readonly code?: string }) =>
  answer.ok || answer.code === 'refused' || answer.code === 'gone'

function useActing() {
  const { uid, name: ownName } = useWorkshop()
  const router = useRouter()
  const [asking, setAsking] = useState<Asking | null>(null)
  const sending = useRef(new Set<string>())
  /** Edits that were asked about and left for now: not asked about again until they are changed, or the page is opened anew. */
  const left = useRef(new Set<string>())

  const ask = useCallback(
    (refusal: Refusal) =>
      new Promise<Choice>((resolve) => {
        setAsking({
          refusal,
          answer: (choice) => {
            setAsking(null)
            resolve(choice)
          },
        })
      }),
    [],
  )

  /** Asks what is to become of a write that met another, and does it. */
  const settle = useCallback(
    async <N extends ActionName>(name: N, input: ActionInput<N>, refusal: Refusal, edit: KeptEdit | undefined): Promise<Acted<N>> => {
      const choice = await ask(refusal)
      if (choice === 'mine') return postAct(name, { workshop: uid, revision: refusal.stale?.revision ?? null, input })
      if (choice === 'reopen') await postAct('openWorkshop', { workshop: uid, revision: null, input: { name: ownName } })
      if (choice === 'leave' && edit) left.current.add(edit.key)
      if (choice === 'theirs') {
        if (edit) dropEdit(edit)
        router.refresh()
        return { ...refusal, code: 'yielded', message: 'What is there was taken.' }
      }
      return refusal
    },
    [ask, uid, ownName, router],
  )

  const act = useCallback<Act>(
    async (name, input, { revision = null, after, keepAs, quiet = false } = {}) => {
      const edit =
        keepAs === undefined
          ? undefined
          : { key: keepAs, name, workshop: uid, revision, after, input, at: `${Date.now()}-${randomText(6)}`, tab: thisTab() }
      if (edit) {
        keepEdit(edit)
        sending.current.add(edit.key)
        left.current.delete(edit.key)
      }
      const first = await postAct(name, { workshop: uid, revision, after, input }, edit && KEPT_ANSWER_MS)
      const answer = !first.ok && isConflict(first) ? await settle(name, input, first, edit) : first
      if (edit) {
        sending.current.delete(edit.key)
        if (isOver(answer)) dropEdit(edit)
      }
      if (answer.ok && !quiet) router.refresh()
      return answer
    },
    [uid, router, settle],
  )
  const isWaiting = useCallback((key: string) => !sending.current.has(key) && !left.current.has(key), [])
  return { act, asking, isWaiting }
}

/** Sends what an earlier page could not get through, as long as it is of this workshop. */
function useResending(act: Act, isWaiting: (key: string) => boolean) {
  const { uid } = useWorkshop()
  const [refused, setRefused] = useState('')
  useEffect(() => {
    const resend = async () => {
      const ours = keptEdits().filter((kept) => kept.workshop === uid && isWaiting(kept.key) && isToSendHere(kept, Date.now()))
      for (const edit of ours) {
        const answer = await act(edit.name, edit.input as never, { revision: edit.revision, after: edit.after as never, keepAs: edit.key })
        if (!answer.ok && isOver(answer)) setRefused(`An earlier change could not be saved: ${answer.message}`)
        if (!answer.ok) return
      }
    }
    void resend()
    const timer = setInterval(() => void resend(), RESEND_MS)
    return () => clearInterval(timer)
  }, [act, uid, isWaiting])
  return refused
}

/** Gives every page the one way to write, and asks where a write meets another. */
export function ActProvider({ children }: { readonly children: ReactNode }) {
  const { name } = useWorkshop()
  const { act, asking, isWaiting } = useActing()
  const refused = useResending(act, isWaiting)
  const value = useMemo(() => act, [act])
  return (
    <ActContext.Provider value={value}>
      {children}
      {refused ? (
        <div role="alert" style={{ padding: '6px 20px' }}>
          {refused}
        </div>
      ) : null}
      <ConflictDialog
        refusal={asking?.refusal ?? null}
        workshopTitle={WORKSHOP_TITLES[name]}
        onChoose={(choice) => asking?.answer(choice)}
      />
    </ActContext.Provider>
  )
}
