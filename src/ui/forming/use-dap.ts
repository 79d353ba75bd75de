'use client'
import { type Remote, wrap } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { DapAnswer, DapQuestion } from '@/core/forming'
import type { DapApi } from '@/workers/dap.worker'

interface Dapped {
  readonly answer: DapAnswer
  readonly isWorking: boolean
  /** Whether the last question could not be answered: what stands is the answer before it. */
  readonly isFailed: boolean
}

/** The answer to a question about doming, worked out beside the page; while it is, the last one stands. */
export function useDap(question: DapQuestion, first: DapAnswer): Dapped {
  const [answer, setAnswer] = useState(first)
  const [isWorking, setWorking] = useState(false)
  const [isFailed, setFailed] = useState(false)
  const remote = useRef<Remote<DapApi> | null>(null)
  const asked = useRef(question)
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/dap.worker.ts', import.meta.url), { type: 'module' })
    remote.current = wrap<DapApi>(worker)
    return () => worker.terminate()
  }, [])
  useEffect(() => {
    // what was drawn on the server is the answer to the first question
    if (asked.current === question) return
    asked.current = question
    let isLatest = true
    setWorking(true)
    const settle = (found: DapAnswer | undefined) => {
      if (!isLatest) return
      if (found) setAnswer(found)
      setFailed(found === undefined)
      setWorking(false)
    }
    remote.current?.dap(question).then(settle, () => settle(undefined))
    return () => {
      isLatest = false
    }
  }, [question])
  return { answer, isWorking, isFailed }
}
