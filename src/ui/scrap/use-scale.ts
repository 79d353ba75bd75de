'use client'
import { useNotice } from '../shared/notices'

/** When the stand-in was set to zero on this device. */
const ZEROED = 'fold-anvil-scale-zeroed'

function zeroedHere(): string {
  try {
    return localStorage.getItem(ZEROED) ?? ''
  } catch {
    return ''
  }
}

/** The stand-in for a scale: what it shows, as it is to be typed, and its zero. */
export function useScale() {
  const say = useNotice()
  return {
    /** What it shows of a thing of about so much, or of exactly so much; empty, and said so, where it is silent. */
    read: async (nearG: number, isExact = false): Promise<string> => {
      const asked = `near=${nearG}${isExact ? '&exact' : ''}&zeroed=${zeroedHere()}`
      const answer = await fetch(`/api/instruments/scale?${asked}`).catch(() => undefined)
      if (answer?.ok) return String(((await answer.json()) as { readonly massG: number }).massG)
      say({ text: 'The scale is not responding. Enter what it shows by hand.' })
      return ''
    },
    setZero: () => {
      try {
        localStorage.setItem(ZEROED, String(Date.now()))
        say({ text: 'The simulated scale is set to zero, its pan empty.' })
      } catch {
        say({ text: 'This device cannot keep its zero.' })
      }
    },
  }
}
