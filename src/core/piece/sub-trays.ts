import type { Assembly } from '../assembly/assembly'
import type { Act } from '../rules/acted'
import { Walk } from '../rules/walk'
import { namesIn } from '../rules/world'

/** What an act is done to, and works with: its jig, what holes are copied from, its file and bath, and the parts that it divides off. */
function thingsOfAct({ things, joints, params }: Act): string[] {
  const beside = [params.from, params.tool, params.bath, params.into].flatMap(namesIn)
  return [...things, ...joints.flatMap(({ jig }) => jig ?? []), ...beside]
}

/**
 * For each step of a route the sub-tray it is done to: what it names and works with, and all that hangs together with that, before the step
 * or after it. Two steps whose sub-trays share nothing may be done in either order; where they share something they meet, and keep the order
 * of the route.
 */
export function subTraysOf(assembly: Assembly): readonly (readonly string[])[] {
  const walk = Walk.of(assembly)
  const known = new Set([...assembly.parts, ...assembly.others].map(({ id }) => id))
  return assembly.steps.map((step, index) => {
    const things = walk.acts(step, index).flatMap(thingsOfAct)
    const before = walk.attached(things)
    walk.pass(walk.acts(step, index))
    return [...new Set([...before, ...walk.attached(things)])].filter((thing) => known.has(thing))
  })
}
