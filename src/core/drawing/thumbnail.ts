import { roundTo } from '../units/format'
import type { DrawingView } from './drawing'

/** So many corners are enough for a picture the size of a thumb. */
const CORNERS = 60

function thinned(outline: readonly (readonly [number, number])[]) {
  const every = Math.ceil(outline.length / CORNERS)
  return outline.filter((_, i) => i % every === 0).map(([x, y]) => [roundTo(x, 2), roundTo(y, 2)] as const)
}

/** A view in little: the metal alone, with no more corners than the eye takes in. */
export function thumbnailView(view: DrawingView): DrawingView {
  return {
    ...view,
    shapes: view.shapes.flatMap((shape) =>
      shape.kind === 'region' ? [{ ...shape, outer: thinned(shape.outer), holes: shape.holes.map(thinned) }] : [],
    ),
    dimensions: [],
    handles: [],
    notes: [],
  }
}
