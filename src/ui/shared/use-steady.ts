import { useRef, useState } from 'react'

/** A function that stays the same for all that is drawn with it, and does what was given last. */
export function useSteady<Args extends unknown[], Result>(latest: (...args: Args) => Result): (...args: Args) => Result {
  const held = useRef(latest)
  held.current = latest
  const [steady] = useState(
    () =>
      (...args: Args) =>
        held.current(...args),
  )
  return steady
}
