import Box from '@mui/material/Box'
import type { ReactNode } from 'react'
import { BesidePanel } from '../shared/beside-panel'

interface PictureAndPanelProps {
  /** What the panel is called. */
  readonly label: string
  readonly isWorking?: boolean
  readonly picture: ReactNode
  readonly panel: ReactNode
}

const PANEL_PX = 380

/** A way of forming: its pictures at the left, what it comes to and what can be tried at the right. */
export function PictureAndPanel({ label, isWorking = false, picture, panel }: PictureAndPanelProps) {
  const left = (
    <Box sx={{ overflowY: 'auto', px: 2.5, py: 1.5 }} aria-busy={isWorking}>
      {picture}
    </Box>
  )
  return (
    <BesidePanel label={label} panelPx={PANEL_PX} left={left}>
      {panel}
    </BesidePanel>
  )
}
