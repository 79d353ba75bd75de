'use client'
import { useMemo } from 'react'
import type { RecordRow } from '@/server/db/repositories'
import type { GridColumn } from '../grid/columns'
import { DataTable } from '../grid/data-table'

const COLUMNS = (label: string): readonly GridColumn[] => [
  { key: 'piece', title: 'Piece', wide: 1.6 },
  { key: 'workpiece', title: 'No.', kind: 'figure', wide: 0.6 },
  { key: 'tray', title: 'Tray', kind: 'figure', wide: 0.6 },
  { key: 'predicted', title: 'Predicted, mm', kind: 'figure', decimals: 2 },
  { key: 'measured', title: `${label}, mm`, kind: 'figure', decimals: 2 },
  { key: 'over', title: 'Over, mm', kind: 'figure', decimals: 2, signed: true },
]

/** Predicted against measured, piece by piece. */
export function RecordTable({ rows, height }: { readonly rows: readonly RecordRow[]; readonly height?: number }) {
  const columns = useMemo(() => COLUMNS(rows[0]?.label ?? 'Measured'), [rows])
  const lines = useMemo(
    () =>
      rows.map((row) => ({
        id: row.item,
        cells: {
          piece: row.pieceName,
          workpiece: row.workpiece,
          tray: row.trayId,
          predicted: row.predictedMm,
          measured: row.measuredMm,
          over: row.growthMm,
        },
      })),
    [rows],
  )
  return <DataTable label="Predicted against measured" columns={columns} rows={lines} {...(height ? { height } : {})} />
}
