'use client'
import { useCallback, useEffect, useState } from 'react'
import type { FoundThing } from '@/server/services/find-things'
import { useWorkshop } from './workshop-context'

/** It is looked for so long after the last letter, so that typing never waits. */
const PAUSE_MS = 120

/** What was found, and by which words. */
interface Found {
  readonly by: string
  readonly things: readonly FoundThing[]
}
const NONE: Found = { by: '', things: [] }

/** Asks the program what the workshop has by some words; undefined where it gives no answer. */
async function find(of: string, words: string, signal?: AbortSignal): Promise<Found | undefined> {
  try {
    const answer = await fetch(`/api/find?of=${of}&q=${encodeURIComponent(words)}`, signal ? { signal } : {})
    return answer.ok ? { by: words, things: (await answer.json()) as FoundThing[] } : undefined
  } catch {
    // typing went on, or the program is out of reach: what was found before stays
    return undefined
  }
}

/**
 * What the workshop has by the words that are being typed; without words what was worked on last, once it is asked for. `thingsNow` waits for
 * what is found by the very words that stand there, for a hand that is quicker than the answer.
 */
export function useFoundThings(text: string, wanted: boolean) {
  const { uid } = useWorkshop()
  const [found, setFound] = useState(NONE)
  useEffect(() => {
    const length = text.trim().length
    if (length === 1) return setFound({ by: text, things: [] })
    if (!wanted) return
    const left = new AbortController()
    const timer = setTimeout(
      async () => setFound((await find(uid, text, left.signal)) ?? ((before) => before)),
      length === 0 ? 0 : PAUSE_MS,
    )
    return () => {
      clearTimeout(timer)
      left.abort()
    }
  }, [text, uid, wanted])
  const thingsNow = useCallback(
    async (words: string) => (found.by === words ? found : ((await find(uid, words)) ?? NONE)).things,
    [found, uid],
  )
  return { things: found.things, thingsNow }
}
