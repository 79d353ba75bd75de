'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { ActionName } from '@/server/actions/names'
import type { ActionDone, ActionInput } from '@/server/actions/perform'
import { useAct } from './act-provider'

export type SaveState = 'saved' | 'saving' | 'unsaved' | 'failed' | 'conflict'

interface Saving<N extends ActionName> {
  readonly name: N
  /** The name under which the browser keeps a write that is not acknowledged yet. */
  readonly keepAs: string
  /** Revision of the thing as the page was given it. */
  readonly revision: number
  /** Called as each write arrives, with what it gave. */
  readonly onSaved: (done: ActionDone<N> & { readonly revision: number }) => void
}

/**
 * Saves a thing that changes under the hands: a moment after the last change, and at once when the page is hidden or left. Each write is
 * made against what those before it will have made of the thing.
 */
export function useSaving<N extends 'saveDesign' | 'saveLayout'>(options: Saving<N>) {
  const act = useAct()
  const [state, setState] = useState<SaveState>('saved')
  const [refusal, setRefusal] = useState('')
  const latest = useRef(options)
  latest.current = options
  const revision = useRef(options.revision)
  revision.current = Math.max(revision.current, options.revision)
  const underWay = useRef(0)
  const waiting = useRef<() => ActionInput<N> | undefined>(undefined)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)

  const send = useCallback(
    async (input: ActionInput<N>) => {
      setState('saving')
      const against = revision.current + underWay.current
      underWay.current++
      const { name, keepAs } = latest.current
      const saved = await act(name, input, { revision: against, keepAs, quiet: true })
      underWay.current--
      if (saved.ok) {
        revision.current = Math.max(revision.current, saved.revision)
        latest.current.onSaved(saved)
      }
      setRefusal(saved.ok ? '' : saved.message)
      if (underWay.current > 0) return
      setState((now) =>
        now === 'unsaved' ? now : saved.ok || saved.code === 'yielded' ? 'saved' : saved.code === 'stale' ? 'conflict' : 'failed',
      )
    },
    [act],
  )

  /** Writes follow one another; only a page that is being left does not wait for the one before. */
  const before = useRef<Promise<void>>(Promise.resolve())
  const flush = useCallback(
    (isLeaving = false) => {
      clearTimeout(timer.current)
      const input = waiting.current?.()
      waiting.current = undefined
      if (!input) return
      if (isLeaving) void send(input)
      else before.current = before.current.then(() => send(input))
    },
    [send],
  )

  useEffect(() => {
    const leave = () => flush(true)
    const onHide = () => {
      if (document.visibilityState === 'hidden') leave()
    }
    document.addEventListener('visibilitychange', onHide)
    window.addEventListener('pagehide', leave)
    return () => {
      document.removeEventListener('visibilitychange', onHide)
      window.removeEventListener('pagehide', leave)
      leave()
    }
  }, [flush])

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
    /** The revision once everything on the way has arrived. */
    expected: () => revision.current + underWay.current,
    saveSoon,
    flush: () => flush(),
    /** When everything that was on the way has arrived. */
    settled: () => before.current,
  }
}
