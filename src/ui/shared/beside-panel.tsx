import Box from '@mui/material/Box'
import type { ReactNode } from 'react'
import { PALETTE } from '../theme/palette'

interface BesidePanelProps {
  /** What the panel is called. */
  readonly label: string
  readonly panelPx: number
  /** What is looked at, with as much room as there is. */
  readonly left: ReactNode
  /** So high at least, px; what is lower is scrolled. */
  readonly leastPx?: number
  readonly children: ReactNode
}

/** What is looked at, and the panel beside it; one under the other on a phone. */
export function BesidePanel({ label, panelPx, left, leastPx = 0, children }: BesidePanelProps) {
  return (
    <Box
      sx={{
        flex: 1,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: `minmax(0, 1fr) ${panelPx}px` },
        gridTemplateRows: { md: 'minmax(0, 1fr)' },
        minHeight: { xs: 0, md: leastPx },
        overflow: { md: 'hidden' },
      }}
    >
      {left}
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
