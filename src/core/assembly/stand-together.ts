import { outOf, type Place, type Vector } from '../drawing/place'
import { AS_MADE, frameAt, type Pose, type Stand, standOn } from '../drawing/solid/stand'

/** A part as it is drawn with others: its places. */
export interface StandingPart {
  readonly id: string
  readonly places: readonly Place[]
}

/** A joint as it is drawn: which place stands on which, and how. */
export interface StandingJoint {
  readonly id: string
  readonly small: { readonly thing: string; readonly place: string }
  readonly target: { readonly thing: string; readonly place: string }
  readonly pose?: Pose
}

/** Where each part stands in the assembly; parts that no joint puts anywhere stand as they are made. */
export interface Standing {
  readonly stands: ReadonlyMap<string, Stand>
  /** Joints that could not be drawn: a place that is not there, or a part that another joint has put elsewhere already. */
  readonly undrawn: readonly string[]
}

function placeOf(parts: readonly StandingPart[], { thing, place }: StandingJoint['small']): Place | undefined {
  return parts.find(({ id }) => id === thing)?.places.find(({ id }) => id === place)
}

/** A stand moved along a direction. */
export const along = (stand: Stand, direction: Vector, mm: number): Stand => ({
  ...stand,
  shift: [stand.shift[0] + direction[0] * mm, stand.shift[1] + direction[1] * mm, stand.shift[2] + direction[2] * mm],
})

/**
 * Stands the parts of an assembly on one another by the places of their joints: the first member of a joint on the second. `apartMm` draws
 * them exploded, each so far off what it stands on.
 */
export function standTogether(parts: readonly StandingPart[], joints: readonly StandingJoint[], apartMm = 0): Standing {
  const stands = new Map<string, Stand>()
  const smalls = new Set(joints.map(({ small }) => small.thing))
  for (const { id } of parts) if (!smalls.has(id)) stands.set(id, AS_MADE)
  const left = [...joints]
  const undrawn: string[] = []
  while (left.length > 0) {
    const at = left.findIndex(({ target, small }) => stands.has(target.thing) && !stands.has(small.thing))
    const [joint] = left.splice(Math.max(0, at), 1)
    if (!joint) break
    const [own, on] = [placeOf(parts, joint.small), placeOf(parts, joint.target)]
    const base = stands.get(joint.target.thing)
    if (at < 0 || !own || !on || !base) {
      undrawn.push(joint.id)
      continue
    }
    const target = frameAt(base, on.finishedFrame)
    const stand = standOn(own.finishedFrame, target, joint.pose)
    stands.set(joint.small.thing, along(stand, outOf(target), apartMm))
  }
  for (const { id } of parts) if (!stands.has(id)) stands.set(id, AS_MADE)
  return { stands, undrawn }
}
