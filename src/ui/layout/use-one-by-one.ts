'use client'
import { useEffect, useRef, useState } from 'react'

/** Looks at things one after another, and tells of each as it is done, or that it failed; a second asking, or leaving, ends the first. */
export function useOneByOne<T, R>(nameOf: (thing: T) => string, look: (thing: T, stop: AbortSignal) => Promise<R>) {
  const [done, setDone] = useState<readonly R[]>([])
  /** Names of what could not be looked at. */
  const [failed, setFailed] = useState<readonly string[]>([])
  const [at, setAt] = useState<string>()
  const abort = useRef<AbortController>(undefined)
  useEffect(() => () => abort.current?.abort(), [])

  const lookAt = async (things: readonly T[]) => {
    abort.current?.abort()
    const stop = new AbortController()
    abort.current = stop
    setDone([])
    setFailed([])
    for (const thing of things) {
      setAt(nameOf(thing))
      try {
        const result = await look(thing, stop.signal)
        if (stop.signal.aborted) break
        setDone((before) => [...before, result])
      } catch {
        setFailed((before) => [...before, nameOf(thing)])
      }
    }
    if (abort.current === stop) setAt(undefined)
  }
  return { done, failed, at, lookAt, stop: () => abort.current?.abort() }
}
