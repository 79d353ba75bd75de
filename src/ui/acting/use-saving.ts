'use client'
import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { ActionName } from '@/server/actions/names'
import type { ActionDone, ActionInput } from '@/server/actions/perform'
import { useAct } from './act-provider'
import { markLeftWriting, takeLeftWriting } from './kept-edits'

export type SaveState = 'saved' | 'saving' | 'unsaved' | 'failed' | 'conflict'

interface Saving<N extends ActionName> {
  readonly name: N
  /** The name under which the browser keeps a write that is not acknowledged yet. */
  readonly keepAs: string
  /** Revision of the thing as the page was given it. */
  readonly revision: number
  /** Called as each write arrives, with what it gave. */
  readonly onSaved?: (done: ActionDone<N> & { readonly revision: number }) => void
  /** Called when the page is given something newer than what it holds, and nothing of its own waits. */
  readonly onNewer: () => void
}

/** A page that is opened while a write of the one before is under way may be older than that: what it shows is asked for once more, ms. */
const ASKED_AGAIN_MS = [700, 3000]

function stateAfter(answer: { readonly ok: boolean; readonly code?: string }): SaveState {
  if (answer.ok || answer.code === 'yielded') return 'saved'
  return answer.code === 'stale' ? 'conflict' : 'failed'
}

/**
 * Saves a thing that changes under the hands: a moment after the last change, and at once when the page is hidden or left. Each write is
 * made against what those before it will have made of the thing.
 */
export function useSaving<N extends 'saveDesign' | 'saveLayout' | 'chooseCuts'>(options: Saving<N>) {
  const act = useAct()
  const [state, setState] = useState<SaveState>('saved')
  const [refusal, setRefusal] = useState('')
  const latest = useRef(options)
  latest.current = options
  /** What the next write is made against: a newer one that the page was given, while something of its own waits, is not what that was made of. */
  const revision = useRef(options.revision)
  /** Newest revision that the page shows. An answer that was overtaken on its way is older than that. */
  const held = useRef(options.revision)
  const underWay = useRef(0)
  /** Writes that have no answer yet, sent or still behind another. */
  const unanswered = useRef(0)
  const waiting = useRef<() => ActionInput<N> | undefined>(undefined)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  /** The last write that did not get through: it is tried again before anything is started from what is stored. */
  const unstored = useRef<ActionInput<N>>(undefined)

  const send = useCallback(
    async (input: ActionInput<N>): Promise<boolean> => {
      setState('saving')
      const against = revision.current + underWay.current
      underWay.current++
      const { name, keepAs } = latest.current
      const saved = await act(name, input, { revision: against, keepAs, quiet: true })
      underWay.current--
      unanswered.current--
      if (saved.ok) {
        revision.current = Math.max(revision.current, saved.revision)
        held.current = Math.max(held.current, saved.revision)
        latest.current.onSaved?.(saved)
      }
      unstored.current = saved.ok || saved.code === 'yielded' ? undefined : input
      setRefusal(saved.ok ? '' : saved.message)
      // what was changed since, and waits for its time, is not saved yet
      if (unanswered.current === 0) setState(waiting.current === undefined ? stateAfter(saved) : 'unsaved')
      return saved.ok
    },
    [act],
  )

  /** Writes follow one another; only a page that is being left does not wait for the one before. */
  const before = useRef<Promise<boolean>>(Promise.resolve(true))
  const flush = useCallback(
    (isLeaving = false) => {
      clearTimeout(timer.current)
      const input = waiting.current?.()
      waiting.current = undefined
      if (!input) return
      unanswered.current++
      if (isLeaving) void send(input)
      else before.current = before.current.then(() => send(input))
    },
    [send],
  )

  useEffect(() => {
    const leave = () => flush(true)
    const onLeave = () => {
      leave()
      if (unanswered.current > 0) markLeftWriting()
    }
    const onHide = () => {
      if (document.visibilityState === 'hidden') leave()
    }
    document.addEventListener('visibilitychange', onHide)
    window.addEventListener('pagehide', onLeave)
    return () => {
      document.removeEventListener('visibilitychange', onHide)
      window.removeEventListener('pagehide', onLeave)
      leave()
    }
  }, [flush])

  const router = useRouter()
  useEffect(() => {
    if (!takeLeftWriting()) return
    const isAtRest = () => unanswered.current === 0 && waiting.current === undefined
    for (const afterMs of ASKED_AGAIN_MS) setTimeout(() => isAtRest() && router.refresh(), afterMs)
  }, [router])

  useEffect(() => {
    if (state !== 'saved' || options.revision <= held.current) return
    held.current = options.revision
    revision.current = Math.max(revision.current, options.revision)
    latest.current.onNewer()
  }, [options.revision, state])

  /** Saves what `make` gives when its time has come; nothing where it gives nothing. */
  function saveSoon(make: () => ActionInput<N> | undefined, delayMs: number): void {
    clearTimeout(timer.current)
    waiting.current = make
    timer.current = setTimeout(() => flush(), delayMs)
    setState('unsaved')
  }

  return {
    state,
    refusal,
    revision,
    saveSoon,
    /** Sends what waits; once everything on the way has an answer, whether the last change is stored. */
    stored: () => {
      const again = unstored.current
      if (again !== undefined) waiting.current ??= () => again
      flush()
      return before.current
    },
  }
}
