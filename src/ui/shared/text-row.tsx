'use client'
import OutlinedInput from '@mui/material/OutlinedInput'
import { type Ref, useId } from 'react'
import { FONTS } from '../theme/palette'
import { FieldRow } from './field-row'

interface TextRowProps {
  readonly label: string
  readonly value: string
  readonly onChange: (value: string) => void
  readonly error?: string | undefined
  /** Said under the words; a line with help gets the whole width and as many lines as it needs. */
  readonly help?: string
  /** The first field of a form that was just opened. */
  readonly autoFocus?: boolean
  readonly onBlur?: () => void
  readonly inputRef?: Ref<HTMLInputElement>
}

/** A labelled line of plain words. */
export function TextRow({ label, value, onChange, onBlur, error, help, autoFocus = false, inputRef }: TextRowProps) {
  const id = useId()
  return (
    <FieldRow id={id} label={label} error={error} said={help} tall={help !== undefined}>
      <OutlinedInput
        id={id}
        inputRef={inputRef}
        value={value}
        error={error !== undefined}
        onChange={(event) => onChange(event.target.value)}
        onBlur={onBlur}
        autoComplete="off"
        autoFocus={autoFocus}
        // as many lines as it has: a field that measures itself at each key makes the whole page be laid out
        {...(help ? { multiline: true, inputComponent: 'textarea' } : {})}
        inputProps={{ 'aria-describedby': `${id}-said`, ...(help ? { rows: 3 } : {}) }}
        sx={help ? { width: '100%', height: 'auto', mt: 0.5, fontFamily: FONTS.mono } : { width: '64%', fontFamily: FONTS.text }}
      />
    </FieldRow>
  )
}
