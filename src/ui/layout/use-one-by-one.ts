'use client'
import { useEffect, useRef, useState } from 'react'

/** Looks at things one after another, and tells of each as it is done; a second asking, or leaving, ends the first. */
export function useOneByOne<T, R>(nameOf: (thing: T) => string, look: (thing: T, stop: AbortSignal) => Promise<R>) {
  const [done, setDone] = useState<readonly R[]>([])
  const [at, setAt] = useState<string>()
  const abort = useRef<AbortController>(undefined)
  useEffect(() => () => abort.current?.abort(), [])

  const lookAt = async (things: readonly T[]) => {
    abort.current?.abort()
    const stop = new AbortController()
    abort.current = stop
    setDone([])
    for (const thing of things) {
      setAt(nameOf(thing))
      const result = await look(thing, stop.signal)
      if (stop.signal.aborted) break
      setDone((before) => [...before, result])
    }
    if (abort.current === stop) setAt(undefined)
  }
  return { done, at, lookAt, stop: () => abort.current?.abort() }
}
