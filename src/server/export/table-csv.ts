import { stringify } from 'csv-stringify/sync'
import { tableAsText } from '@/core/lookup'
import type { Table } from '@/core/tables'

/** A table as CSV: full precision, each row with its source, confidence and ownership. */
export function tableCsv(table: Table): string {
  const { heads, lines } = tableAsText(table)
  return stringify([heads, ...lines], { bom: true, record_delimiter: 'windows' })
}
