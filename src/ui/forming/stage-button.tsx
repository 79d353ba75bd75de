import ButtonBase from '@mui/material/ButtonBase'
import type { ReactNode } from 'react'
import { PALETTE } from '../theme/palette'

interface StageButtonProps {
  readonly isChosen: boolean
  readonly onChoose: () => void
  readonly children: ReactNode
}

/** One stage of a list of them, and which of them is drawn. */
export function StageButton({ isChosen, onChoose, children }: StageButtonProps) {
  return (
    <ButtonBase
      aria-pressed={isChosen}
      onClick={onChoose}
      sx={{
        display: 'block',
        width: '100%',
        textAlign: 'left',
        px: 1.25,
        py: 0.75,
        mb: 0.75,
        fontSize: 14,
        borderLeft: `4px solid ${isChosen ? PALETTE.verdigris : 'transparent'}`,
        bgcolor: isChosen ? PALETTE.verdigrisSoft : 'transparent',
      }}
    >
      {children}
    </ButtonBase>
  )
}
