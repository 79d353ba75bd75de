import Box from '@mui/material/Box'
import type { ReactNode } from 'react'
import { PALETTE } from '../theme/palette'

interface PictureAndPanelProps {
  /** What the panel is called. */
  readonly label: string
  readonly isWorking?: boolean
  readonly picture: ReactNode
  readonly panel: ReactNode
}

/** A way of forming: its pictures at the left, what it comes to and what can be tried at the right. */
export function PictureAndPanel({ label, isWorking = false, picture, panel }: PictureAndPanelProps) {
  return (
    <Box
      sx={{
        flex: 1,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 380px' },
        minHeight: 0,
        overflow: { md: 'hidden' },
      }}
    >
      <Box sx={{ overflowY: 'auto', px: 2.5, py: 1.5 }} aria-busy={isWorking}>
        {picture}
      </Box>
      <Box
        component="section"
        aria-label={label}
        sx={{ bgcolor: PALETTE.paper, borderLeft: { md: `1px solid ${PALETTE.hairline}` }, px: 2.25, py: 1.5, overflowY: 'auto' }}
      >
        {panel}
      </Box>
    </Box>
  )
}
