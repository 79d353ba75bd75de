import { findTable, type TableId } from '../tables/registry'
import type { Table } from '../tables/table'

/** Tables that belong together on one page above the bench. */
interface BenchCard {
  readonly title: string
  readonly tables: readonly TableId[]
}

const CARDS: readonly BenchCard[] = [
  { title: 'Gauges and drills', tables: ['gauge-bs', 'gauge-swg', 'gauge-steel', 'drill-number', 'drill-fraction', 'wire-drill'] },
  { title: 'Rings and bangles', tables: ['ring-us', 'ring-uk', 'bangle-size', 'ring-wide-band'] },
  { title: 'Blades and grits', tables: ['saw-blade', 'abrasive-fepa-p', 'abrasive-cami', 'polish', 'steel-wool'] },
  { title: 'Solder and heat', tables: ['solder-percent', 'solder-british', 'melting', 'flux', 'glow', 'temper-colour', 'alloy'] },
]

/** The page a table is printed on: its card where it has one, else by itself. */
export function benchCardOf(tableId: string): { readonly title: string; readonly tables: readonly Table[] } | undefined {
  const table = findTable(tableId)
  if (!table) return undefined
  const card = CARDS.find((item) => (item.tables as readonly string[]).includes(tableId))
  if (!card) return { title: table.title, tables: [table] }
  return { title: card.title, tables: card.tables.flatMap((id) => findTable(id) ?? []) }
}
