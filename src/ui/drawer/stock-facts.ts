import { netAreaMm2 } from '@/core/geometry'
import { massOf } from '@/core/metals'
import type { Stock } from '@/server/db/repositories'

/** Thickness to work with: as measured where it was, else nominal. */
export function thicknessOf(stock: Stock): number {
  return stock.measuredMm ?? stock.thicknessMm
}

/** Mass in g of a sheet or a wire of the drawer. */
export function massOfStock(stock: Stock): number {
  const thickness = thicknessOf(stock)
  if (stock.kind === 'sheet') return massOf(stock.alloy, netAreaMm2(stock.outer ?? [], stock.holes) * thickness)
  return massOf(stock.alloy, ((Math.PI * thickness ** 2) / 4) * (stock.lengthMm ?? 0))
}
