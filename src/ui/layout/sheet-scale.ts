import { type Bounds, boundsOf, type Outline, type Point } from '@/core/geometry'
import type { LayoutSheet } from '@/core/layout'

/** Room for the rule beside the sheet, px. */
const LEFT_PX = 48
const TOP_PX = 28
const AROUND_PX = 90
/** A small offcut is drawn no larger than this, px per mm. */
const MOST_PX_PER_MM = 12

/** Where the millimetres of a sheet stand on the screen. */
export interface SheetScale {
  readonly box: Bounds
  readonly pxPerMm: number
  readonly toX: (x: number) => number
  readonly toY: (y: number) => number
  readonly toMm: (px: number, py: number) => Point
  readonly path: (outline: Outline) => string
}

/** A sheet drawn as large as there is room. */
export function scaleOf(sheet: LayoutSheet, width: number, height: number): SheetScale {
  const box = boundsOf(sheet.outer)
  const pxPerMm = Math.min((width - AROUND_PX) / (box.maxX - box.minX), (height - AROUND_PX) / (box.maxY - box.minY), MOST_PX_PER_MM)
  const toX = (x: number) => LEFT_PX + (x - box.minX) * pxPerMm
  const toY = (y: number) => TOP_PX + (box.maxY - y) * pxPerMm
  return {
    box,
    pxPerMm,
    toX,
    toY,
    toMm: (px, py) => [box.minX + (px - LEFT_PX) / pxPerMm, box.maxY - (py - TOP_PX) / pxPerMm],
    path: (outline) => `M${outline.map(([x, y]) => `${toX(x).toFixed(2)} ${toY(y).toFixed(2)}`).join('L')}Z`,
  }
}
