import type { AssemblyJoint } from '../assembly/assembly'

interface Named {
  readonly id: string
  readonly name?: string | undefined
}

/** What is named: parts, what goes on them, and joints. */
export interface NamedThings {
  readonly parts: readonly Named[]
  readonly others: readonly Named[]
  readonly joints: readonly Pick<AssemblyJoint, 'id' | 'kind' | 'members'>[]
}

const plain = ({ id, name }: Named) => (name || id.replaceAll('-', ' ')).toLowerCase()

function jointName({ kind, members }: NamedThings['joints'][number], names: ReadonlyMap<string, string>): string {
  const joined = [...new Set(members.map(({ thing }) => names.get(thing) ?? thing))]
  const [first = 'it'] = joined
  return joined.length > 1 ? joined.join(' on ') : `${first} ${kind === 'seam' ? 'seam' : kind}`
}

/** How everything of a piece is called by a smith: a part by its name, a joint by what it joins. */
export function thingNames({ parts, others, joints }: NamedThings): ReadonlyMap<string, string> {
  const names = new Map([...parts, ...others].map((thing) => [thing.id, plain(thing)] as const))
  return new Map([...names, ...joints.map((joint) => [joint.id, jointName(joint, names)] as const), ['piece', 'the whole piece']])
}

/** Says what a step is done to, by name; nothing where a piece has only one thing. */
export function namerOf(things: NamedThings): (on: readonly { readonly thing: string }[]) => string {
  if (things.parts.length + things.others.length < 2) return () => ''
  const names = thingNames(things)
  return (on) => on.map(({ thing }) => names.get(thing) ?? thing).join(', ')
}
