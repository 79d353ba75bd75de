import type { Act } from '../act'
import type { Watch } from '../breach'
import type { FallsClause } from '../row'
import { chosenBy, opsOf, readSelection, type Selection } from '../selection'
import type { World } from '../world'
import { sharedThings } from './needs'
import type { Walked } from './walked'

interface Falling {
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
function lastOn(world: World, walked: Walked, things: ReadonlySet<string>, falling: Falling): { act: Act; height: number } | undefined {
  for (let i = walked.done.length - 1; i >= 0; i--) {
    const act = walked.done[i]?.act
    if (!act?.things.some((thing) => things.has(thing))) continue
    if (falling.anew.has(act.op.id)) return undefined
    const height = heightOf(world, act, falling)
    if (height !== undefined) return { act, height }
  }
  return undefined
}

/** Watches a parameter that must not rise along successive steps on one thing. */
export function watchFalls(clauses: readonly FallsClause[]): Watch {
  const read = clauses.map(
    ({ param, of, words, anew }): Falling => ({
      param,
      words,
      selection: readSelection(of),
      anew: anew ? opsOf(readSelection(anew)) : new Set<string>(),
    }),
  )
  return (world, act, walked) =>
    read.flatMap((falling, clause) => {
      const height = heightOf(world, act, falling)
      const last = height === undefined ? undefined : lastOn(world, walked, sharedThings(world, act.things), falling)
      return height !== undefined && last && last.height < height ? [{ clause, other: last.act.index, on: act.things }] : []
    })
}
