import { abrasiveTables } from './abrasives/abrasive-tables'
import { bathTables } from './baths/bath-tables'
import { drillTables } from './drills/drill-tables'
import { gaugeTables } from './gauges/gauge-tables'
import { heatTables } from './heat/heat-tables'
import { metalTables } from './metals/metal-tables'
import { ringTables } from './rings/ring-tables'
import { rivetTables } from './rivets/rivet-tables'
import { sawTables } from './saws/saw-tables'
import { stoneTables } from './stones/stone-tables'
import type { Table } from './table'
import { toolTables } from './tools/tool-tables'
import { wornTables } from './worn/worn-tables'

/** Every reference table, in the order of their shelves. A new one is one definition in its family and appears at every interface. */
export const TABLES = [
  ...gaugeTables,
  ...drillTables,
  ...ringTables,
  ...wornTables,
  ...sawTables,
  ...abrasiveTables,
  ...heatTables,
  ...bathTables,
  ...toolTables,
  ...metalTables,
  ...stoneTables,
  ...rivetTables,
] as const
export type TableId = (typeof TABLES)[number]['id']

const BY_ID: ReadonlyMap<string, Table> = new Map(TABLES.map((table) => [table.id, table]))

/** The table of this id, or undefined. */
export function findTable(id: string): Table | undefined {
  return BY_ID.get(id)
}
