'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { type BentPart, stiffnessOf } from '@/core/piece'
import { parseSize } from '@/core/sizes'
import { formatPlain } from '@/core/units'
import { SizeField } from '../shared/size-field'
import { OwnTrial } from './own-trial'

/** What was measured of a trial strip, and the stiffness of the metal that follows from it: it counts wherever the metal is worked out. */
export function TrialStrip({
  part,
  strain,
  formerMm,
}: {
  readonly part: BentPart
  readonly strain: number
  /** Inside diameter of the former. */
  readonly formerMm: number
}) {
  const [typed, setTyped] = useState('')
  const size = typed.trim() === '' ? undefined : parseSize(typed)
  const measuredMm = size && 'mm' in size ? size.mm : undefined
  const found = measuredMm === undefined ? undefined : stiffnessOf(part, { formerMm, measuredMm, strain })
  return (
    <Box component="section" aria-label="Trial strip" sx={{ mt: 2 }}>
      <Typography variant="h2">A trial strip</Typography>
      <Typography variant="body2">The same sheet, bent on this former in this temper, let go and measured.</Typography>
      <SizeField
        label="It opened to, inside"
        value={typed}
        unit="mm"
        onChange={setTyped}
        error={typed.trim() !== '' && measuredMm === undefined ? `"${typed}" is no size` : undefined}
      />
      {measuredMm === undefined ? null : found === undefined ? (
        <Typography variant="body2">
          No stiffness near the tables’ opens it so far or so little. Check the temper, the former and the reading.
        </Typography>
      ) : (
        <Typography variant="body2">
          That is metal of <span className="fig">{formatPlain(found, 0)} GPa</span>, ± 7 % from one strip.
        </Typography>
      )}
      <OwnTrial id={`modulus-${part.alloy}`} found={found} />
    </Box>
  )
}
