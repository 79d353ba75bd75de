'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { DapStageResult } from '@/core/forming'
import { crownFactorOf, type DappedPart } from '@/core/piece'
import { parseSize } from '@/core/sizes'
import { formatPlain } from '@/core/units'
import { SizeField } from '../shared/size-field'
import { OwnTrial } from './own-trial'

/** The crown of a finished dome under the micrometer: how far this hand thins it, against what is calculated. */
export function CrownTrial({ part, stage }: { readonly part: DappedPart; readonly stage: DapStageResult | undefined }) {
  const [typed, setTyped] = useState('')
  if (!stage) return null
  const size = typed.trim() === '' ? undefined : parseSize(typed, { expects: 'thickness' })
  const measuredMm = size && 'mm' in size ? size.mm : undefined
  const found = measuredMm === undefined ? undefined : crownFactorOf(part, stage, measuredMm)
  return (
    <Box component="section" aria-label="The crown as you measured it" sx={{ mt: 2 }}>
      <Typography variant="h2">Your own crown</Typography>
      <Typography variant="body2">
        A micrometer in the middle of a dome off the <span className="fig">{formatPlain(stage.punchMm, 1)} mm</span> punch.
      </Typography>
      <SizeField
        label="Thick at the crown"
        value={typed}
        unit="mm"
        onChange={setTyped}
        error={typed.trim() !== '' && measuredMm === undefined ? `"${typed}" is no size` : undefined}
      />
      {measuredMm !== undefined && found === undefined ? (
        <Typography variant="body2">
          At this punch the crown has hardly thinned: a deeper dome tells more. Check the punch and the reading.
        </Typography>
      ) : null}
      {found === undefined ? null : (
        <Typography variant="body2">
          That is <span className="fig">{formatPlain(found, 2)}</span> of the thinning that is calculated.
        </Typography>
      )}
      <OwnTrial id={`crown-thinning-${part.alloy}`} found={found} />
    </Box>
  )
}
