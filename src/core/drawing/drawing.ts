import { type Bounds, boundsOf, type Outline, type Point } from '../geometry/point'
import type { Cut } from './cut'

/** What a line stands for; the screen and the printer choose how it looks. */
export type DrawingLayer = 'metal' | 'saw' | 'scribe' | 'fold' | 'centre' | 'allowance' | 'tool'

export type DrawingShape =
  | { readonly kind: 'region'; readonly layer: DrawingLayer; readonly outer: Outline; readonly holes: readonly Outline[] }
  | { readonly kind: 'line'; readonly layer: DrawingLayer; readonly points: readonly Point[] }
  | Cut
  | { readonly kind: 'circle'; readonly layer: DrawingLayer; readonly centre: Point; readonly radiusMm: number }

/** A dimension line between two points, set off to one side; `text` is what it says. */
export interface Dimension {
  readonly from: Point
  readonly to: Point
  /** Distance from the measured line, to the left when looking from `from` to `to`, in label heights. */
  readonly offset: number
  readonly text: string
}

/** A point that can be dragged or moved with the arrow keys: moving it by 1 mm along `along` adds `gain` to the field. */
export interface DrawingHandle {
  readonly field: string
  readonly label: string
  readonly at: Point
  readonly along: Point
  readonly gain: number
}

export interface DrawingView {
  readonly id: string
  readonly title: string
  readonly shapes: readonly DrawingShape[]
  readonly dimensions: readonly Dimension[]
  readonly handles: readonly DrawingHandle[]
  readonly notes: readonly { readonly at: Point; readonly text: string }[]
}

export interface Drawing {
  readonly views: readonly DrawingView[]
}

function* pointsOf(view: DrawingView): Generator<Point> {
  for (const shape of view.shapes) {
    if (shape.kind === 'circle') {
      const [x, y] = shape.centre
      yield [x - shape.radiusMm, y - shape.radiusMm]
      yield [x + shape.radiusMm, y + shape.radiusMm]
    } else yield* shape.kind === 'region' ? shape.outer : shape.points
  }
  for (const dimension of view.dimensions) {
    yield dimension.from
    yield dimension.to
  }
}

/** The box around all that a view draws, without its lettering. */
export function viewBounds(view: DrawingView): Bounds {
  return boundsOf(pointsOf(view))
}
