import type { Assembly, AssemblyJoint, AssemblyOther, AssemblyPart, AssemblyStep, OtherKind } from '../assembly/assembly'
import { schoolsWith } from '../assembly/schools'
import { takenTemper } from '../metals/tempers'
import { type Fact, type FactValue, TRUE_AT_START } from '../operations/notation/facts'
import type { Act } from './acted'
import type { Link } from './links'

/** The state of an assembly while its route is walked: facts of every thing, joint and place, and what hangs together. */
export interface World {
  readonly parts: ReadonlyMap<string, AssemblyPart>
  readonly others: ReadonlyMap<string, AssemblyOther>
  readonly joints: ReadonlyMap<string, AssemblyJoint>
  readonly schools: Readonly<Record<string, string>>
  /** The acts of each step, as they were worked out. */
  readonly acts: Map<AssemblyStep, readonly Act[]>
  readonly facts: Map<string, Map<Fact, FactValue>>
  /** What facts were before they were changed, the oldest first: by them a world is taken back. */
  readonly changes: Change[]
  /** Replaced, not changed, so that what it was can be kept; so are the two below. */
  links: readonly Link[]
  /** Which part a part was divided from. */
  from: ReadonlyMap<string, string>
  /** Parts that are there now: not yet divided off, or divided up, they are not. */
  there: ReadonlySet<string>
}

/** A fact as it was; undefined where nothing was said of it. */
interface Change {
  readonly key: string
  readonly fact: Fact
  readonly was: FactValue | undefined
}

/** A moment of a world to which it can be taken back. */
export interface WorldMark extends Pick<World, 'links' | 'from' | 'there'> {
  readonly changes: number
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

/** Acts as they were worked out, for all walks of an assembly. */
const ACTS = new WeakMap<Assembly, World['acts']>()

function actsKnownOf(assembly: Assembly): World['acts'] {
  const known = ACTS.get(assembly) ?? new Map()
  ACTS.set(assembly, known)
  return known
}

/** Says that the steps of a part of an assembly do there what they do in the whole. */
export function sharesActs<Part extends Assembly>(part: Part, whole: Assembly): Part {
  ACTS.set(part, actsKnownOf(whole))
  return part
}

/** An assembly before its first step. */
export function startWorld(assembly: Assembly): World {
  const start = STARTS.get(assembly) ?? freshWorld(assembly)
  STARTS.set(assembly, start)
  return { ...start, changes: [], facts: new Map([...start.facts].map(([key, facts]) => [key, new Map(facts)])) }
}

function freshWorld(assembly: Assembly): World {
  const later = dividedOff(assembly)
  return {
    parts: new Map(assembly.parts.map((part) => [part.id, part])),
    others: new Map(assembly.others.map((other) => [other.id, other])),
    joints: new Map(assembly.joints.map((joint) => [joint.id, joint])),
    schools: schoolsWith(assembly.schools),
    acts: actsKnownOf(assembly),
    facts: new Map([
      ...assembly.parts.map((part) => [part.id, startOf(part)] as const),
      ...assembly.others.map((other) => [other.id, new Map<Fact, FactValue>(TRUE_AT_START.map((fact) => [fact, true]))] as const),
    ]),
    changes: [],
    links: [],
    from: new Map(),
    there: new Set(assembly.parts.map((part) => part.id).filter((id) => !later.has(id))),
  }
}

/** This moment of a world. */
export function markWorld({ changes, links, from, there }: World): WorldMark {
  return { changes: changes.length, links, from, there }
}

/** Whether the facts of a world are what they were at an earlier moment. */
export function isAsAt({ changes, facts }: World, mark: WorldMark): boolean {
  const seen = new Set<string>()
  return changes.slice(mark.changes).every(({ key, fact, was }) => {
    const name = `${key} ${fact}`
    if (seen.has(name)) return true
    seen.add(name)
    return (facts.get(key)?.get(fact) ?? false) === (was ?? false)
  })
}

/** Takes a world back to an earlier moment. */
export function takeBackWorld(world: World, { changes, links, from, there }: WorldMark): void {
  while (world.changes.length > changes) {
    const change = world.changes.pop()
    const facts = change && world.facts.get(change.key)
    if (!facts) continue
    if (change.was === undefined) facts.delete(change.fact)
    else facts.set(change.fact, change.was)
    if (facts.size === 0) world.facts.delete(change.key)
  }
  Object.assign(world, { links, from, there })
}

/** A fact of a thing, joint or place; false where nothing was said of it. */
export function factOf(world: World, key: string, fact: Fact): FactValue {
  return world.facts.get(key)?.get(fact) ?? false
}

/** Sets a fact of a thing, joint or place. */
export function setFact(world: World, key: string, fact: Fact, value: FactValue): void {
  const facts = world.facts.get(key)
  const was = facts?.get(fact)
  if (was === value) return
  world.changes.push({ key, fact, was })
  if (facts) facts.set(fact, value)
  else world.facts.set(key, new Map([[fact, value]]))
}

/** Sets some facts of a thing, joint or place. */
export function setFacts(world: World, key: string, some: readonly (readonly [Fact, FactValue])[]): void {
  for (const [fact, value] of some) setFact(world, key, fact, value)
}

/** The joints, of those made, that lie within these things. */
export function jointsWithin(world: World, things: ReadonlySet<string>): AssemblyJoint[] {
  const within: AssemblyJoint[] = []
  for (const joint of world.joints.values())
    if (factOf(world, jointKey(joint.id), 'done') === true && thingsOf(joint).every((thing) => things.has(thing))) within.push(joint)
  return within
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
