import Box from '@mui/material/Box'
import type { ReactNode, Ref } from 'react'
import { BesidePanel } from '../shared/beside-panel'

interface SheetAndPanelProps {
  /** Of the room the sheet is drawn in. */
  readonly sheetRef: Ref<HTMLDivElement>
  readonly sheet: ReactNode
  readonly label: string
  readonly panelPx: number
  /** What stands in the panel beside the sheet. */
  readonly children: ReactNode
}

const LEAST_PX = 560

/** A sheet as large as there is room, and the panel beside it. */
export function SheetAndPanel({ sheetRef, sheet, label, panelPx, children }: SheetAndPanelProps) {
  const left = (
    <Box ref={sheetRef} component="section" aria-label="Sheet" sx={{ minHeight: { xs: 420, md: 0 }, overflow: 'hidden' }}>
      {sheet}
    </Box>
  )
  return (
    <BesidePanel label={label} panelPx={panelPx} left={left} leastPx={LEAST_PX}>
      {children}
    </BesidePanel>
  )
}
