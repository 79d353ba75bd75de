'use client'
import Box from '@mui/material/Box'
import MuiTable from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import { cellText, valueText } from '@/core/lookup'
import type { Row, Table } from '@/core/tables'
import { PALETTE } from '../theme/palette'

interface TableSheetProps {
  readonly table: Table
  readonly selectedId: string | undefined
  readonly onPick: (row: Row) => void
}

/** A whole table, its picked row lit; low values say they are suggestions. */
export function TableSheet({ table, selectedId, onPick }: TableSheetProps) {
  const hasValue = table.rows.some((row) => row.value !== undefined)
  return (
    <Box sx={{ overflow: 'auto', height: '100%' }} role="region" aria-label={`${table.title}, rows`} tabIndex={0}>
      <MuiTable size="small" stickyHeader aria-label={table.title}>
        <TableHead>
          <TableRow>
            <TableCell />
            {hasValue ? <TableCell align="right">{table.valueLabel}</TableCell> : null}
            {table.columns.map((column) => (
              <TableCell key={column.key}>{column.label}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {table.rows.map((row) => {
            const on = row.id === selectedId
            return (
              <TableRow
                key={row.id}
                id={`row-${row.id}`}
                onClick={() => onPick(row)}
                sx={{
                  cursor: 'pointer',
                  bgcolor: on ? PALETTE.verdigrisSoft : 'transparent',
                  '&:hover': { bgcolor: on ? PALETTE.verdigrisSoft : PALETTE.white },
                }}
              >
                <TableCell component="th" scope="row" sx={{ fontWeight: on ? 700 : 600, minWidth: 110 }}>
                  {row.name}
                  {row.confidence === 'low' && table.confidence !== 'low' ? (
                    <Box sx={{ fontSize: 12, fontWeight: 400, color: PALETTE.ochre }}>a suggestion</Box>
                  ) : null}
                </TableCell>
                {hasValue ? (
                  <TableCell align="right" className="fig">
                    {valueText(table, row)}
                  </TableCell>
                ) : null}
                {table.columns.map((column) => (
                  <TableCell key={column.key} className={typeof row.cells[column.key] === 'number' ? 'fig' : ''}>
                    {cellText(row.cells[column.key], column)}
                  </TableCell>
                ))}
              </TableRow>
            )
          })}
        </TableBody>
      </MuiTable>
    </Box>
  )
}
