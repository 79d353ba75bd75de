import { HOT_JOINTS } from '../../assembly/assembly'
import { type Asked, readAsked, readClauses } from '../../operations/notation/effect'
import { type Act, thingsFor } from '../act'
import type { Breach, Watch } from '../breach'
import type { NeedsClause } from '../row'
import { chosenBy, readSelection } from '../selection'
import { attachedTo, factOf, isMetal, jointKey, jointsWithin, namesIn, placeKey, thingsOf, type World, withForebears } from '../world'

type Of = 'things' | 'attached' | 'joint' | 'joints' | 'seams' | 'place' | 'jig' | 'template' | 'file' | 'bath' | 'first'
const OF: readonly Of[] = ['things', 'attached', 'joint', 'joints', 'seams', 'place', 'jig', 'template', 'file', 'bath', 'first']

/** Reads what a rule asks for: of what, and which facts. Throws `InvariantError`. */
export function readAsks(text: string): { readonly of: Of; readonly asked: readonly Asked[] } {
  const [clause] = readClauses(text, OF, 'things')
  return { of: clause?.scope ?? 'things', asked: readAsked(clause?.items ?? []) }
}

/** Of an applied part that goes on something curved: the part. */
function smallOn(world: World, { joints }: Act): string[] {
  return joints.flatMap((joint) => {
    const [small, ...others] = thingsOf(joint)
    const isCurved = others.some((thing) => factOf(world, thing, 'formed') === true)
    return small !== undefined && isCurved ? [small] : []
  })
}

/** What is asked, by the key of its facts. */
function askedOf(world: World, act: Act, of: Of, things: readonly string[]): string[] {
  switch (of) {
    case 'things':
      return things.filter((thing) => world.facts.has(thing))
    case 'attached':
      return [...attachedTo(world, things)]
    case 'joint':
      return act.joints.map((joint) => jointKey(joint.id))
    case 'joints':
      return jointsWithin(world, attachedTo(world, things))
        .filter((joint) => HOT_JOINTS.includes(joint.kind))
        .map((joint) => jointKey(joint.id))
    case 'seams':
      return [...world.joints.values()]
        .filter((joint) => joint.kind === 'seam' && thingsOf(joint).some((thing) => things.includes(thing)))
        .map((joint) => jointKey(joint.id))
    case 'place':
      return things.map((thing) => placeKey(thing, act.place))
    case 'jig':
      return act.joints.flatMap((joint) => joint.jig ?? [])
    case 'template':
      return namesIn(act.params.from)
    case 'file':
      return namesIn(act.params.tool)
    case 'bath':
      return namesIn(act.params.bath)
    case 'first':
      return smallOn(world, act)
  }
}

function lacks(world: World, key: string, { fact, is }: Asked): boolean {
  const value = factOf(world, key, fact)
  return typeof is === 'object' ? Number(value) > is.most : value !== is
}

/** Watches a state that an operation asks for just before it is done. */
export function watchNeeds(clauses: readonly NeedsClause[]): Watch {
  const read = clauses.map(({ asks, of, fixed }) => ({ ...readAsks(asks), fixed, selection: readSelection(of) }))
  return (world, act) =>
    read.flatMap(({ of, asked, fixed, selection }, clause): Breach[] => {
      const when = chosenBy(world, act, selection)
      if (!when) return []
      const things = thingsFor(world, act.things, when)
      const metalAlone = of === 'things' && !when.some((condition) => condition.name === 'other')
      const keys = askedOf(world, act, of, metalAlone ? things.filter((thing) => isAsked(world, act, thing)) : things)
      const on = keys.filter((key) => asked.some((item) => lacks(world, key, item)))
      return on.length > 0 ? [{ clause, on, ...(fixed ? { fixed } : {}) }] : []
    })
}

/** A step on a joint asks its metal alone; one on a thing asks that thing, whatever it is. */
function isAsked(world: World, { joints }: Act, thing: string): boolean {
  return joints.length === 0 || isMetal(world, thing)
}

/** A thing’s own history and that of what it was divided from. */
export function sharedThings(world: World, things: readonly string[]): Set<string> {
  return new Set(world.from.size === 0 ? things : things.flatMap((thing) => withForebears(world, thing)))
}
