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
