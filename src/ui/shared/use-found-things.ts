'use client'
import { useEffect, useState } from 'react'
import type { FoundThing } from '@/server/services/find-things'
import { useWorkshop } from './workshop-context'

/** It is looked for so long after the last letter, so that typing never waits. */
const PAUSE_MS = 120

/** What the workshop has by the words that are being typed; without words what was worked on last, once it is asked for. */
export function useFoundThings(text: string, wanted: boolean): readonly FoundThing[] {
  const { uid } = useWorkshop()
  const [found, setFound] = useState<readonly FoundThing[]>([])
  useEffect(() => {
    const length = text.trim().length
    if (length === 1) return setFound([])
    if (!wanted) return
    const left = new AbortController()
    const timer = setTimeout(
      async () => {
        try {
          const answer = await fetch(`/api/find?of=${uid}&q=${encodeURIComponent(text)}`, { signal: left.signal })
          if (answer.ok) setFound((await answer.json()) as FoundThing[])
        } catch {
          // typing went on, or the program is out of reach: what was found before stays
        }
      },
      length === 0 ? 0 : PAUSE_MS,
    )
    return () => {
      clearTimeout(timer)
      left.abort()
    }
  }, [text, uid, wanted])
  return found
}
