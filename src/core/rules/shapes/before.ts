import type { Act } from '../act'
import type { Breach, Watch } from '../breach'
import type { BeforeClause, Share } from '../row'
import { chosenBy, opsOf, readSelection, type Selection } from '../selection'
import { attachedTo, placeKey, type World } from '../world'
import { sharedThings } from './needs'
import type { Done, Walked } from './walked'

/** Whether an earlier act shares with a later one what the rule is about. */
export function sharesWith(world: World, share: Share, earlier: Act, later: Act): boolean {
  if (share === 'joint') return earlier.joints.some((joint) => later.joints.includes(joint))
  const mine = share === 'attached' ? attachedTo(world, later.things) : new Set(later.things)
  const own = sharedThings(world, [...mine])
  const meets =
    earlier.things.some((thing) => own.has(thing)) || later.things.some((thing) => sharedThings(world, earlier.things).has(thing))
  if (!meets) return false
  if (share === 'place') return earlier.place === later.place
  return share !== 'face' || earlier.face === later.face
}

/** Acts done before that a selection names, the latest first. */
export function doneBefore(world: World, walked: Walked, selection: Selection): Done[] {
  return [...opsOf(selection)]
    .flatMap((op) => walked.byOp.get(op) ?? [])
    .filter(({ act }) => chosenBy(world, act, selection) !== undefined)
    .sort((a, b) => b.fromMin - a.fromMin)
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
  return doneBefore(world, walked, next).find((done) => done.act.index !== act.index && sharesWith(world, share, done.act, act))
}

/** Whether this step asks for another that was not done. */
function lacksFirst(world: World, act: Act, walked: Walked, share: Share, { first, next, mode }: Order): boolean {
  if (mode === 'order' || !chosenBy(world, act, next)) return false
  return !doneBefore(world, walked, first).some((done) => sharesWith(world, share, done.act, act))
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
