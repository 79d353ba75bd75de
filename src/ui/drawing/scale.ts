import { type DrawingView, viewBounds } from '@/core/drawing'
import { dimensionBox, placeDimension } from './dimension-place'

export interface Fit {
  /** Screen pixels to a millimetre. */
  readonly scale: number
  readonly toX: (x: number) => number
  readonly toY: (y: number) => number
}

interface Room {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** Room kept round the metal for dimension lines and their lettering, px; more where a figure would stand outside. */
const ROOM: Room = { left: 74, right: 74, top: 40, bottom: 58 }
/** Nothing is written nearer to the edge than this. */
const EDGE = 4

function fitInto(view: DrawingView, width: number, height: number, maxScale: number, room: Room): Fit {
  const box = viewBounds(view)
  const [w, h] = [Math.max(0.1, box.maxX - box.minX), Math.max(0.1, box.maxY - box.minY)]
  const free = { width: width - room.left - room.right, height: height - room.top - room.bottom }
  const scale = Math.max(0.01, Math.min(free.width / w, free.height / h, maxScale))
  const left = room.left + (free.width - w * scale) / 2 - box.minX * scale
  const top = room.top + (free.height - h * scale) / 2 + box.maxY * scale
  return { scale, toX: (x) => left + x * scale, toY: (y) => top - y * scale }
}

/** How much more room the dimensions need on each side than they were given. */
function roomLacking(view: DrawingView, fit: Fit, width: number, height: number): Room {
  const boxes = view.dimensions.map((dimension) => dimensionBox(placeDimension(dimension, fit), dimension.text))
  const over = (...lacking: readonly number[]) => Math.max(0, ...lacking)
  return {
    left: over(...boxes.map((box) => EDGE - box.left)),
    right: over(...boxes.map((box) => box.right + EDGE - width)),
    top: over(...boxes.map((box) => EDGE - box.top)),
    bottom: over(...boxes.map((box) => box.bottom + EDGE - height)),
  }
}

/** Fits a view into a frame of the given size, true to scale, y up, with all its dimensions on the ground. */
export function fitView(view: DrawingView, width: number, height: number, maxScale = 40): Fit {
  const side = Math.min(ROOM.left, 0.2 * width)
  let room: Room = { ...ROOM, left: side, right: side }
  for (let round = 0; round < 3; round++) {
    const lack = roomLacking(view, fitInto(view, width, height, maxScale, room), width, height)
    if (lack.left + lack.right + lack.top + lack.bottom === 0) break
    room = {
      left: room.left + lack.left,
      right: room.right + lack.right,
      top: room.top + lack.top,
      bottom: room.bottom + lack.bottom,
    }
  }
  return fitInto(view, width, height, maxScale, room)
}

/** The scale as a smith says it, on a screen of so many px to the millimetre: "6 : 1". */
export function scaleWords(scale: number, pxPerMm: number): string {
  const ratio = scale / pxPerMm
  return ratio >= 1 ? `${ratio >= 10 ? Math.round(ratio) : Number(ratio.toFixed(1))} : 1` : `1 : ${Number((1 / ratio).toFixed(1))}`
}
