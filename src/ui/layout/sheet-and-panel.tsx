import Box from '@mui/material/Box'
import type { ReactNode, Ref } from 'react'
import { PALETTE } from '../theme/palette'

interface SheetAndPanelProps {
  /** Of the room the sheet is drawn in. */
  readonly sheetRef: Ref<HTMLDivElement>
  readonly sheet: ReactNode
  readonly label: string
  readonly panelPx: number
  /** What stands in the panel beside the sheet. */
  readonly children: ReactNode
}

/** A sheet as large as there is room, and the panel beside it; one under the other on a phone. */
export function SheetAndPanel({ sheetRef, sheet, label, panelPx, children }: SheetAndPanelProps) {
  return (
    <Box
      sx={{
        flex: 1,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: `minmax(0, 1fr) ${panelPx}px` },
        gridTemplateRows: { md: 'minmax(0, 1fr)' },
        minHeight: { xs: 0, md: 560 },
        overflow: { md: 'hidden' },
      }}
    >
      <Box ref={sheetRef} component="section" aria-label="Sheet" sx={{ minHeight: { xs: 420, md: 0 }, overflow: 'hidden' }}>
        {sheet}
      </Box>
      <Box
        component="section"
        aria-label={label}
        sx={{ bgcolor: PALETTE.paper, borderLeft: { md: `1px solid ${PALETTE.hairline}` }, px: 2.25, py: 1.5, overflowY: 'auto' }}
      >
        {children}
      </Box>
    </Box>
  )
}
