import { describe, expect, it } from 'vitest'
import { findTable } from '@/core/tables'
import { PRINTED_COLUMNS } from './printed-tables'

/** Half a unit of the last printed digit, and a hair for binary rounding. */
function tolerance(printed: string): number {
  const decimals = printed.split('.')[1]?.length ?? 0
  return 0.5 * 10 ** -decimals * 1.0001
}

describe.each(PRINTED_COLUMNS)('$title ($source, from memory, $confidence)', ({ table, column, rows }) => {
  const known = findTable(table)
  it.each(rows)('%s is printed %s', (id, printed) => {
    const row = known?.rows.find((item) => item.id === id)
    const value = Number(column === 'value' ? row?.value : row?.cells[column])
    expect(Math.abs(value - Number(printed))).toBeLessThanOrEqual(tolerance(printed))
  })
})

it('there are more than 300 printed values to hold the tables against', () =>
  expect(PRINTED_COLUMNS.reduce((sum, column) => sum + column.rows.length, 0)).toBeGreaterThan(300))
