import type { DrawingShape, DrawingView } from '../drawing/drawing'
import { planOf, sectionOf } from '../drawing/solid/slice'
import type { SolidPart } from '../drawing/solid/solid'
import { standingMesh } from '../drawing/solid/stand'
import { boundsOf } from '../geometry/point'
import { type StandingJoint, type StandingPart, standTogether } from './stand-together'

/** A part as the drawing needs it. */
export interface DrawnPart extends StandingPart {
  readonly name: string
  readonly solids: readonly SolidPart[]
}

/** The assembly standing together: in section along its middle, and from above; each part a region of its own, with its name. */
export function assemblyViews(parts: readonly DrawnPart[], joints: readonly StandingJoint[], apartMm = 0): DrawingView[] {
  const { stands } = standTogether(parts, joints, apartMm)
  const seen = parts.flatMap((part) => {
    const stand = stands.get(part.id)
    return stand ? [{ part, mesh: standingMesh(part.solids, stand) }] : []
  })
  const view = (id: string, title: string, regionsOf: typeof planOf): DrawingView => {
    const drawn = seen.map(({ part, mesh }) => ({ part, regions: regionsOf(mesh) }))
    return {
      id,
      title: apartMm > 0 ? `${title}, taken apart` : title,
      shapes: drawn.flatMap(({ regions }) => regions.map((region): DrawingShape => ({ kind: 'region', layer: 'metal', ...region }))),
      dimensions: [],
      handles: [],
      notes: drawn.flatMap(({ part, regions }) => {
        if (regions.length === 0) return []
        const box = boundsOf(regions.flatMap(({ outer }) => outer))
        return [{ at: [box.maxX, (box.minY + box.maxY) / 2] as const, text: part.name }]
      }),
    }
  }
  return [view('section', 'Section', (mesh) => sectionOf(mesh)), view('plan', 'From above', planOf)]
}
