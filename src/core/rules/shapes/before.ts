import type { Act } from '../act'
import type { Breach, Watch } from '../breach'
import type { BeforeClause, Share } from '../row'
import { chosenBy, opsOf, readSelection, type Selection } from '../selection'
import { attachedTo, placeKey, type World } from '../world'
import { sharedThings } from './needs'
import type { Done, Walked } from './walked'

/** Tells of an earlier act whether it shares with this one what the rule is about. */
function sharerWith(world: World, share: Share, later: Act): (earlier: Act) => boolean {
  if (share === 'joint') return (earlier) => earlier.joints.some((joint) => later.joints.includes(joint))
  const own = sharedThings(world, share === 'attached' ? [...attachedTo(world, later.things)] : later.things)
  const isOwn = (earlier: Act) => earlier.things.some((thing) => own.has(thing))
  // where nothing was divided, things share only themselves
  const meets =
    world.from.size === 0
      ? isOwn
      : (earlier: Act) => isOwn(earlier) || later.things.some((thing) => sharedThings(world, earlier.things).has(thing))
  if (share === 'place') return (earlier) => earlier.place === later.place && meets(earlier)
  if (share === 'face') return (earlier) => earlier.face === later.face && meets(earlier)
  return meets
}

/** Acts done before that a selection names. */
function* namedBefore(world: World, walked: Walked, selection: Selection): Generator<Done> {
  for (const op of opsOf(selection)) for (const done of walked.byOp.get(op) ?? []) if (chosenBy(world, done.act, selection)) yield done
}

/** What an earlier act has to share with this one; of other steps alone, where asked. */
interface Sharing {
  readonly share: Share
  readonly act: Act
  readonly ofOthers?: boolean
}

/** The last act done before that a selection names and that shares with this one what the rule is about. */
export function lastBefore(
  world: World,
  walked: Walked,
  selection: Selection,
  { share, act, ofOthers = false }: Sharing,
): Done | undefined {
  let shares: ReturnType<typeof sharerWith> | undefined
  let last: Done | undefined
  for (const done of namedBefore(world, walked, selection)) {
    if ((last && done.fromMin <= last.fromMin) || (ofOthers && done.act.index === act.index)) continue
    shares ??= sharerWith(world, share, act)
    if (shares(done.act)) last = done
  }
  return last
}

interface Order {
  readonly first: Selection
  readonly next: Selection
  readonly mode: NonNullable<BeforeClause['mode']>
  readonly level: BeforeClause['level']
}

/** The step that should have come after this one, where it is there already. */
function tooEarly(world: World, act: Act, walked: Walked, share: Share, { first, next, mode }: Order): Done | undefined {
  if (mode === 'must' || !chosenBy(world, act, first)) return undefined
  return lastBefore(world, walked, next, { share, act, ofOthers: true })
}

/** Whether this step asks for another that was not done. */
function lacksFirst(world: World, act: Act, walked: Walked, share: Share, { first, next, mode }: Order): boolean {
  if (mode === 'order' || !chosenBy(world, act, next)) return false
  return lastBefore(world, walked, first, { share, act }) === undefined
}

/** Watches which operation comes before which. */
export function watchBefore(clauses: readonly BeforeClause[], share: Share): Watch {
  const read = clauses.map(
    ({ first, next, mode = 'order', level }): Order => ({ first: readSelection(first), next: readSelection(next), mode, level }),
  )
  return (world, act, walked) =>
    read.flatMap((order, clause): Breach[] => {
      const on = share === 'place' ? act.things.map((thing) => placeKey(thing, act.place)) : act.things
      const breach = { clause, on, ...(order.level ? { level: order.level } : {}) }
      const early = tooEarly(world, act, walked, share, order)
      return [...(early ? [{ ...breach, other: early.act.index }] : []), ...(lacksFirst(world, act, walked, share, order) ? [breach] : [])]
    })
}
