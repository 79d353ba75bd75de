import { type DrawingView, thumbnailView } from '@/core/drawing'
import { ALLOYS } from '@/core/metals'
import type { PiecePlan } from '@/core/piece'

/** A piece in little, in its metal's colour. */
export interface PieceThumb {
  readonly view: DrawingView
  readonly colour: { readonly face: string; readonly edge: string }
}

/** The part a piece is shown by: the first that has its size. */
const shownPart = ({ parts }: PiecePlan) => parts.find(({ result }) => result !== undefined)

/** The picture of a plan's piece; null where no part of it has a size yet. */
export function thumbOf(plan: PiecePlan): PieceThumb | null {
  const part = shownPart(plan)
  const view = part?.result?.drawing.views[0]
  return part?.metal && view ? { view: thumbnailView(view), colour: ALLOYS[part.metal.alloy].colour } : null
}

/** The same with its dimensions, where something is to be drawn along them. */
export function dimensionedThumbOf(plan: PiecePlan): PieceThumb | null {
  const thumb = thumbOf(plan)
  const view = shownPart(plan)?.result?.drawing.views[0]
  return thumb && view ? { ...thumb, view: { ...thumb.view, dimensions: view.dimensions } } : null
}
