import type { Act } from '../acted'
import { type Breach, type Check, NONE, type Watch } from '../breach'
import { attachedTo } from '../links'
import type { BeforeClause, Share } from '../row'
import { chosenBy, readSelection, type Selection } from '../selection'
import { placeKey, type World } from '../world'
import { sharedThings } from './needs'
import type { Done, Walked } from './walked'

/** Tells of an earlier act whether it shares with this one what the rule is about. */
function sharerWith(world: World, share: Share, later: Act): (earlier: Act) => boolean {
  if (share === 'joint') return (earlier) => earlier.joints.some((joint) => later.joints.includes(joint))
  const own = sharedThings(world, share === 'attached' ? [...attachedTo(world, later.things)] : later.things)
  const isOwn = (earlier: Act) => earlier.things.some((thing) => own.includes(thing))
  // where nothing was divided, things share only themselves
  const meets =
    world.from.size === 0
      ? isOwn
      : (earlier: Act) => isOwn(earlier) || later.things.some((thing) => sharedThings(world, earlier.things).includes(thing))
  if (share === 'place') return (earlier) => earlier.place === later.place && meets(earlier)
  if (share === 'face') return (earlier) => earlier.face === later.face && meets(earlier)
  return meets
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
  for (const op of selection.ops)
    for (let done = walked.lastOf.get(op); done && !(last && done.fromMin <= last.fromMin); done = done.sameBefore) {
      if (!chosenBy(world, done.act, selection) || (ofOthers && done.act.index === act.index)) continue
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
  readonly clause: number
}

function breachOf({ things, place }: Act, share: Share, { clause, level }: Order): Breach {
  const on = share === 'place' ? things.map((thing) => placeKey(thing, place)) : things
  return { clause, on, ...(level ? { level } : {}) }
}

/** The step that should have come after this one is there already. */
function tooEarly(act: Act, share: Share, order: Order): Check {
  return (world, walked) => {
    const early = lastBefore(world, walked, order.next, { share, act, ofOthers: true })
    return early ? [{ ...breachOf(act, share, order), other: early.act.index }] : NONE
  }
}

/** This step asks for another that was not done. */
function lacksFirst(act: Act, share: Share, order: Order): Check {
  return (world, walked) => (lastBefore(world, walked, order.first, { share, act }) ? NONE : [breachOf(act, share, order)])
}

/** Watches which operation comes before which. */
export function watchBefore(clauses: readonly BeforeClause[], share: Share): Watch {
  const read = clauses.map(
    ({ first, next, mode = 'order', level }, clause): Order => ({
      first: readSelection(first),
      next: readSelection(next),
      mode,
      level,
      clause,
    }),
  )
  return (world, act) =>
    read.flatMap((order): Check[] => {
      const isFirst = order.mode !== 'must' && chosenBy(world, act, order.first) !== undefined
      const isNext = order.mode !== 'order' && chosenBy(world, act, order.next) !== undefined
      return [...(isFirst ? [tooEarly(act, share, order)] : []), ...(isNext ? [lacksFirst(act, share, order)] : [])]
    })
}
