import type { Assembly } from '../assembly/assembly'
import { findOperation } from '../operations/catalogue'
import { attachedTo, type Link } from '../rules/links'
import { walkedOnce } from '../rules/walked-route'
import { namesIn } from '../rules/world'

/** What a step of the route does to the strands: which it touches, and which run together once it is done. */
export interface StrandStep {
  /** Things the step is done to. */
  readonly on: readonly string[]
  /** Things that hang together after it, each group in the order of the strands; a thing by itself is a group of its own. */
  readonly groups: readonly (readonly string[])[]
  /** How it joins, where it joins strands. */
  readonly joins: 'hot' | 'cold' | undefined
}

export interface Strands {
  /** Parts and others, in the order they are drawn: those that belong together beside each other. */
  readonly things: readonly string[]
  readonly steps: readonly StrandStep[]
  /** Parts that a step divides off another, which ends there. */
  readonly divided: readonly { readonly thing: string; readonly of: string; readonly step: number }[]
}

/** Parts and others that a step or a joint names, parts first. */
function thingsOf({ parts, others, steps, joints }: Assembly): string[] {
  const named = new Set([
    ...steps.flatMap(({ on }) => on.map(({ thing }) => thing)),
    ...joints.flatMap(({ members }) => members.map(({ thing }) => thing)),
  ])
  const ids = [...parts, ...others.filter(({ id }) => named.has(id))].map(({ id }) => id)
  return ids.length > 0 ? ids : parts.map(({ id }) => id)
}

function groupsOf(links: readonly Link[], things: readonly string[]): string[][] {
  const left = new Set(things)
  return things.flatMap((thing) => {
    if (!left.has(thing)) return []
    const attached = attachedTo({ links }, [thing])
    const group = things.filter((other) => other === thing || (attached.has(other) && left.has(other)))
    for (const one of group) left.delete(one)
    return [group]
  })
}

/** The strands of a route: one for each part and for what goes on it, which run together where they are joined. */
export function strandsOf(assembly: Assembly): Strands {
  const things = thingsOf(assembly)
  const joinedTo = new Map(assembly.joints.map(({ id, members }) => [id, members.map(({ thing }) => thing)]))
  const linksAfter = new Map(walkedOnce(assembly).map(({ index, links }) => [index, links]))
  let joined: readonly Link[] = []
  let groups = groupsOf(joined, things)
  const steps = assembly.steps.map((step, i): StrandStep => {
    const before = groups.length
    const links = linksAfter.get(i) ?? joined
    if (links !== joined) groups = groupsOf(links, things)
    joined = links
    const on = step.on.flatMap(({ thing }) => (thing === 'piece' ? things : (joinedTo.get(thing) ?? [thing])))
    const joins = findOperation(step.op)?.joins === 'hot' ? 'hot' : 'cold'
    return { on: [...new Set(on)].filter((thing) => things.includes(thing)), groups, joins: groups.length < before ? joins : undefined }
  })
  const divided = assembly.steps.flatMap(({ on, params }, step) =>
    namesIn(params.into).flatMap((thing) => {
      const of = on[0]?.thing
      return of !== undefined && things.includes(thing) && things.includes(of) ? [{ thing, of, step }] : []
    }),
  )
  return { things, steps, divided }
}
