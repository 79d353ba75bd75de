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

/** Whether a write may have arrived although nothing says so. */
const isUnheard = (answer: { readonly ok: boolean; readonly code?: string }) => answer.code === 'store'

/**
 * Saves a thing that changes under the hands: a moment after the last change, and at once when the page is hidden or left. One write is on
 * its way at a time: what is changed meanwhile waits for its answer, and only a page that is left does not.
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
  /** Writes that have no answer yet. */
  const unanswered = useRef(0)
  const waiting = useRef<() => ActionInput<N> | undefined>(undefined)
  /** Whether the time of what waits has come. */
  const isDue = useRef(false)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  /** The last write that did not get through: it is tried again before anything is started from what is stored. */
  const unstored = useRef<ActionInput<N>>(undefined)
  /** The first write that may have arrived, but was never answered: what comes after it is made of it as well. */
  const unsure = useRef<ActionInput<N>>(undefined)
  /** What will have come of the last write, and of what followed it. */
  const last = useRef<Promise<boolean>>(Promise.resolve(true))

  const send = useCallback(
    async (input: ActionInput<N>): Promise<boolean> => {
      setState('saving')
      unanswered.current++
      const after = unsure.current
      unsure.current ??= input
      const { name, keepAs } = latest.current
      const saved = await act(name, input, { revision: revision.current, after, keepAs, quiet: true })
      unanswered.current--
      if (saved.ok) {
        revision.current = Math.max(revision.current, saved.revision)
        held.current = Math.max(held.current, saved.revision)
        latest.current.onSaved?.(saved)
      }
      const came = stateAfter(saved)
      unstored.current = came === 'saved' ? undefined : input
      setRefusal(saved.ok ? '' : saved.message)
      if (unanswered.current > 0) return saved.ok
      if (!isUnheard(saved)) unsure.current = undefined
      // what was changed since, and waits for its time, is not saved yet
      setState(waiting.current === undefined ? came : 'unsaved')
      return saved.ok
    },
    [act],
  )

  /** Sends what waits, and what became due meanwhile after it. */
  const sendWaiting = useCallback(async (): Promise<boolean> => {
    let isStored = true
    do {
      isDue.current = false
      const input = waiting.current?.()
      waiting.current = undefined
      if (input) isStored = await send(input)
    } while (isDue.current && unanswered.current === 0)
    return isStored
  }, [send])

  const flush = useCallback(
    (isLeaving = false) => {
      clearTimeout(timer.current)
      if (!waiting.current) return
      if (unanswered.current > 0 && !isLeaving) isDue.current = true
      else last.current = sendWaiting()
    },
    [sendWaiting],
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
    const timers = ASKED_AGAIN_MS.map((afterMs) => setTimeout(() => isAtRest() && router.refresh(), afterMs))
    return () => timers.forEach(clearTimeout)
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
      return last.current
    },
  }
}
