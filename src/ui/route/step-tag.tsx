import type { DraggableAttributes, DraggableSyntheticListeners } from '@dnd-kit/core'
import ButtonBase from '@mui/material/ButtonBase'
import { createContext, use } from 'react'
import { FONTS, PALETTE } from '../theme/palette'

interface StepTagProps {
  readonly id: string
  readonly label: string
  readonly isChosen: boolean
  readonly onChoose: () => void
  readonly attributes: DraggableAttributes
  readonly listeners: DraggableSyntheticListeners
}

/** The place of each step in the order: what moves down by one has its number written anew, and nothing else of it. */
export const StepNumbers = createContext<ReadonlyMap<string, number>>(new Map())

function StepNumber({ id }: { readonly id: string }) {
  return use(StepNumbers).get(id) ?? null
}

/** The stamped tag that hangs at a step: its number in the order, and what the step is moved by. */
export function StepTag({ id, label, isChosen, onChoose, attributes, listeners }: StepTagProps) {
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
          <StepNumber id={id} />
        </text>
      </svg>
    </ButtonBase>
  )
}
