import type { Cell, Column, Row, Table } from '../tables/table'
import { formatPlain } from '../units/format'

/** A cell as it is read: numbers with the column's digits. */
export function cellText(cell: Cell | undefined, column: Pick<Column, 'digits'>): string {
  if (cell === undefined) return ''
  return typeof cell === 'number' ? (column.digits === undefined ? formatPlain(cell) : cell.toFixed(column.digits)) : cell
}

/** A row's principal number with its table's digits; empty where it has none. */
export function valueText(table: Table, row: Row): string {
  return row.value === undefined ? '' : row.value.toFixed(table.valueDigits)
}

/** The principal number and its unit, or the first cells where there is none: one line for a list. */
export function rowSummary(table: Table, row: Row): string {
  if (row.value !== undefined)
    return `${valueText(table, row)}${table.unit && table.unit !== 'ratio' ? ` ${table.unit.replace('cm3', 'cm³')}` : ''}`
  return table.columns
    .slice(0, 2)
    .map((column) => cellText(row.cells[column.key], column))
    .filter(Boolean)
    .join(', ')
}

/** A row's name without what its table says already, as it is engraved on a ruler: "18 ga B&S" is "18", "US 7" is "7". */
export function shortName(row: Row): string {
  return row.name.replace(/ ga .*$| solder$| mm$| in$|^(US|UK|ISO|JP|CH|CAMI|JIS|drill) | \(.*\)$/g, '')
}

/** The table as rows of text, headed: what the CSV and the printed page carry. */
export function tableAsText(table: Table): { readonly heads: readonly string[]; readonly lines: readonly (readonly string[])[] } {
  const hasValue = table.rows.some((row) => row.value !== undefined)
  return {
    heads: [
      'name',
      ...(hasValue ? [table.valueLabel] : []),
      ...table.columns.map((column) => column.label),
      'source',
      'confidence',
      'ownership',
      'note',
    ],
    lines: table.rows.map((row) => [
      row.name,
      ...(hasValue ? [row.value === undefined ? '' : String(row.value)] : []),
      ...table.columns.map((column) => {
        const cell = row.cells[column.key]
        return cell === undefined ? '' : String(cell)
      }),
      row.source,
      row.confidence,
      row.ownership,
      row.note ?? '',
    ]),
  }
}
