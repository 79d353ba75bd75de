'use client'
import { type Remote, wrap } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { ScheduleAnswer, ScheduleInput } from '@/core/schedule'
import type { DayApi } from '@/workers/day.worker'

/** A plan with the question it answers: what is asked next has steps of its own. */
export interface DayPlan<Q> {
  readonly question: Q
  readonly answer: ScheduleAnswer
}

interface Planned<Q> {
  readonly plan: DayPlan<Q> | null
  readonly isWorking: boolean
  readonly isFailed: boolean
}

/** The plan of a day, worked out beside the page; while the next is, the last one stands. */
export function useDay<Q extends { readonly input: ScheduleInput | null }>(question: Q): Planned<Q> {
  const [plan, setPlan] = useState<DayPlan<Q> | null>(null)
  const [isWorking, setWorking] = useState(false)
  const [isFailed, setFailed] = useState(false)
  const newest = useRef('')
  useEffect(() => {
    const { input } = question
    const asked = JSON.stringify(question)
    if (input === null || newest.current === asked) return
    newest.current = asked
    const worker = new Worker(new URL('../../workers/day.worker.ts', import.meta.url), { type: 'module' })
    const remote: Remote<DayApi> = wrap<DayApi>(worker)
    setWorking(true)
    const settle = (answer: ScheduleAnswer | undefined) => {
      worker.terminate()
      if (newest.current !== asked) return
      setWorking(false)
      setFailed(answer === undefined)
      if (answer) setPlan({ question, answer })
    }
    worker.onerror = () => settle(undefined)
    remote.plan(input).then(settle, () => settle(undefined))
  }, [question])
  return { plan, isWorking, isFailed }
}
