import { startTransition, useEffect, useState } from 'react'

/** A value once what is drawn of it has been painted: what is worked out from this does not hold up the picture under the hand. */
export function usePainted<T>(value: T): T {
  const [painted, setPainted] = useState(value)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>
    const frame = requestAnimationFrame(() => {
      timer = setTimeout(() => startTransition(() => setPainted(() => value)))
    })
    return () => {
      cancelAnimationFrame(frame)
      clearTimeout(timer)
    }
  }, [value])
  return painted
}
