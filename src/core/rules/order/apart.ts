import type { Assembly } from '../../assembly/assembly'
import { sharesActs } from '../world'
import { keepsPinned, type Unit } from './units'

/** Units that may concern one another together, in the order given. */
export function groupsOfUnits(units: readonly Unit[]): readonly (readonly Unit[])[] {
  const groups = new Map<number, Unit[]>()
  for (const unit of units) groups.set(unit.group, [...(groups.get(unit.group) ?? []), unit])
  return [...groups.values()]
}

/** What some units are about, without the rest of the assembly; its steps keep their numbers. */
export function assemblyOfUnits(assembly: Assembly, units: readonly Unit[]): Assembly {
  const about = new Set(units.flatMap((unit) => [...unit.about]))
  const joints = assembly.joints.filter(({ id, members }) => about.has(id) || members.some(({ thing }) => about.has(thing)))
  const known = new Set([...about, ...joints.flatMap(({ members, jig }) => [...members.map(({ thing }) => thing), jig ?? ''])])
  const part = {
    ...assembly,
    joints,
    parts: assembly.parts.filter(({ id }) => known.has(id)),
    others: assembly.others.filter(({ id }) => known.has(id)),
  }
  return sharesActs(part, assembly)
}

/** Groups in their new orders, each in the places that its units have had. */
export function inTheirPlaces(units: readonly Unit[], groups: readonly (readonly Unit[])[]): Unit[] {
  const rows = new Map(groups.map((group) => [group[0]?.group, [...group].reverse()]))
  return units.map((unit) => rows.get(unit.group)?.pop() ?? unit)
}

/** Groups in their new orders, each whole before the next begins; undefined where a pinned unit would not stand where it stood. */
export function oneAfterAnother(units: readonly Unit[], groups: readonly (readonly Unit[])[]): readonly Unit[] | undefined {
  const row = groups.flat()
  return keepsPinned(units, row) ? row : undefined
}
