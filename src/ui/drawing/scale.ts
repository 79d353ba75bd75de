import { type DrawingView, viewBounds } from '@/core/drawing'

export interface Fit {
  /** Screen pixels to a millimetre. */
  readonly scale: number
  readonly toX: (x: number) => number
  readonly toY: (y: number) => number
}

/** Room kept round the metal for dimension lines and their lettering, px. */
const ROOM = { side: 74, top: 40, bottom: 58 }

/** Fits a view into a frame of the given size, true to scale, y up. */
export function fitView(view: DrawingView, width: number, height: number, maxScale = 40): Fit {
  const box = viewBounds(view)
  const [w, h] = [Math.max(0.1, box.maxX - box.minX), Math.max(0.1, box.maxY - box.minY)]
  const scale = Math.min((width - 2 * ROOM.side) / w, (height - ROOM.top - ROOM.bottom) / h, maxScale)
  const left = (width - w * scale) / 2 - box.minX * scale
  const top = ROOM.top + (height - ROOM.top - ROOM.bottom - h * scale) / 2 + box.maxY * scale
  return { scale, toX: (x) => left + x * scale, toY: (y) => top - y * scale }
}

/** The scale as a smith says it, taking 96 px to the inch: "6 : 1". */
export function scaleWords(scale: number): string {
  const ratio = scale / (96 / 25.4)
  return ratio >= 1 ? `${ratio >= 10 ? Math.round(ratio) : Number(ratio.toFixed(1))} : 1` : `1 : ${Number((1 / ratio).toFixed(1))}`
}
