'use client'
import { temporal } from 'zundo'
import { createStore } from 'zustand/vanilla'

/** Changes closer together than this are one step back: a drag, or an arrow key that is held. */
const ONE_STEP_MS = 500
/** So many steps back are kept. */
const STEPS = 200

/** A thing under the hands with its history: what is set can be taken back and done again. */
export function createHistory<T extends object>(first: T, now: () => number = () => performance.now()) {
  let lastAt = Number.NEGATIVE_INFINITY
  return createStore<T>()(
    temporal(() => first, {
      limit: STEPS,
      handleSet: (handle) => (before) => {
        const at = now()
        if (at - lastAt > ONE_STEP_MS) handle(before)
        lastAt = at
      },
    }),
  )
}
