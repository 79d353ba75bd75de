'use client'
import Skeleton from '@mui/material/Skeleton'
import dynamic from 'next/dynamic'
import type { DataTableProps } from './columns'

const Grid = dynamic(() => import('./grid').then((module) => module.Grid), {
  ssr: false,
  loading: () => <Skeleton variant="rounded" height={220} role="status" aria-label="Loading the table" />,
})

/** A table that sorts, searches, copies and is kept as CSV; it is loaded when it is first shown. */
export function DataTable(props: DataTableProps) {
  return <Grid {...props} />
}
