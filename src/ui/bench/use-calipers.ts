'use client'
import { useEffect, useState } from 'react'

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

const ZEROED = 'fold-anvil-calipers-zeroed'

/** When the stand-in was set to zero on this device; empty where it was not. */
function zeroedHere(): string {
  try {
    return localStorage.getItem(ZEROED) ?? ''
  } catch {
    return ''
  }
}

/** Sets the stand-in to zero, its jaws closed; false where this device keeps nothing. */
export function setZeroHere(): boolean {
  try {
    localStorage.setItem(ZEROED, String(Date.now()))
    return true
  } catch {
    return false
  }
}

/** The calipers' live figure while a size is wanted; null while they are silent. */
export function useCalipers(jaws: InJaws | null, key: string): LiveReading | null {
  const asked = jaws && `near=${jaws.nearMm}${jaws.isExact ? '&exact' : ''}`
  const [reading, setReading] = useState<LiveReading | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new workpiece opens the jaws again
  useEffect(() => {
    setReading(null)
    if (asked === null) return
    const source = new EventSource(`/api/instruments/calipers?${asked}&zeroed=${zeroedHere()}`)
    source.onmessage = (event) => setReading(JSON.parse(event.data) as LiveReading)
    return () => source.close()
  }, [asked, key, jaws?.zeroed])
  return reading
}
