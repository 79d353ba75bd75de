'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { FormResult, Target } from '@/core/forms'
import { formatPlain } from '@/core/units'
import { SizeField } from '../shared/size-field'
import type { Typed } from './use-design'

interface WhatComesOutProps {
  readonly result: FormResult
  /** How far each may be off, as it was typed; empty where the usual stands. */
  readonly bands: Typed
  readonly issues: Readonly<Record<string, string>>
  readonly onChange: (dimension: string, typed: string) => void
  readonly onLeave: () => void
}

/** What can be measured: on the finished piece first, then on the way there; each dimension once. */
function targetsOf({ outcomes, sizedSteps }: FormResult): Target[] {
  const all = [...outcomes, ...sizedSteps.flatMap(({ target }) => target ?? [])]
  return all.filter(({ dimension }, i) => all.findIndex((one) => one.dimension === dimension) === i)
}

/** What the piece is to measure, and how far each size may be off: the usual, or what is typed for that size alone. */
export function WhatComesOut({ result, bands, issues, onChange, onLeave }: WhatComesOutProps) {
  const targets = targetsOf(result)
  if (targets.length === 0) return null
  return (
    <Box component="section" aria-label="What it is to measure" sx={{ mt: 1.5 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        What it is to measure, and how far off it may be, mm
      </Typography>
      {targets.map(({ dimension, label, valueMm, plusMinusMm }) => (
        <SizeField
          key={dimension}
          label={`${label} ${formatPlain(valueMm, 2)}`}
          unit="mm"
          placeholder={`± ${formatPlain(plusMinusMm, 3)}`}
          value={bands[dimension] ?? ''}
          error={issues[`bands.${dimension}`]}
          onChange={(text) => onChange(dimension, text)}
          onBlur={onLeave}
          help="How far this size may be off. Finer where it must fit, coarser where close is good enough; leave it empty for the usual."
        />
      ))}
    </Box>
  )
}
