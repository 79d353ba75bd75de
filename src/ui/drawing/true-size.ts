'use client'
import { useSyncExternalStore } from 'react'

const STORE = 'fold-anvil-px-per-mm'
/** What a browser takes a millimetre to be: 96 px to the inch (CSS, "absolute lengths"). */
export const USUAL_PX_PER_MM = 96 / 25.4
const listeners = new Set<() => void>()

function read(): number {
  try {
    const kept = Number(localStorage.getItem(STORE))
    return kept > 0.5 && kept < 60 ? kept : USUAL_PX_PER_MM
  } catch {
    return USUAL_PX_PER_MM
  }
}

/** Keeps how many px of this screen a millimetre is, as it was measured with a card. */
export function keepPxPerMm(pxPerMm: number): void {
  try {
    localStorage.setItem(STORE, String(pxPerMm))
  } catch {
    // a browser that keeps nothing shows things at its own millimetre
  }
  for (const listener of listeners) listener()
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** How many px of this screen a millimetre is: as measured once, else as browsers have it. */
export function usePxPerMm(): number {
  return useSyncExternalStore(subscribe, read, () => USUAL_PX_PER_MM)
}
