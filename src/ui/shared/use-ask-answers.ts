'use client'
import { useCallback, useState } from 'react'

type AskAnswers = typeof import('./ask-answers')

let brought: AskAnswers | undefined

/** What answers the ask line is most of the program, and most pages are left unasked: it is brought when hand or focus comes near. */
export function useAskAnswers() {
  const [answers, setAnswers] = useState(brought)
  const [failed, setFailed] = useState(false)
  /** Undefined where the program cannot be reached; the next touch tries again. */
  const bringAnswers = useCallback(async () => {
    brought ??= await import('./ask-answers').catch(() => undefined)
    setAnswers(brought)
    setFailed(brought === undefined)
    return brought
  }, [])
  return { answers, failed, bringAnswers }
}
