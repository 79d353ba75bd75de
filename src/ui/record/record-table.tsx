'use client'
import { useMemo } from 'react'
import type { RecordRow } from '@/server/db/repositories'
import type { GridColumn } from '../grid/columns'
import { DataTable } from '../grid/data-table'

const columnsFor = (label: string, hasPieces: boolean): readonly GridColumn[] => [
  ...(hasPieces ? [{ key: 'piece', title: 'Piece', wide: 1.6 }] : []),
  { key: 'workpiece', title: 'No.', kind: 'figure', wide: 0.6 },
  { key: 'tray', title: 'Tray', kind: 'figure', wide: 0.6 },
  { key: 'predicted', title: 'Predicted, mm', kind: 'figure', decimals: 2 },
  { key: 'measured', title: `${label}, mm`, kind: 'figure', decimals: 2 },
  { key: 'over', title: 'Over, mm', kind: 'figure', decimals: 2, signed: true },
]

/** Predicted against measured, workpiece by workpiece; each names its piece where there are several. */
export function RecordTable({ rows, height }: { readonly rows: readonly RecordRow[]; readonly height?: number }) {
  const columns = useMemo(() => columnsFor(rows[0]?.label ?? 'Measured', new Set(rows.map((row) => row.pieceName)).size > 1), [rows])
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
