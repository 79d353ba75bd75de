'use client'
import { type Remote, wrap } from 'comlink'
import { startTransition, useCallback, useEffect, useRef, useState } from 'react'
import type { DapAnswer, DapQuestion } from '@/core/forming'
import type { DapApi } from '@/workers/dap.worker'

interface Dapped {
  readonly answer: DapAnswer
  readonly isWorking: boolean
  /** Whether the last question could not be answered: what stands is the answer before it. */
  readonly isFailed: boolean
}

/**
 * The answer to a question about doming, worked out beside the page; while it is, the last one stands. Questions that come while one is being
 * answered wait, and of those only the newest is asked: a hand that drags is never behind by more than one answer.
 */
export function useDap(question: DapQuestion, first: DapAnswer): Dapped {
  const [answer, setAnswer] = useState(first)
  const [isWorking, setWorking] = useState(false)
  const [isFailed, setFailed] = useState(false)
  const remote = useRef<Remote<DapApi> | null>(null)
  const asked = useRef(question)
  const isBusy = useRef(false)
  const next = useRef<DapQuestion | null>(null)
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/dap.worker.ts', import.meta.url), { type: 'module' })
    remote.current = wrap<DapApi>(worker)
    return () => {
      remote.current = null
      worker.terminate()
    }
  }, [])
  const ask = useCallback(() => {
    const waiting = next.current
    if (!waiting || isBusy.current) return
    next.current = null
    isBusy.current = true
    const settle = (found: DapAnswer | undefined) => {
      isBusy.current = false
      if (!remote.current) return
      // drawn in slices, between which the hand is answered
      if (found) startTransition(() => setAnswer(found))
      setFailed(found === undefined)
      setWorking(next.current !== null)
      ask()
    }
    remote.current?.dap(waiting).then(settle, () => settle(undefined))
  }, [])
  useEffect(() => {
    // what was drawn on the server is the answer to the first question
    if (asked.current === question) return
    asked.current = question
    next.current = question
    setWorking(true)
    ask()
  }, [question, ask])
  return { answer, isWorking, isFailed }
}
