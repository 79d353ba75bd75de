import { type DrawingView, thumbnailView } from '@/core/drawing'
import { ALLOYS } from '@/core/metals'
import type { PiecePlan } from '@/core/route'

/** A piece in little, in its metal's colour. */
export interface PieceThumb {
  readonly view: DrawingView
  readonly colour: { readonly face: string; readonly edge: string }
}

/** The picture of a plan's piece; null where it cannot be planned as it stands. */
export function thumbOf(plan: PiecePlan): PieceThumb | null {
  const view = plan.ok ? plan.result.drawing.views[0] : undefined
  return plan.ok && view ? { view: thumbnailView(view), colour: ALLOYS[plan.temper.alloy].colour } : null
}

/** The same with its dimensions, where something is to be drawn along them. */
export function dimensionedThumbOf(plan: PiecePlan): PieceThumb | null {
  const thumb = thumbOf(plan)
  const view = plan.ok ? plan.result.drawing.views[0] : undefined
  return thumb && view ? { ...thumb, view: { ...thumb.view, dimensions: view.dimensions } } : null
}
