import { stripOf } from '@/core/costing'
import { boundsOf, netAreaMm2 } from '@/core/geometry'
import { massOf } from '@/core/metals'
import { formatPlain } from '@/core/units'
import type { Stock } from '@/server/db/repositories'

type Thick = Pick<Stock, 'thicknessMm' | 'measuredMm'>

/** Thickness to work with: as measured where it was, else nominal. */
export function thicknessOf(stock: Thick): number {
  return stock.measuredMm ?? stock.thicknessMm
}

/** Mass in g of a sheet, a wire or a tube of the drawer. */
export function massOfStock(stock: Thick & Pick<Stock, 'kind' | 'alloy' | 'outer' | 'holes' | 'lengthMm' | 'acrossMm'>): number {
  const thickness = thicknessOf(stock)
  if (stock.kind === 'sheet') return massOf(stock.alloy, netAreaMm2(stock.outer ?? [], stock.holes) * thickness)
  const sectionMm2 = stock.kind === 'tube' ? Math.PI * thickness * ((stock.acrossMm ?? 0) - thickness) : (Math.PI * thickness ** 2) / 4
  return massOf(stock.alloy, sectionMm2 * (stock.lengthMm ?? 0))
}

/** How large a sheet is, whether it is a strip, or how long a wire or a tube, mm. */
export function sizeOf(stock: Stock): string {
  if (stock.kind !== 'sheet') return `${formatPlain(stock.lengthMm ?? 0, 0)} long`
  const strip = stripOf(stock)
  if (strip) return `strip ${formatPlain(strip.longMm, 1)} × ${formatPlain(strip.wideMm, 1)}`
  const box = boundsOf(stock.outer ?? [])
  return `${formatPlain(box.maxX - box.minX, 1)} × ${formatPlain(box.maxY - box.minY, 1)}`
}

/** How thick it is; a tube by its diameter and its wall. */
export function thickWords(stock: Stock): string {
  const thick = `${formatPlain(thicknessOf(stock), 3)} mm`
  return stock.kind === 'tube' ? `⌀ ${formatPlain(stock.acrossMm ?? 0, 2)}, wall ${thick}` : `× ${thick}`
}
