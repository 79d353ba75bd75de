'use client'
import Box from '@mui/material/Box'
import FormHelperText from '@mui/material/FormHelperText'
import InputLabel from '@mui/material/InputLabel'
import type { ReactNode } from 'react'
import { PALETTE } from '../theme/palette'
import { LabelWords } from './label-words'

interface FieldRowProps {
  /** Of the input that the label names; what is said about it has the same with "-said" behind. */
  readonly id: string
  readonly label: string
  readonly error?: string | undefined
  /** What was understood, or what else stands under the field. */
  readonly said?: string | undefined
  /** Shown while the field is typed in and nothing else has to be said. */
  readonly help?: string | undefined
  /** The label over the field instead of beside it. */
  readonly tall?: boolean
  readonly children: ReactNode
}

/** The one row of a form: its label, its field, and under them what is wrong or what was understood. */
export function FieldRow({ id, label, error, said, help, tall = false, children }: FieldRowProps) {
  return (
    <Box
      sx={{
        borderBottom: `1px dotted ${PALETTE.hairline}`,
        py: 0.75,
        '& .help': { display: 'none' },
        '&:focus-within .help': { display: 'block' },
      }}
    >
      <Box sx={{ display: tall ? 'block' : 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 1 }}>
        <InputLabel htmlFor={id}>
          <LabelWords label={label} />
        </InputLabel>
        {children}
      </Box>
      <FormHelperText id={`${id}-said`} error={error !== undefined} role={error ? 'alert' : undefined}>
        {error ?? said ?? ''}
      </FormHelperText>
      {help && !error && !said ? <FormHelperText className="help">{help}</FormHelperText> : null}
    </Box>
  )
}
