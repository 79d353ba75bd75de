'use client'
import Box from '@mui/material/Box'
import InputAdornment from '@mui/material/InputAdornment'
import OutlinedInput from '@mui/material/OutlinedInput'
import { useId } from 'react'
import { PALETTE } from '../theme/palette'

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
  readonly name?: string
}

/** A field for what a smith would write: the label beside it, the unit inside, what was understood underneath. */
export function SizeField({ label, value, onChange, onBlur, understood, error, help, unit, wide, name }: SizeFieldProps) {
  const id = useId()
  const showUnit = unit !== undefined && unit !== '' && /^-?[\d.,\s]*$/.test(value)
  return (
    <Box
      sx={{
        borderBottom: `1px dotted ${PALETTE.hairline}`,
        py: 0.75,
        '& .help': { display: 'none' },
        '&:focus-within .help': { display: 'block' },
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 1 }}>
        <Box component="label" htmlFor={id} sx={{ fontWeight: 600, fontSize: 14 }}>
          {label}
        </Box>
        <OutlinedInput
          id={id}
          name={name}
          value={value}
          error={error !== undefined}
          onChange={(event) => onChange(event.target.value)}
          onBlur={onBlur}
          autoComplete="off"
          sx={{ width: wide ? 170 : 116 }}
          inputProps={{
            'aria-describedby': `${id}-said`,
            'aria-invalid': error !== undefined,
            style: { textAlign: 'right', paddingRight: showUnit ? 2 : 10 },
          }}
          endAdornment={
            showUnit ? (
              <InputAdornment position="end" sx={{ ml: 0.25, '& p': { fontSize: 12, color: PALETTE.muted } }}>
                {unit}
              </InputAdornment>
            ) : undefined
          }
        />
      </Box>
      <Box
        id={`${id}-said`}
        role={error ? 'alert' : undefined}
        sx={{ fontSize: 12.5, lineHeight: 1.35, color: error ? PALETTE.fire : PALETTE.muted, mt: error || understood ? 0.5 : 0 }}
      >
        {error ?? understood ?? ''}
      </Box>
      {help && !error && !understood ? (
        <Box className="help" sx={{ fontSize: 12.5, lineHeight: 1.35, color: PALETTE.muted, mt: 0.5 }}>
          {help}
        </Box>
      ) : null}
    </Box>
  )
}
