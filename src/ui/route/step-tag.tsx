import type { DraggableAttributes, DraggableSyntheticListeners } from '@dnd-kit/core'
import ButtonBase from '@mui/material/ButtonBase'
import { FONTS, PALETTE } from '../theme/palette'

interface StepTagProps {
  readonly number: number
  readonly label: string
  readonly isChosen: boolean
  readonly onChoose: () => void
  readonly attributes: DraggableAttributes
  readonly listeners: DraggableSyntheticListeners
}

/** The stamped tag that hangs at a step: its number in the order, and what the step is moved by. */
export function StepTag({ number, label, isChosen, onChoose, attributes, listeners }: StepTagProps) {
  return (
    <ButtonBase
      {...attributes}
      {...listeners}
      aria-label={label}
      onClick={onChoose}
      sx={{ cursor: 'grab', touchAction: 'none', width: 36, height: 40 }}
    >
      <svg width="36" height="40" viewBox="0 0 36 40" aria-hidden="true">
        <path
          d="M18 2a4.6 4.6 0 0 1 4.6 4.2A16 16 0 1 1 13.4 6.2 4.6 4.6 0 0 1 18 2Z"
          fill={isChosen ? PALETTE.verdigrisSoft : PALETTE.steel}
          stroke={isChosen ? PALETTE.verdigris : PALETTE.steelEdge}
          strokeWidth={isChosen ? 2.5 : 1}
        />
        <circle cx="18" cy="7" r="1.9" fill={PALETTE.ground} stroke={PALETTE.steelEdge} strokeWidth="0.8" />
        <text
          x="18"
          y="27"
          textAnchor="middle"
          fontFamily={FONTS.mono}
          fontSize="14"
          fontWeight="700"
          fill={isChosen ? PALETTE.ink : PALETTE.onMetal}
        >
          {number}
        </text>
      </svg>
    </ButtonBase>
  )
}
