'use client'
import { useMemo } from 'react'
import type { Row, Table } from '@/core/tables'
import type { CellValue, GridColumn, GridRow } from '../grid/columns'
import { DataTable } from '../grid/data-table'

interface TableSheetProps {
  readonly table: Table
  readonly selectedId: string | undefined
  readonly onPick: (row: Row) => void
}

function columnsOf(table: Table): GridColumn[] {
  const hasValue = table.rows.some((row) => row.value !== undefined)
  const isFigure = (key: string) => table.rows.every((row) => row.cells[key] === undefined || typeof row.cells[key] === 'number')
  return [
    { key: 'name', title: table.title, wide: 1.4 },
    ...(hasValue ? [{ key: 'value', title: table.valueLabel, kind: 'figure', decimals: table.valueDigits } as const] : []),
    ...table.columns.map(
      ({ key, label, digits }): GridColumn => ({
        key: `cell-${key}`,
        title: label,
        kind: isFigure(key) ? 'figure' : 'words',
        ...(digits === undefined ? {} : { decimals: digits }),
      }),
    ),
  ]
}

function rowOf(table: Table, row: Row): GridRow {
  const isSuggestion = row.confidence === 'low' && table.confidence !== 'low'
  const cells: Record<string, CellValue> = { name: isSuggestion ? `${row.name} (a suggestion)` : row.name, value: row.value ?? null }
  for (const { key } of table.columns) cells[`cell-${key}`] = row.cells[key] ?? null
  return { id: row.id, cells }
}

/** A whole table, its picked row lit; low values say they are suggestions. */
export function TableSheet({ table, selectedId, onPick }: TableSheetProps) {
  const columns = useMemo(() => columnsOf(table), [table])
  const rows = useMemo(() => table.rows.map((row) => rowOf(table, row)), [table])
  return (
    <DataTable
      label={table.title}
      columns={columns}
      rows={rows}
      shown={selectedId}
      onPick={(id) => {
        const row = table.rows.find((candidate) => candidate.id === id)
        if (row) onPick(row)
      }}
    />
  )
}
