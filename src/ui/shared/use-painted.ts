import { startTransition, useEffect, useRef, useState } from 'react'

/**
 * A value once what is drawn of it has been painted: what is worked out from this does not hold up the picture under the hand. Of values that
 * follow one another quickly, as in a drag, the newest is taken with each frame.
 */
export function usePainted<T>(value: T): T {
  const [painted, setPainted] = useState(value)
  const latest = useRef(value)
  const isWaiting = useRef(false)
  useEffect(() => {
    latest.current = value
    if (isWaiting.current) return
    isWaiting.current = true
    requestAnimationFrame(() => {
      setTimeout(() => {
        isWaiting.current = false
        startTransition(() => setPainted(() => latest.current))
      })
    })
  }, [value])
  return painted
}
