'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { PALETTE } from '../theme/palette'

export interface Choice<T> {
  readonly value: T
  readonly title: string
}

interface PartChoiceProps<T> {
  readonly label: string
  readonly choices: readonly Choice<T>[]
  readonly value: T
  readonly onChoose: (value: T) => void
}

/** One of a few things of a tray, chosen with a thumb: a part, or a piece by its number. */
export function PartChoice<T extends string | number | null>({ label, choices, value, onChoose }: PartChoiceProps<T>) {
  return (
    <Box role="radiogroup" aria-label={label} sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1, mb: 2, fontSize: 18 }}>
      <Box sx={{ color: PALETTE.petrolMuted, mr: 1 }}>{label}</Box>
      {choices.map((choice) => {
        const chosen = choice.value === value
        return (
          <ButtonBase
            key={choice.title}
            role="radio"
            aria-checked={chosen}
            onClick={() => onChoose(choice.value)}
            sx={{
              minHeight: 48,
              minWidth: 48,
              px: 2,
              borderRadius: '4px',
              fontSize: 18,
              border: `2px solid ${chosen ? PALETTE.verdigrisBench : PALETTE.petrolLine}`,
              color: chosen ? '#fff' : PALETTE.petrolText,
              '&:focus-visible': { outline: '3px solid #fff', outlineOffset: 3 },
            }}
          >
            {choice.title}
          </ButtonBase>
        )
      })}
    </Box>
  )
}
