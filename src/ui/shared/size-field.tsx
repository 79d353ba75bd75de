'use client'
import InputAdornment from '@mui/material/InputAdornment'
import OutlinedInput from '@mui/material/OutlinedInput'
import { type Ref, useId } from 'react'
import { FieldRow } from './field-row'

interface SizeFieldProps {
  readonly label: string
  readonly value: string
  readonly onChange: (value: string) => void
  readonly onBlur?: () => void
  /** What was understood, or the help that stands there until something is typed. */
  readonly understood?: string | undefined
  readonly error?: string | undefined
  /** What the field is for and what is possible; shown while it is being typed in and nothing else has to be said. */
  readonly help?: string
  readonly unit?: string
  readonly wide?: boolean
  /** What stands where nothing is typed. */
  readonly placeholder?: string
  readonly name?: string
  /** The input itself, for the form that moves the focus. */
  readonly inputRef?: Ref<HTMLInputElement>
}

/** A field for what a smith would write: the label beside it, the unit inside, what was understood underneath. */
export function SizeField({
  label,
  value,
  onChange,
  onBlur,
  understood,
  error,
  help,
  unit,
  wide,
  placeholder,
  name,
  inputRef,
}: SizeFieldProps) {
  const id = useId()
  const showUnit = unit !== undefined && unit !== '' && /^-?[\d.,\s]*$/.test(value)
  return (
    <FieldRow id={id} label={label} error={error} said={understood} help={help}>
      <OutlinedInput
        id={id}
        inputRef={inputRef}
        name={name}
        placeholder={placeholder}
        value={value}
        error={error !== undefined}
        onChange={(event) => onChange(event.target.value)}
        onBlur={onBlur}
        autoComplete="off"
        sx={{ width: wide ? 170 : 116, flexShrink: 0 }}
        inputProps={{
          'aria-describedby': `${id}-said`,
          'aria-invalid': error !== undefined,
          style: { textAlign: 'right', paddingRight: showUnit ? 2 : 10 },
        }}
        endAdornment={showUnit ? <InputAdornment position="end">{unit}</InputAdornment> : undefined}
      />
    </FieldRow>
  )
}
