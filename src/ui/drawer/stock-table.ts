import { ALLOYS, BOUGHT_TEMPERS } from '@/core/metals'
import { formatPlain } from '@/core/units'
import type { GridColumn, GridRow } from '../grid/columns'
import { massOfStock, sizeOf, thicknessOf } from './stock-facts'
import type { StockView } from './stock-view'

/** The drawer as a table. */
export const STOCK_COLUMNS: readonly GridColumn[] = [
  { key: 'label', title: 'Label' },
  { key: 'kind', title: 'What' },
  { key: 'alloy', title: 'Metal', wide: 1.6 },
  { key: 'thickness', title: 'Thickness, mm', kind: 'figure', decimals: 3 },
  { key: 'sold', title: 'As sold' },
  { key: 'measured', title: 'Measured, mm', kind: 'figure', decimals: 3 },
  { key: 'size', title: 'Size, mm', wide: 1.3 },
  { key: 'temper', title: 'Temper' },
  { key: 'mass', title: 'Mass, g', kind: 'figure', decimals: 1 },
]

/** A piece of metal as a row of it. */
export function stockRow(stock: StockView): GridRow {
  return {
    id: stock.id,
    cells: {
      label: stock.label,
      kind: stock.kind,
      alloy: ALLOYS[stock.alloy].title,
      thickness: thicknessOf(stock),
      sold: stock.thicknessTyped,
      measured: stock.measuredMm,
      size: stock.kind === 'tube' ? `⌀ ${formatPlain(stock.acrossMm ?? 0, 2)}, ${sizeOf(stock)}` : sizeOf(stock),
      temper: BOUGHT_TEMPERS[stock.temper],
      mass: massOfStock(stock),
    },
  }
}
