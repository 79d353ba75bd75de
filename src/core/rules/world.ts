import type { Assembly, AssemblyJoint, AssemblyOther, AssemblyPart, OtherKind } from '../assembly/assembly'
import { schoolsWith } from '../assembly/schools'
import { takenTemper } from '../metals/tempers'
import { type Fact, type FactValue, TRUE_AT_START } from '../operations/notation/facts'

/** Things that are joined at this moment, firmly or only lying together. */
interface Link {
  readonly joint: string
  readonly things: readonly string[]
  readonly loose: boolean
}

/** The state of an assembly while its route is walked: facts of every thing, joint and place, and what hangs together. */
export interface World {
  readonly parts: ReadonlyMap<string, AssemblyPart>
  readonly others: ReadonlyMap<string, AssemblyOther>
  readonly joints: ReadonlyMap<string, AssemblyJoint>
  readonly schools: Readonly<Record<string, string>>
  readonly facts: Map<string, Map<Fact, FactValue>>
  /** Keys of facts that this world shares with no copy of it: only they are changed in place. */
  readonly own: Set<string>
  /** Replaced, not changed, so that copies may share it. */
  links: readonly Link[]
  /** Which part a part was divided from. */
  readonly from: Map<string, string>
  /** Parts that are there now: not yet divided off, or divided up, they are not. */
  readonly there: Set<string>
}

/** The scale of tempers on which the rules ask: stand-ins for the ledger of the metal. */
const TEMPER_SCALE = { annealed: 0, 'quarter-hard': 0.25, 'half-hard': 0.45, hard: 0.8 } as const

/** What is not metal; a bought chain, a tool and a bath are no matter for its rules. */
const NOT_METAL: ReadonlySet<OtherKind> = new Set([
  'stone',
  'glass',
  'shell',
  'wood',
  'horn',
  'leather',
  'textile',
  'plastic',
  'cord',
  'cement',
])

/** What takes no harm from heat where nothing else is said; the rest stands 60 °C. */
const HEATPROOF: ReadonlySet<OtherKind> = new Set(['bought-chain', 'tool', 'jig', 'form-block', 'bath', 'original', 'dust'])
const USUAL_STANDS_C = 60

/** The heat a thing that is no part stands, °C. */
export function standsOf({ kind, standsC }: AssemblyOther): number {
  return standsC ?? (HEATPROOF.has(kind) ? Number.POSITIVE_INFINITY : USUAL_STANDS_C)
}

export const jointKey = (joint: string) => `joint:${joint}`
export const placeKey = (thing: string, place: string) => `${thing}@${place}`

/** The facts that are true of a part as it is bought. */
function startOf({ bought, film }: AssemblyPart): Map<Fact, FactValue> {
  const facts = new Map<Fact, FactValue>(TRUE_AT_START.map((fact) => [fact, true]))
  facts.set('temper', TEMPER_SCALE[takenTemper(bought ?? 'annealed')])
  if (film) facts.set('film', true)
  return facts
}

/** Parts that a step divides off: they are there only from then on. */
function dividedOff({ steps }: Assembly): Set<string> {
  return new Set(steps.flatMap(({ params }) => namesIn(params.into)))
}

/** Ids in a parameter that is a list, or a text with plus signs. */
export function namesIn(value: unknown): string[] {
  if (Array.isArray(value)) return value.map(String)
  return typeof value === 'string' ? value.split('+') : []
}

/** Worlds before the first step, kept as long as their assembly is: an order is looked for by walking one many times. */
const STARTS = new WeakMap<Assembly, World>()

/** An assembly before its first step. */
export function startWorld(assembly: Assembly): World {
  const start = STARTS.get(assembly) ?? freshWorld(assembly)
  STARTS.set(assembly, start)
  return copyWorld(start)
}

function freshWorld(assembly: Assembly): World {
  const later = dividedOff(assembly)
  return {
    parts: new Map(assembly.parts.map((part) => [part.id, part])),
    others: new Map(assembly.others.map((other) => [other.id, other])),
    joints: new Map(assembly.joints.map((joint) => [joint.id, joint])),
    schools: schoolsWith(assembly.schools),
    facts: new Map([
      ...assembly.parts.map((part) => [part.id, startOf(part)] as const),
      ...assembly.others.map((other) => [other.id, new Map<Fact, FactValue>(TRUE_AT_START.map((fact) => [fact, true]))] as const),
    ]),
    own: new Set(),
    links: [],
    from: new Map(),
    there: new Set(assembly.parts.map((part) => part.id).filter((id) => !later.has(id))),
  }
}

/** The same state again, to be changed by itself; both share their facts until one of them changes them. */
export function copyWorld(world: World): World {
  world.own.clear()
  return {
    ...world,
    facts: new Map(world.facts),
    own: new Set(),
    from: new Map(world.from),
    there: new Set(world.there),
  }
}

/** A fact of a thing, joint or place; false where nothing was said of it. */
export function factOf(world: World, key: string, fact: Fact): FactValue {
  return world.facts.get(key)?.get(fact) ?? false
}

/** Sets a fact of a thing, joint or place. */
export function setFact(world: World, key: string, fact: Fact, value: FactValue): void {
  const facts = world.facts.get(key)
  if (facts?.get(fact) === value) return
  if (facts && world.own.has(key)) {
    facts.set(fact, value)
    return
  }
  world.facts.set(key, new Map(facts).set(fact, value))
  world.own.add(key)
}

/** What hangs together, by thing, for each state of the links. */
const TOGETHER = new WeakMap<readonly Link[], ReadonlyMap<string, ReadonlySet<string>>>()

function groupsOf(links: readonly Link[]): ReadonlyMap<string, ReadonlySet<string>> {
  const known = TOGETHER.get(links)
  if (known) return known
  const groups = new Map<string, Set<string>>()
  for (const { things } of links) {
    const whole = new Set(things.flatMap((thing) => [thing, ...(groups.get(thing) ?? [])]))
    for (const thing of whole) groups.set(thing, whole)
  }
  TOGETHER.set(links, groups)
  return groups
}

/** Everything that hangs together with these things at this moment, themselves among it. */
export function attachedTo({ links }: World, things: Iterable<string>): ReadonlySet<string> {
  const groups = groupsOf(links)
  const asked = [...things]
  const [only] = asked
  if (only !== undefined && asked.length === 1) return groups.get(only) ?? new Set(asked)
  return new Set(asked.flatMap((thing) => [thing, ...(groups.get(thing) ?? [])]))
}

/** The joints, of those made, that lie within these things. */
export function jointsWithin(world: World, things: ReadonlySet<string>): AssemblyJoint[] {
  return [...world.joints.values()].filter(
    (joint) => factOf(world, jointKey(joint.id), 'done') === true && thingsOf(joint).every((thing) => things.has(thing)),
  )
}

const THINGS = new WeakMap<AssemblyJoint, readonly string[]>()

/** The things a joint joins, each once. */
export function thingsOf(joint: AssemblyJoint): readonly string[] {
  const known = THINGS.get(joint) ?? [...new Set(joint.members.map((member) => member.thing))]
  THINGS.set(joint, known)
  return known
}

/** A thing and all that it was divided from. */
export function withForebears({ from }: World, thing: string): string[] {
  const chain = [thing]
  for (let old = from.get(thing); old !== undefined && !chain.includes(old); old = from.get(old)) chain.push(old)
  return chain
}

/** Whether a part has a seam of its own in this assembly. */
export function hasSeam({ joints }: World, thing: string): boolean {
  return [...joints.values()].some((joint) => joint.kind === 'seam' && joint.members.some((member) => member.thing === thing))
}

/** Whether a thing is of metal that is worked here. */
export function isMetal({ parts }: World, thing: string): boolean {
  return parts.has(thing)
}

/** Whether a thing is of no metal: stone, shell, leather and their like. */
export function isNotMetal({ others }: World, thing: string): boolean {
  const other = others.get(thing)
  return other !== undefined && NOT_METAL.has(other.kind)
}
