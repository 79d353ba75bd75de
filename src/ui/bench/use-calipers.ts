'use client'
import { useEffect, useState } from 'react'

export interface LiveReading {
  readonly valueMm: number
  readonly steady: boolean
  readonly instrument: string
  readonly title: string
}

/** The calipers' live figure while a size is wanted; null while they are silent. */
export function useCalipers(nearMm: number | null, key: string): LiveReading | null {
  const [reading, setReading] = useState<LiveReading | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new workpiece opens the jaws again
  useEffect(() => {
    setReading(null)
    if (nearMm === null) return
    const source = new EventSource(`/api/instruments/calipers?near=${nearMm}`)
    source.onmessage = (event) => setReading(JSON.parse(event.data) as LiveReading)
    return () => source.close()
  }, [nearMm, key])
  return reading
}
