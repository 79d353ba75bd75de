'use client'
import { useNotice } from '../shared/notices'
import { setToZero, zeroedAt } from '../shared/stand-in-zero'

/** The stand-in for a scale: what it shows, as it is to be typed, and its zero. */
export function useScale() {
  const say = useNotice()
  return {
    /** What it shows of a thing of about so much, or of exactly so much; empty, and said so, where it is silent. */
    read: async (nearG: number, isExact = false): Promise<string> => {
      const asked = `near=${nearG}${isExact ? '&exact' : ''}&zeroed=${zeroedAt('scale')}`
      const answer = await fetch(`/api/instruments/scale?${asked}`).catch(() => undefined)
      if (answer?.ok) return String(((await answer.json()) as { readonly massG: number }).massG)
      say({ text: 'The scale is not responding. Enter what it shows by hand.' })
      return ''
    },
    setZero: () =>
      say({ text: setToZero('scale') ? 'The simulated scale is set to zero, its pan empty.' : 'This device cannot keep its zero.' }),
  }
}
