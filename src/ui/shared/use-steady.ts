import { useRef, useState } from 'react'

type Doings = Readonly<Record<string, (...args: never[]) => unknown>>

/** Functions in one thing that stays the same for all that is drawn with it, each doing what was given last. */
export function useSteadyAll<Fns extends Doings>(latest: Fns): Fns {
  const held = useRef(latest)
  held.current = latest
  const [steady] = useState(
    () => Object.fromEntries(Object.keys(latest).map((name) => [name, (...args: never[]) => held.current[name]?.(...args)])) as Fns,
  )
  return steady
}
