'use client'
import Box from '@mui/material/Box'
import { DataGrid, type GridColDef, useGridApiRef } from '@mui/x-data-grid'
import { ChevronDown, ChevronUp, Columns3, Download, ListFilter, type LucideIcon, Search, X } from 'lucide-react'
import { useRouter } from 'next/navigation'
import { useEffect, useMemo } from 'react'
import { useDates } from '../shared/dates'
import { FONTS } from '../theme/palette'
import type { CellValue, DataTableProps, GridColumn } from './columns'

type Row = { readonly id: string | number; readonly href: string | undefined } & Readonly<Record<string, CellValue | undefined>>

/** A letter of a head, and what stands beside its words, px: no word of a head is cut. */
const LETTER_PX = 7.6
const HEAD_ROOM_PX = 24

function figureText(value: number | null | undefined, { decimals, signed }: GridColumn): string {
  if (value === null || value === undefined) return ''
  const text = decimals === undefined ? String(Math.abs(value)) : Math.abs(value).toFixed(decimals)
  return `${value < 0 ? '−' : signed ? '+' : ''}${text}`
}

function columnOf(column: GridColumn, day: (iso: string) => string): GridColDef<Row> {
  const { key, title, kind = 'words', wide = 1 } = column
  const longest = Math.max(...title.split(' ').map((word) => word.length))
  const minWidth = Math.max(kind === 'figure' ? 60 : 96, longest * LETTER_PX + HEAD_ROOM_PX)
  const plain = { field: key, headerName: title, flex: wide, minWidth }
  if (kind === 'figure')
    return { ...plain, type: 'number', cellClassName: 'fig', valueFormatter: (value?: number | null) => figureText(value, column) }
  if (kind === 'day') return { ...plain, type: 'string', valueFormatter: (value?: string) => (value ? day(value) : '') }
  return { ...plain, type: 'string' }
}

/** The program's own signs, in the size that a table has room for. */
const sized = (Icon: LucideIcon) => () => <Icon size={17} aria-hidden />
const ICONS = {
  columnSelectorIcon: sized(Columns3),
  openFilterButtonIcon: sized(ListFilter),
  columnFilteredIcon: sized(ListFilter),
  exportIcon: sized(Download),
  quickFilterIcon: sized(Search),
  quickFilterClearIcon: sized(X),
  columnSortedAscendingIcon: sized(ChevronUp),
  columnSortedDescendingIcon: sized(ChevronDown),
}

/** Words longer than this do not stand in one line. */
const LONG = 40

/** Every table of the program: sort by a head, search and filter above, copy with Ctrl+C, keep as CSV; only the rows in sight are drawn. */
export function Grid({ label, columns, rows, shown, onPick, empty = 'Nothing is here yet.', height }: DataTableProps) {
  const { day } = useDates()
  const router = useRouter()
  const api = useGridApiRef()
  const defs = useMemo(() => columns.map((column) => columnOf(column, day)), [columns, day])
  const lines = useMemo(() => rows.map(({ id, href, cells }): Row => ({ id, href, ...cells })), [rows])
  /** Sentences are read whole: their rows are as high as they need. */
  const isWordy = rows.some((row) => Object.values(row.cells).some((cell) => typeof cell === 'string' && cell.length > LONG))
  const at = shown === undefined ? -1 : rows.findIndex((row) => row.id === shown)
  useEffect(() => {
    if (at >= 0) api.current?.scrollToIndexes({ rowIndex: at })
  }, [at, api])
  return (
    <Box sx={{ height: height ?? '100%', minHeight: 220, display: 'flex', flexDirection: 'column' }}>
      <DataGrid<Row>
        apiRef={api}
        aria-label={label}
        columns={defs}
        rows={lines}
        density="compact"
        columnHeaderHeight={62}
        {...(isWordy ? { getRowHeight: () => 'auto' as const } : {})}
        showToolbar
        disableRowSelectionExcludeModel
        hideFooter={lines.length <= 100}
        rowSelectionModel={{ type: 'include', ids: new Set(shown === undefined ? [] : [shown]) }}
        onRowClick={({ row }) => {
          onPick?.(row.id)
          if (row.href) router.push(row.href)
        }}
        onCellKeyDown={({ row }, event) => {
          if (event.key !== 'Enter') return
          onPick?.(row.id)
          if (row.href) router.push(row.href)
        }}
        slots={ICONS}
        slotProps={{
          toolbar: {
            csvOptions: { fileName: label.toLowerCase().replace(/\W+/g, '-'), utf8WithBom: true },
            printOptions: { disableToolbarButton: true },
          },
        }}
        localeText={{
          noRowsLabel: empty,
          noResultsOverlayLabel: 'No row has these words.',
          toolbarQuickFilterPlaceholder: 'Search in these rows',
        }}
        sx={{
          fontFamily: FONTS.text,
          '& .fig': { fontFamily: FONTS.mono },
          // a head is read whole: it stands on as many lines as it needs
          '& .MuiDataGrid-columnHeaderTitle': { whiteSpace: 'normal', lineHeight: 1.2, fontWeight: 600 },
          ...(isWordy ? { '& .MuiDataGrid-cell': { whiteSpace: 'normal', lineHeight: 1.35, py: '7px' } } : {}),
          '& .MuiDataGrid-row': { cursor: onPick || lines.some((line) => line.href) ? 'pointer' : 'default' },
        }}
      />
    </Box>
  )
}
