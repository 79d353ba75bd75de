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

type Doings = Readonly<Record<string, (...args: never[]) => unknown>>

/** Several functions in one thing that stays the same, each doing what was given last. */
export function useSteadyAll<Fns extends Doings>(latest: Fns): Fns {
  const held = useRef(latest)
  held.current = latest
  const [steady] = useState(
    () => Object.fromEntries(Object.keys(latest).map((name) => [name, (...args: never[]) => held.current[name]?.(...args)])) as Fns,
  )
  return steady
}
