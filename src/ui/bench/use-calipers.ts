'use client'
import { useEffect, useState } from 'react'
import { zeroedAt } from '../shared/stand-in-zero'

export interface LiveReading {
  readonly valueMm: number
  readonly steady: boolean
  readonly instrument: string
  readonly title: string
}

/** What is between the jaws as far as the page knows: a piece about so large, or the check piece. */
export interface InJaws {
  readonly nearMm: number
  readonly isExact: boolean
  /** How often the stand-in was set to zero here: each time it is read anew. */
  readonly zeroed: number
}

/** The calipers' live figure while a size is wanted; null while they are silent. */
export function useCalipers(jaws: InJaws | null, key: string): LiveReading | null {
  const asked = jaws && `near=${jaws.nearMm}${jaws.isExact ? '&exact' : ''}`
  const [reading, setReading] = useState<LiveReading | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new workpiece opens the jaws again
  useEffect(() => {
    setReading(null)
    if (asked === null) return
    const source = new EventSource(`/api/instruments/calipers?${asked}&zeroed=${zeroedAt('calipers')}`)
    source.onmessage = (event) => setReading(JSON.parse(event.data) as LiveReading)
    return () => source.close()
  }, [asked, key, jaws?.zeroed])
  return reading
}
