'use client'
import Box from '@mui/material/Box'
import Select from '@mui/material/Select'
import { type Ref, useId } from 'react'
import { FieldRow } from './field-row'

interface ChoiceFieldProps {
  readonly label: string
  readonly value: string
  readonly options: Readonly<Record<string, string>>
  readonly onChange: (value: string) => void
  readonly error?: string | undefined
  readonly width?: number
  readonly onBlur?: () => void
  readonly inputRef?: Ref<HTMLSelectElement>
}

/** One of a few, as the platform's own list: quick by key, right on a phone. */
export function ChoiceField({ label, value, options, onChange, error, width = 150, onBlur, inputRef }: ChoiceFieldProps) {
  const id = useId()
  return (
    <FieldRow id={id} label={label} error={error}>
      <Select
        native
        value={value}
        inputRef={inputRef}
        onBlur={onBlur}
        error={error !== undefined}
        onChange={(event) => onChange(String(event.target.value))}
        inputProps={{ id }}
        sx={{ width, flexShrink: 0 }}
      >
        {Object.entries(options).map(([key, title]) => (
          <Box component="option" key={key} value={key}>
            {title}
          </Box>
        ))}
      </Select>
    </FieldRow>
  )
}
