'use client'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import type { RecordRow } from '@/server/db/repositories'

function signed(value: number): string {
  return `${value >= 0 ? '+' : '−'}${Math.abs(value).toFixed(2)}`
}

/** Predicted against measured, piece by piece. */
export function RecordTable({ rows }: { readonly rows: readonly RecordRow[] }) {
  return (
    <Table size="small" aria-label="Predicted against measured">
      <TableHead>
        <TableRow>
          <TableCell>Piece, {rows[0]?.label.toLowerCase() ?? ''} in mm</TableCell>
          <TableCell align="right">Predicted</TableCell>
          <TableCell align="right">Measured</TableCell>
          <TableCell align="right">Over</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map((row) => (
          <TableRow key={row.item}>
            <TableCell sx={{ whiteSpace: { md: 'nowrap' } }}>
              {row.pieceName} <span className="fig">{row.workpiece}</span>, tray <span className="fig">{row.trayId}</span>
            </TableCell>
            <TableCell align="right" className="fig">
              {row.predictedMm.toFixed(2)}
            </TableCell>
            <TableCell align="right" className="fig">
              {row.measuredMm.toFixed(2)}
            </TableCell>
            <TableCell align="right" className="fig">
              {signed(row.growthMm)}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  )
}
