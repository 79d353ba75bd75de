'use client'
import Box from '@mui/material/Box'
import OutlinedInput from '@mui/material/OutlinedInput'
import { useId } from 'react'
import { FONTS, PALETTE } from '../theme/palette'

interface TextRowProps {
  readonly label: string
  readonly value: string
  readonly onChange: (value: string) => void
  readonly type?: 'text' | 'date'
  readonly error?: string | undefined
}

/** A labelled line of plain words. */
export function TextRow({ label, value, onChange, type = 'text', error }: TextRowProps) {
  const id = useId()
  return (
    <Box sx={{ py: 0.75, borderBottom: `1px dotted ${PALETTE.hairline}` }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, justifyContent: 'space-between' }}>
        <Box component="label" htmlFor={id} sx={{ fontWeight: 600, fontSize: 14 }}>
          {label}
        </Box>
        <OutlinedInput
          id={id}
          type={type}
          value={value}
          error={error !== undefined}
          onChange={(event) => onChange(event.target.value)}
          autoComplete="off"
          sx={{ width: '64%', fontFamily: FONTS.text }}
        />
      </Box>
      {error ? (
        <Box role="alert" sx={{ color: PALETTE.fire, fontSize: 12.5, mt: 0.5 }}>
          {error}
        </Box>
      ) : null}
    </Box>
  )
}
