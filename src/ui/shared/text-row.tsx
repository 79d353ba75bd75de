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
  /** Said under the words; a line with help gets the whole width and as many lines as it needs. */
  readonly help?: string
}

/** A labelled line of plain words. */
export function TextRow({ label, value, onChange, type = 'text', error, help }: TextRowProps) {
  const id = useId()
  return (
    <Box sx={{ py: 0.75, borderBottom: `1px dotted ${PALETTE.hairline}` }}>
      <Box sx={{ display: help ? 'block' : 'flex', alignItems: 'center', gap: 1, justifyContent: 'space-between' }}>
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
          {...(help ? { multiline: true, rows: 3 } : {})}
          sx={help ? { width: '100%', height: 'auto', mt: 0.5, fontFamily: FONTS.mono } : { width: '64%', fontFamily: FONTS.text }}
        />
      </Box>
      {help && !error ? <Box sx={{ color: PALETTE.muted, fontSize: 12.5, lineHeight: 1.35, mt: 0.5 }}>{help}</Box> : null}
      {error ? (
        <Box role="alert" sx={{ color: PALETTE.fire, fontSize: 12.5, mt: 0.5 }}>
          {error}
        </Box>
      ) : null}
    </Box>
  )
}
