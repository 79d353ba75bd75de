import type { Act } from '../acted'
import { type Check, NONE, type Watch } from '../breach'
import type { FallsClause } from '../row'
import { chosenBy, readSelection, type Selection } from '../selection'
import type { World } from '../world'
import { sharedThings } from './needs'
import type { Walked } from './walked'

interface Falling {
  readonly clause: number
  readonly param: string
  readonly words: readonly string[] | undefined
  readonly selection: Selection
  readonly anew: ReadonlySet<string>
}

/** How high an act stands: its number, or the place of its word in the order from the last to the first; undefined where it has none. */
function heightOf(world: World, act: Act, { param, words, selection }: Falling): number | undefined {
  const value = chosenBy(world, act, selection) ? act.params[param] : undefined
  if (!words) return typeof value === 'number' ? value : undefined
  const at = words.indexOf(String(value))
  return at < 0 ? undefined : words.length - at
}

/** The last act on the same things that has a height, unless it has started anew since. */
function lastOn(world: World, walked: Walked, things: readonly string[], falling: Falling): { act: Act; height: number } | undefined {
  for (let { last: done } = walked; done; done = done.before) {
    const { act } = done
    if (!act.things.some((thing) => things.includes(thing))) continue
    if (falling.anew.has(act.op.id)) return undefined
    const height = heightOf(world, act, falling)
    if (height !== undefined) return { act, height }
  }
  return undefined
}

/** Watches a parameter that must not rise along successive steps on one thing. */
export function watchFalls(clauses: readonly FallsClause[]): Watch {
  const read = clauses.map(
    ({ param, of, words, anew }, clause): Falling => ({
      clause,
      param,
      words,
      selection: readSelection(of),
      anew: anew ? readSelection(anew).ops : new Set<string>(),
    }),
  )
  return (world, act) =>
    read.flatMap((falling): Check[] => {
      const height = heightOf(world, act, falling)
      if (height === undefined) return []
      return [
        (now, walked) => {
          const last = lastOn(now, walked, sharedThings(now, act.things), falling)
          return last && last.height < height ? [{ clause: falling.clause, other: last.act.index, on: act.things }] : NONE
        },
      ]
    })
}
