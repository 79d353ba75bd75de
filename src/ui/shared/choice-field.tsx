'use client'
import Box from '@mui/material/Box'
import { useId } from 'react'
import { PALETTE } from '../theme/palette'

interface ChoiceFieldProps {
  readonly label: string
  readonly value: string
  readonly options: Readonly<Record<string, string>>
  readonly onChange: (value: string) => void
  readonly error?: string | undefined
  readonly width?: number
}

const selectSx = {
  height: 32,
  border: `1px solid ${PALETTE.hairline}`,
  borderRadius: '4px',
  bgcolor: PALETTE.white,
  color: PALETTE.ink,
  px: 1,
  font: 'inherit',
  fontSize: 14,
  '&:focus-visible': { outline: `2px solid ${PALETTE.verdigris}`, outlineOffset: 0 },
}

/** One of a few, as the platform's own list: quick by key, right on a phone. */
export function ChoiceField({ label, value, options, onChange, error, width = 150 }: ChoiceFieldProps) {
  const id = useId()
  return (
    <Box sx={{ borderBottom: `1px dotted ${PALETTE.hairline}`, py: 0.75 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 1 }}>
        <Box component="label" htmlFor={id} sx={{ fontWeight: 600, fontSize: 14 }}>
          {label}
        </Box>
        <Box
          component="select"
          id={id}
          value={value}
          onChange={(event: React.ChangeEvent<HTMLSelectElement>) => onChange(event.target.value)}
          sx={{ ...selectSx, width }}
        >
          {Object.entries(options).map(([key, title]) => (
            <option key={key} value={key}>
              {title}
            </option>
          ))}
        </Box>
      </Box>
      {error ? (
        <Box role="alert" sx={{ fontSize: 12.5, color: PALETTE.fire, mt: 0.5 }}>
          {error}
        </Box>
      ) : null}
    </Box>
  )
}
