import type { Assembly, AssemblyStep } from '../../assembly/assembly'
import { findOperation } from '../../operations/catalogue'
import { namesIn } from '../world'

/** What is moved as one: a step, or the steps of a repeated group. */
export interface Unit {
  /** Indexes of its steps in the route as it was given. */
  readonly steps: readonly number[]
  readonly pinned: boolean
  /** Operations of its steps. */
  readonly main: ReadonlySet<string>
  /** Operations of its steps and all that they include. */
  readonly ops: ReadonlySet<string>
  /** Things and joints it names, the things those join, and what they were divided from. */
  readonly about: ReadonlySet<string>
  /** The number of the subassembly it is of, all joints made; units of one may concern one another. */
  readonly group: number
}

/** An operation and all that it may include. */
function opsWithin(op: string, seen: Set<string> = new Set()): Set<string> {
  if (seen.has(op)) return seen
  seen.add(op)
  for (const included of findOperation(op)?.includes ?? []) if (included.op !== '*') opsWithin(included.op, seen)
  return seen
}

/** For each part the things that a step makes it of. */
function sourcesOf({ steps }: Assembly): ReadonlyMap<string, readonly string[]> {
  const sources = new Map<string, string[]>()
  for (const { on, params } of steps)
    for (const part of namesIn(params.into)) sources.set(part, [...(sources.get(part) ?? []), ...on.map(({ thing }) => thing)])
  return sources
}

function aboutOf({ joints, parts }: Assembly, sources: ReturnType<typeof sourcesOf>, { on, params }: AssemblyStep): string[] {
  const named = on.flatMap(({ thing }) => {
    if (thing === 'piece') return parts.map(({ id }) => id)
    const joint = joints.find(({ id }) => id === thing)
    return joint ? [thing, ...joint.members.map((member) => member.thing)] : [thing]
  })
  const from = named.flatMap((part) => sources.get(part) ?? [])
  return [...named, ...from, ...namesIn(params.into), ...namesIn(params.tool), ...namesIn(params.bath)]
}

/** For each thing and joint the number of what hangs together in the end. */
function groupsOf({ joints }: Assembly, about: readonly (readonly string[])[]): Map<string, number> {
  const groups = new Map<string, number>()
  const join = (ids: readonly string[]) => {
    const known = new Set(ids.flatMap((id) => groups.get(id) ?? []))
    const group = Math.min(groups.size, ...known)
    for (const [id, of] of groups) if (known.has(of)) groups.set(id, group)
    for (const id of ids) groups.set(id, group)
  }
  for (const { id, members } of joints) join([id, ...members.map(({ thing }) => thing)])
  for (const ids of about) join(ids)
  return groups
}

/** The units of a route in the order given. */
export function unitsOf(assembly: Assembly): Unit[] {
  const sources = sourcesOf(assembly)
  const about = assembly.steps.map((step) => aboutOf(assembly, sources, step))
  const groups = groupsOf(assembly, about)
  const units: Unit[] = []
  for (let i = 0; i < assembly.steps.length; ) {
    const group = assembly.steps[i]?.repeat
    let end = i + 1
    while (group !== undefined && assembly.steps[end]?.repeat === group) end++
    const indexes = Array.from({ length: end - i }, (_, n) => i + n)
    const steps = indexes.flatMap((index) => assembly.steps[index] ?? [])
    units.push({
      steps: indexes,
      pinned: steps.some((step) => step.pinned === true),
      main: new Set(steps.map((step) => step.op)),
      ops: new Set(steps.flatMap((step) => [...opsWithin(step.op)])),
      about: new Set(indexes.flatMap((index) => about[index] ?? [])),
      group: groups.get(steps[0]?.on[0]?.thing ?? '') ?? groups.get(assembly.parts[0]?.id ?? '') ?? 0,
    })
    i = end
  }
  return units
}

/** Whether anything is in both; asked very often, so without a list of either. */
function haveCommon(some: ReadonlySet<string>, others: ReadonlySet<string>): boolean {
  for (const one of some) if (others.has(one)) return true
  return false
}

/** Whether a unit does one of some operations, by itself or by what it includes. */
export const does = ({ ops }: Pick<Unit, 'ops'>, some: ReadonlySet<string>) => haveCommon(ops, some)

/** Whether each pinned unit stands in a row where it stood. */
export const keepsPinned = (given: readonly Unit[], row: readonly Unit[]) => row.every((unit, i) => !unit.pinned || given[i] === unit)

/** Whether two units are about the same thing or joint. */
export const meets = (a: Unit, b: Unit) => haveCommon(a.about, b.about)

/** How many of a row keep their order among each other: the rest were moved. */
export function keptCount(row: readonly number[]): number {
  return keptOf(row).size
}

/** The longest run of a row that rises. */
export function keptOf(row: readonly number[]): Set<number> {
  /** Of the longest run that ends at each: its last but one, and how many it has. */
  const ends: { readonly value: number; readonly before: number; readonly many: number }[] = []
  const longest = (below: number) =>
    ends.reduce((best, { value, many }, i) => (value < below && many > (ends[best]?.many ?? 0) ? i : best), -1)
  for (const value of row) {
    const before = longest(value)
    ends.push({ value, before, many: 1 + (ends[before]?.many ?? 0) })
  }
  const kept: number[] = []
  for (let end = ends[longest(Number.POSITIVE_INFINITY)]; end; end = ends[end.before]) kept.push(end.value)
  return new Set(kept.reverse())
}
