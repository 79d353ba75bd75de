import type { BlankSpec } from '../forms'
import { boundsOf, fillsItsBox, type Outline } from '../geometry'
import { isSameMetal, type StockPiece } from './supply'

/** Sheet so many times as long as it is wide is a strip. */
const LONG = 3
/** A blank may be off a strip’s width by so much: what a file takes (common practice, no source). */
const AS_WIDE_MM = 0.05

function sidesOf(outline: Outline): { readonly longMm: number; readonly wideMm: number } | undefined {
  if (!fillsItsBox(outline)) return undefined
  const { minX, minY, maxX, maxY } = boundsOf(outline)
  const [a, b] = [maxX - minX, maxY - minY]
  return { longMm: Math.max(a, b), wideMm: Math.min(a, b) }
}

/** How long and how wide a strip is, mm: sheet with four square corners and nothing cut out of it, three times as long as wide or more. */
export function stripOf({ kind, outer, holes }: Pick<StockPiece, 'kind' | 'outer' | 'holes'>) {
  const sides = kind === 'sheet' && outer && holes.length === 0 ? sidesOf(outer) : undefined
  return sides && sides.longMm >= LONG * sides.wideMm ? sides : undefined
}

/** How much of a strip a blank takes, mm, where it is of its metal, a rectangle, and as wide: it is cut to length, with no line along its sides. */
export function lengthOnStrip(blank: BlankSpec, stock: StockPiece): number | undefined {
  const strip = stripOf(stock)
  const sides = blank.stock === 'sheet' && strip && isSameMetal(stock, blank) ? sidesOf(blank.outline) : undefined
  if (!strip || !sides) return undefined
  return [
    [sides.wideMm, sides.longMm],
    [sides.longMm, sides.wideMm],
  ].find(([wideMm = 0]) => Math.abs(wideMm - strip.wideMm) <= AS_WIDE_MM)?.[1]
}
