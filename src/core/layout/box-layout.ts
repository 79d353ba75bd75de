import { fillsItsBox } from '../geometry/outline'
import { type Bounds, boundsOf } from '../geometry/point'
import { isSameMetal } from './item'
import type { LayoutInput, LayoutItem, LayoutSheet } from './schema'
import { heldAngles, placeItem } from './shape'
import type { OnSheet, Spread } from './spread'

/** An item at the angle at which it is narrowest along x, with the box round it. */
interface Boxed {
  readonly item: LayoutItem
  readonly rotationDeg: number
  readonly box: Bounds
}

function narrowest(item: LayoutItem, sheet: LayoutSheet): Boxed {
  const ways = (heldAngles(item, sheet) ?? [0, 90]).map((rotationDeg) => ({
    item,
    rotationDeg,
    box: placeItem(item, { x: 0, y: 0, rotationDeg }).bounds,
  }))
  return ways.reduce((a, b) => (widthOf(b) < widthOf(a) ? b : a))
}

const widthOf = ({ box }: Boxed) => box.maxX - box.minX
const heightOf = ({ box }: Boxed) => box.maxY - box.minY

interface Column {
  readonly x: number
  readonly widthMm: number
  y: number
}

/** Whether boxes may stand on a sheet in columns: a bare rectangle. */
const isBare = ({ outer, holes, taken = [] }: LayoutSheet): boolean => holes.length === 0 && taken.length === 0 && fillsItsBox(outer)

/** Columns of boxes, the widest first, each box in the first column that takes it. */
function inColumns(sheet: LayoutSheet, boxes: readonly Boxed[], { kerfMm, marginMm }: LayoutInput): ReadonlyMap<Boxed, OnSheet> {
  const { minX, minY, maxX, maxY } = boundsOf(sheet.outer)
  const columns: Column[] = []
  const laid = new Map<Boxed, OnSheet>()
  for (const one of boxes) {
    const [wide, high] = [widthOf(one), heightOf(one)]
    const last = columns.at(-1)
    const x = last ? last.x + last.widthMm + kerfMm : minX + marginMm
    const isNew = x + wide <= maxX - marginMm && minY + marginMm + high <= maxY - marginMm
    const column =
      columns.find(({ y, widthMm }) => widthMm >= wide && y + high <= maxY - marginMm) ??
      (isNew ? { x, widthMm: wide, y: minY + marginMm } : undefined)
    if (!column) continue
    if (!columns.includes(column)) columns.push(column)
    laid.set(one, { item: one.item, pose: { x: column.x - one.box.minX, y: column.y - one.box.minY, rotationDeg: one.rotationDeg } })
    column.y += high + kerfMm
  }
  return laid
}

/** Blanks in columns by the boxes round them, on the sheets that are bare rectangles: at once, however many there are. */
export function boxLayout(input: LayoutInput, sheets: readonly LayoutSheet[]): Spread {
  const left = new Map(input.items.map((item) => [item, item.qty]))
  const spread = sheets.map((sheet) => {
    if (!isBare(sheet)) return { sheet, blanks: [] }
    const boxes = [...left]
      .filter(([item]) => isSameMetal(item, sheet))
      .flatMap(([item, count]) => Array.from({ length: count }, () => narrowest(item, sheet)))
      .sort((a, b) => widthOf(b) - widthOf(a) || heightOf(b) - heightOf(a))
    const blanks = [...inColumns(sheet, boxes, input).values()]
    for (const { item } of blanks) left.set(item, (left.get(item) ?? 0) - 1)
    return { sheet, blanks }
  })
  return { sheets: spread, left }
}
