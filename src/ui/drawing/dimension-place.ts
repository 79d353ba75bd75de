import type { Dimension } from '@/core/drawing'

interface OnScreen {
  readonly toX: (x: number) => number
  readonly toY: (y: number) => number
}

interface Spot {
  readonly x: number
  readonly y: number
}

/** Where a dimension line and its figure come to stand, px. */
export interface PlacedDimension {
  /** The measured points, and the ends of the line set off from them. */
  readonly measured: readonly [Spot, Spot]
  readonly ends: readonly [Spot, Spot]
  /** Away from the measured points, of length 1. */
  readonly away: Spot
  readonly offPx: number
  readonly label: Spot
  /** The figure reads upwards. */
  readonly turned: boolean
}

const STEP_PX = 18
/** Room that a figure of the drawing takes, px. */
const CHARACTER_PX = 8
const LINE_PX = 15

/** Places a dimension on the screen: its line set off by so many label heights, its figure beside the line. */
export function placeDimension(dimension: Dimension, on: OnScreen): PlacedDimension {
  const from = { x: on.toX(dimension.from[0]), y: on.toY(dimension.from[1]) }
  const to = { x: on.toX(dimension.to[0]), y: on.toY(dimension.to[1]) }
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1
  const along = { x: (to.x - from.x) / length, y: (to.y - from.y) / length }
  const away = { x: along.y, y: -along.x }
  const offPx = dimension.offset * STEP_PX
  const set = ({ x, y }: Spot): Spot => ({ x: x + away.x * offPx, y: y + away.y * offPx })
  const ends = [set(from), set(to)] as const
  const middle = { x: (ends[0].x + ends[1].x) / 2, y: (ends[0].y + ends[1].y) / 2 }
  const upright = Math.abs(along.y) > Math.abs(along.x)
  const turned = upright && dimension.text.length > 5
  const right = offPx * away.x >= 0
  const label = upright
    ? { x: middle.x + (right ? (turned ? 16 : 22) : turned ? -7 : -22), y: middle.y + (turned ? 0 : 4) }
    : { x: middle.x, y: middle.y + (offPx * away.y >= 0 ? 17 : -8) }
  return { measured: [from, to], ends, away, offPx, label, turned }
}

/** The box a placed dimension takes with its figure, px. */
export function dimensionBox({ ends, label, turned }: PlacedDimension, text: string) {
  const half = (text.length * CHARACTER_PX) / 2
  const [wide, high] = turned ? [LINE_PX / 2, half] : [half, LINE_PX / 2]
  const xs = [ends[0].x, ends[1].x, label.x - wide, label.x + wide]
  const ys = [ends[0].y, ends[1].y, label.y - (turned ? high : LINE_PX - 3), label.y + (turned ? high : 4)]
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) }
}
