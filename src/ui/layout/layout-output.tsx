'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useWorkshop } from '../shared/workshop-context'
import { PrintLayout } from './print-layout'
import type { useLayout } from './use-layout'

interface LayoutOutputProps {
  readonly layout: ReturnType<typeof useLayout>
  readonly layoutId: number
  readonly onCut: () => void
}

/** Paper, file and saw: an illegal layout says so on what it prints, and cannot be cut. */
export function LayoutOutput({ layout, layoutId, onCut }: LayoutOutputProps) {
  const { uid } = useWorkshop()
  const isLegal = layout.illegal.length === 0
  const tail = isLegal ? '' : ', as it is'
  return (
    <Box sx={{ mt: 2, display: 'grid', gap: 1 }}>
      <PrintLayout layoutId={layoutId} label={`Print full size (PDF)${tail}`} />
      <Button href={`/api/layouts/${layoutId}/svg?of=${uid}`}>Download SVG{tail}</Button>
      <Button disabled={!isLegal || layout.busy} onClick={onCut}>
        Cut: take it off the sheet
      </Button>
      <Button variant="text" onClick={layout.clear}>
        Take all blanks off
      </Button>
    </Box>
  )
}
