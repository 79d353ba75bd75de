/** Things that are joined at this moment, firmly or only lying together. */
export interface Link {
  readonly joint: string
  readonly things: readonly string[]
  readonly loose: boolean
}

/** What is known of a state of the links, worked out once. */
interface Known {
  /** What hangs together, by thing. */
  readonly groups: ReadonlyMap<string, ReadonlySet<string>>
  readonly asked: WeakMap<readonly string[], ReadonlySet<string>>
  /** The states that come of it by one more joint, so that the same joints in the same order are the same state. */
  readonly next: Map<string, readonly Link[]>
}

const KNOWN = new WeakMap<readonly Link[], Known>()

function knownOf(links: readonly Link[]): Known {
  const before = KNOWN.get(links)
  if (before) return before
  const groups = new Map<string, Set<string>>()
  for (const { things } of links) {
    const whole = new Set(things.flatMap((thing) => [thing, ...(groups.get(thing) ?? [])]))
    for (const thing of whole) groups.set(thing, whole)
  }
  const known: Known = { groups, asked: new WeakMap(), next: new Map() }
  KNOWN.set(links, known)
  return known
}

/** The links with one more; the same again for the same. */
export function withLink(links: readonly Link[], link: Link): readonly Link[] {
  const { next } = knownOf(links)
  const key = `${link.joint} ${link.loose}`
  const longer = next.get(key) ?? [...links, link]
  next.set(key, longer)
  return longer
}

/** Everything that hangs together with these things at this moment, themselves among it. */
export function attachedTo({ links }: { readonly links: readonly Link[] }, things: readonly string[]): ReadonlySet<string> {
  const { groups, asked } = knownOf(links)
  const before = asked.get(things)
  if (before) return before
  const all = new Set(things.flatMap((thing) => [...(groups.get(thing) ?? [thing])]))
  asked.set(things, all)
  return all
}
