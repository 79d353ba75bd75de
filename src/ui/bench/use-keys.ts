'use client'
import { useEffect } from 'react'

type Keys = Readonly<Record<string, (() => void) | undefined>>

/** Whether a key belongs to what has the focus: letters to a box, Space and Enter to a button, chords to the browser. */
function isTheirs({ target, key, repeat, ctrlKey, metaKey, altKey }: KeyboardEvent): boolean {
  if (ctrlKey || metaKey || altKey) return true
  if (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) return key !== 'Escape'
  return target instanceof HTMLButtonElement && (key === ' ' || key === 'Enter') && !repeat
}

/** Keys of the bench; none of them repeats while it is held, and none but Esc works while something is being typed. */
export function useKeys(actions: Keys): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase()
      const action = !isTheirs(event) && Object.hasOwn(actions, key) ? actions[key] : undefined
      if (!action) return
      event.preventDefault()
      if (!event.repeat) action()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [actions])
}
