'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { FormResult } from '@/core/forms'
import { formatPlain } from '@/core/units'
import { SizeField } from '../shared/size-field'
import type { TypedOriginal } from './use-design'

interface AfterOriginalProps {
  readonly result: FormResult
  /** What was typed of the original, by dimension. */
  readonly originals: Readonly<Record<string, TypedOriginal>>
  readonly issues: Readonly<Record<string, string>>
  readonly onChange: (dimension: string, change: Partial<TypedOriginal>) => void
  readonly onLeave: () => void
}

/** The piece beside the original it is made after: what the original measures, where it is copied, and where the piece is stronger on purpose. */
export function AfterOriginal({ result, originals, issues, onChange, onLeave }: AfterOriginalProps) {
  const [isOpen, setIsOpen] = useState(false)
  // stays open while the last of it is being typed over
  if (!isOpen && Object.values(originals).some(({ mm }) => mm !== '')) setIsOpen(true)
  if (result.comparable.length === 0) return null
  if (!isOpen)
    return (
      <Button size="small" onClick={() => setIsOpen(true)} sx={{ mt: 1 }}>
        It is made after an original
      </Button>
    )
  return (
    <Box component="section" aria-label="After an original" sx={{ mt: 1.5 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        What the original measures, mm
      </Typography>
      {result.comparable.map(({ dimension, label, valueMm, plusMinusMm }) => {
        const { mm, stronger } = originals[dimension] ?? { mm: '', stronger: false }
        return (
          <Box key={dimension}>
            <SizeField
              label={label}
              unit="mm"
              placeholder={formatPlain(valueMm, 2)}
              value={mm}
              error={issues[`originals.${dimension}.mm`]}
              understood={result.afterOriginal.find((row) => row.dimension === dimension)?.said}
              onChange={(text) => onChange(dimension, { mm: text })}
              onBlur={onLeave}
              help={`Measure the original here; this piece is to have ${formatPlain(valueMm, 2)} ± ${formatPlain(plusMinusMm, 3)} mm.`}
            />
            {mm !== '' && (
              <FormControlLabel
                control={
                  <Checkbox
                    size="small"
                    checked={stronger}
                    slotProps={{ input: { 'aria-label': `${label}: larger on purpose, for strength` } }}
                    onChange={(event) => onChange(dimension, { stronger: event.target.checked })}
                  />
                }
                label="larger on purpose, for strength"
              />
            )}
          </Box>
        )
      })}
    </Box>
  )
}
