import type { LayoutItem, LayoutSheet } from '@/core/layout'
import type { PlanOptions } from '@/core/route'
import type { Piece, Stock } from '../db/repositories'
import { planDesign } from './piece-plan'

/** A blank of a job as the layout takes it, with the words for its label. */
export interface JobItem {
  readonly item: LayoutItem
  readonly name: string
  readonly pieceId: number
}

/** Items are named after their piece, the second and further blanks of one piece with a number after it. */
function itemId(pieceId: number, index: number): string {
  return index === 0 ? `piece-${pieceId}` : `piece-${pieceId}.${index + 1}`
}

/** Whether an item of a layout is a blank of this piece. */
export function isItemOf(id: string, pieceId: number): boolean {
  return id.split('.')[0] === itemId(pieceId, 0)
}

/** Blanks of a job's pieces cut from sheet: quantity and spares, circles kept exact. */
export function itemsOfPieces(pieces: readonly Piece[], options: PlanOptions): JobItem[] {
  return pieces.flatMap((piece) => {
    const plan = planDesign(piece.design, options)
    if (!plan.ok) return []
    return plan.result.blanks
      .filter((blank) => blank.stock === 'sheet')
      .map((blank, i, all) => {
        const shape =
          blank.circleRadiusMm === undefined
            ? { outer: blank.outline.map(([x, y]): [number, number] => [x, y]) }
            : { circle: { radiusMm: blank.circleRadiusMm } }
        const rotations: LayoutItem['rotations'] = blank.circleRadiusMm === undefined ? [0, 90] : [0]
        const item = {
          id: itemId(piece.id, i),
          qty: (piece.quantity + piece.spares) * (blank.each ?? 1),
          holes: blank.holes.map((hole) => hole.map(([x, y]): [number, number] => [x, y])),
          alloy: blank.alloy,
          thicknessMm: blank.thicknessMm,
          rotations,
          ...shape,
        }
        return { item, name: all.length > 1 ? `${piece.name}, ${blank.name}` : piece.name, pieceId: piece.id }
      })
  })
}

/** A sheet of the drawer as the layout takes it; the measured thickness wins over the nominal. */
export function layoutSheetOf(stock: Stock): LayoutSheet {
  const points = (outline: readonly (readonly [number, number])[]) => outline.map(([x, y]): [number, number] => [x, y])
  return {
    id: String(stock.id),
    outer: points(stock.outer ?? []),
    holes: stock.holes.map(points),
    alloy: stock.alloy,
    thicknessMm: stock.measuredMm ?? stock.thicknessMm,
    rollingDirectionDeg: null,
    costRank: 0,
  }
}
