import type { DrawingShape, DrawingView } from '../drawing/drawing'
import type { Vector } from '../drawing/place'
import { planOf, sectionOf } from '../drawing/solid/slice'
import type { Mesh, SolidPart } from '../drawing/solid/solid'
import { type Stand, standingMesh, turned } from '../drawing/solid/stand'
import type { Region } from '../geometry/clip'
import { boundsOf, type Outline, type Point } from '../geometry/point'
import { along, type StandingJoint, type StandingPart, standTogether } from './stand-together'

/** A part as the drawing needs it. */
export interface DrawnPart extends StandingPart {
  readonly name: string
  readonly solids: readonly SolidPart[]
  /** What is set in it. */
  readonly holds?: { readonly id: string; readonly name: string; readonly solids: readonly SolidPart[] } | undefined
}

/** A part where it stands in the assembly. */
export interface StandingBody {
  readonly id: string
  readonly name: string
  readonly mesh: Mesh
  /** What it is a copy of, and how that is turned: copies that are turned alike differ only by where they stand. */
  readonly solids: readonly SolidPart[]
  readonly turned: string
  readonly shift: Vector
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
  const bodies = parts.flatMap(({ holds, ...part }): StandingBody[] => {
    const stand = stands.get(part.id)
    if (!stand) return []
    const lifted = along(stand, turned(stand, [0, 0, 1]), apartMm)
    return [bodyOf(part, stand), ...(holds ? [bodyOf(holds, lifted)] : [])]
  })
  return { bodies, undrawn }
}

function bodyOf({ id, name, solids }: Pick<DrawnPart, 'id' | 'name' | 'solids'>, stand: Stand): StandingBody {
  const rows = stand.rows.flat().map((cosine) => cosine.toFixed(9))
  return { id, name, mesh: standingMesh(solids, stand), solids, turned: rows.join(' '), shift: stand.shift }
}

/** The highest point of a standing part. */
function topOf({ mesh: { positions } }: StandingBody): number {
  let top = Number.NEGATIVE_INFINITY
  for (let i = 2; i < positions.length; i += 3) top = Math.max(top, positions[i] ?? top)
  return top
}

const moved = (outline: Outline, dx: number, dy: number) => outline.map(([x, y]): Point => [x + dx, y + dy])

interface Plan {
  readonly shift: Vector
  readonly regions: readonly Region[]
}

/** Plans of solids by how they are turned, kept as long as the solids are. */
const PLANS = new WeakMap<readonly SolidPart[], Map<string, Plan>>()

/** What a body covers seen from above: worked out once for all its copies that are turned alike, and moved to where it stands. */
function planOfBody({ solids, turned, shift, mesh }: StandingBody): Region[] {
  const plans = PLANS.get(solids) ?? new Map<string, Plan>()
  PLANS.set(solids, plans)
  const known = plans.get(turned) ?? { shift, regions: planOf(mesh) }
  plans.set(turned, known)
  const [dx, dy] = [shift[0] - known.shift[0], shift[1] - known.shift[1]]
  return known.regions.map(({ outer, holes }) => ({ outer: moved(outer, dx, dy), holes: holes.map((hole) => moved(hole, dx, dy)) }))
}

/** Standing parts in section along their middle, and from above; each part a region of its own, with its name. */
export function viewsOfBodies(bodies: readonly StandingBody[], isApart = false): AssemblyView[] {
  // what lies on top is drawn last
  const tops = new Map(bodies.map((body) => [body, topOf(body)] as const))
  const upwards = [...bodies].sort((a, b) => (tops.get(a) ?? 0) - (tops.get(b) ?? 0))
  const view = (id: string, title: string, regionsOf: (body: StandingBody) => readonly Region[]): AssemblyView => {
    const drawn = upwards.map((body) => ({ body, regions: regionsOf(body) }))
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
  return [view('section', 'Section', ({ mesh }) => sectionOf(mesh)), view('plan', 'From above', planOfBody)]
}

/** The assembly standing together: in section along its middle, and from above. */
export function assemblyViews(parts: readonly DrawnPart[], joints: readonly StandingJoint[], apartMm = 0): AssemblyView[] {
  return viewsOfBodies(standingBodies(parts, joints, apartMm).bodies, apartMm > 0)
}
