import type { DrawingShape, DrawingView } from '../drawing/drawing'
import { planOf, sectionOf } from '../drawing/solid/slice'
import type { Mesh, SolidPart } from '../drawing/solid/solid'
import { standingMesh } from '../drawing/solid/stand'
import { boundsOf } from '../geometry/point'
import { type StandingJoint, type StandingPart, standTogether } from './stand-together'

/** A part as the drawing needs it. */
export interface DrawnPart extends StandingPart {
  readonly name: string
  readonly solids: readonly SolidPart[]
}

/** A part where it stands in the assembly. */
export interface StandingBody {
  readonly id: string
  readonly name: string
  readonly mesh: Mesh
}

/** A view of an assembly: which part each of its shapes is of, in their order. */
export interface AssemblyView extends DrawingView {
  readonly partOf: readonly string[]
}

/** The parts of an assembly where they stand, and the joints that could not be drawn. */
export function standingBodies(
  parts: readonly DrawnPart[],
  joints: readonly StandingJoint[],
  apartMm = 0,
): { readonly bodies: readonly StandingBody[]; readonly undrawn: readonly string[] } {
  const { stands, undrawn } = standTogether(parts, joints, apartMm)
  const bodies = parts.flatMap(({ id, name, solids }): StandingBody[] => {
    const stand = stands.get(id)
    return stand ? [{ id, name, mesh: standingMesh(solids, stand) }] : []
  })
  return { bodies, undrawn }
}

/** The highest point of a standing part. */
const topOf = ({ mesh }: StandingBody) =>
  mesh.positions.reduce((top, at, i) => (i % 3 === 2 ? Math.max(top, at) : top), Number.NEGATIVE_INFINITY)

/** Standing parts in section along their middle, and from above; each part a region of its own, with its name. */
export function viewsOfBodies(bodies: readonly StandingBody[], isApart = false): AssemblyView[] {
  // what lies on top is drawn last
  const upwards = [...bodies].sort((a, b) => topOf(a) - topOf(b))
  const view = (id: string, title: string, regionsOf: typeof planOf): AssemblyView => {
    const drawn = upwards.map((body) => ({ body, regions: regionsOf(body.mesh) }))
    const named = new Set<string>()
    return {
      id,
      title: isApart ? `${title}, taken apart` : title,
      shapes: drawn.flatMap(({ regions }) => regions.map((region): DrawingShape => ({ kind: 'region', layer: 'metal', ...region }))),
      partOf: drawn.flatMap(({ body, regions }) => regions.map(() => body.id)),
      dimensions: [],
      handles: [],
      notes: drawn.flatMap(({ body, regions }) => {
        if (regions.length === 0 || named.has(body.name)) return []
        named.add(body.name)
        const box = boundsOf(regions.flatMap(({ outer }) => outer))
        return [{ at: [box.maxX, (box.minY + box.maxY) / 2] as const, text: body.name }]
      }),
    }
  }
  return [view('section', 'Section', (mesh) => sectionOf(mesh)), view('plan', 'From above', planOf)]
}

/** The assembly standing together: in section along its middle, and from above. */
export function assemblyViews(parts: readonly DrawnPart[], joints: readonly StandingJoint[], apartMm = 0): AssemblyView[] {
  return viewsOfBodies(standingBodies(parts, joints, apartMm).bodies, apartMm > 0)
}
