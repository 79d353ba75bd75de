import { HOT_JOINTS } from '../../assembly/assembly'
import { type Asked, readAsked, readClauses } from '../../operations/notation/effect'
import { askedOfThings, thingsFor } from '../act'
import type { Act } from '../acted'
import { type Check, NONE, type Watch } from '../breach'
import { attachedTo } from '../links'
import type { NeedsClause } from '../row'
import { chosenBy, readSelection } from '../selection'
import { factOf, isMetal, jointKey, jointsWithin, namesIn, placeKey, thingsOf, type World, withForebears } from '../world'

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

/** Of these it is always the same that is asked, whatever was done before. */
const STEADY: ReadonlySet<Of> = new Set(['joint', 'seams', 'place', 'jig', 'template', 'file', 'bath'])

/** What is asked, by the key of its facts. */
function askedOf(world: World, act: Act, of: Of, things: readonly string[]): Iterable<string> {
  switch (of) {
    case 'things':
      return things.filter((thing) => world.facts.has(thing))
    case 'attached':
      return attachedTo(world, things)
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

/** Those that lack something that is asked. */
function lacking(world: World, keys: Iterable<string>, asked: readonly Asked[]): string[] {
  const on: string[] = []
  for (const key of keys) if (asked.some((item) => lacks(world, key, item))) on.push(key)
  return on
}

/** Watches a state that an operation asks for just before it is done. */
export function watchNeeds(clauses: readonly NeedsClause[]): Watch {
  const read = clauses.map(({ asks, of, fixed }, clause) => ({ ...readAsks(asks), fixed, clause, selection: readSelection(of) }))
  return (world, act) =>
    read.flatMap(({ of, asked, fixed, clause, selection }): Check[] => {
      const when = chosenBy(world, act, selection)
      if (!when) return []
      const metalAlone = of === 'things' && !when.some((condition) => condition.name === 'other')
      const things = metalAlone ? act.things.filter((thing) => isAsked(world, act, thing)) : act.things
      const asksOf = askedOfThings(when)
      const steady = STEADY.has(of) && asksOf.length === 0 ? [...askedOf(world, act, of, things)] : undefined
      return [
        (now) => {
          const on = lacking(now, steady ?? askedOf(now, act, of, thingsFor(now, things, asksOf)), asked)
          return on.length > 0 ? [{ clause, on, ...(fixed ? { fixed } : {}) }] : NONE
        },
      ]
    })
}

/** A step on a joint asks its metal alone; one on a thing asks that thing, whatever it is. */
function isAsked(world: World, { joints }: Act, thing: string): boolean {
  return joints.length === 0 || isMetal(world, thing)
}

/** Things, and what they were divided from: whose history is theirs. */
export function sharedThings(world: World, things: readonly string[]): readonly string[] {
  return world.from.size === 0 ? things : things.flatMap((thing) => withForebears(world, thing))
}
