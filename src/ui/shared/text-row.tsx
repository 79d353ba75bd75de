'use client'
import OutlinedInput from '@mui/material/OutlinedInput'
import { useId } from 'react'
import { FONTS } from '../theme/palette'
import { FieldRow } from './field-row'

interface TextRowProps {
  readonly label: string
  readonly value: string
  readonly onChange: (value: string) => void
  readonly type?: 'text' | 'date'
  readonly error?: string | undefined
  /** Said under the words; a line with help gets the whole width and as many lines as it needs. */
  readonly help?: string
  /** The first field of a form that was just opened. */
  readonly autoFocus?: boolean
}

/** A labelled line of plain words. */
export function TextRow({ label, value, onChange, type = 'text', error, help, autoFocus = false }: TextRowProps) {
  const id = useId()
  return (
    <FieldRow id={id} label={label} error={error} said={help} tall={help !== undefined}>
      <OutlinedInput
        id={id}
        type={type}
        value={value}
        error={error !== undefined}
        onChange={(event) => onChange(event.target.value)}
        autoComplete="off"
        autoFocus={autoFocus}
        {...(help ? { multiline: true, rows: 3 } : {})}
        inputProps={{ 'aria-describedby': `${id}-said` }}
        sx={help ? { width: '100%', height: 'auto', mt: 0.5, fontFamily: FONTS.mono } : { width: '64%', fontFamily: FONTS.text }}
      />
    </FieldRow>
  )
}
