'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import { piecesMesh } from '@/core/drawing'
import type { FormResult } from '@/core/forms'
import { solidsOf } from '@/core/forms'
import { metalColour } from '../drawing/metal-colour'
import { PressWheel } from './press-wheel'
import { TurningStage } from './turning-stage'

/** The finished piece in 3D, true to scale, and its unrolling into the blank. */
export function SolidView({ result }: { readonly result: FormResult }) {
  const parts = useMemo(() => solidsOf(result), [result])
  const [formed, setFormed] = useState(1)
  const flat = parts.every(({ solid }) => solid.kind === 'plate' || solid.kind === 'turned')
  const colour = metalColour(result)
  const bodies = useMemo(() => [{ mesh: piecesMesh(parts, formed), colour }], [parts, formed, colour])
  return (
    <Box component="figure" sx={{ m: 0, height: '100%', minHeight: { xs: 460, md: 0 }, display: 'flex', flexDirection: 'column' }}>
      <Box component="figcaption" sx={{ display: 'flex', justifyContent: 'space-between', px: 2.25, pt: 1.25 }}>
        <Typography variant="h2">{formed === 1 ? 'Finished' : formed === 0 ? 'Flat blank' : 'On the way'}</Typography>
        <Typography variant="body2">drag it, or turn it with the arrow keys</Typography>
      </Box>
      <TurningStage
        bodies={bodies}
        isStanding={parts[0]?.solid.kind !== 'swept'}
        what="The piece"
        instead="The drawing beside shows the same piece in section and flat."
        sx={{ flex: 1, minHeight: 0 }}
      />
      {flat ? null : (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, px: 3, pb: 1.5 }}>
          <PressWheel value={formed} onChange={setFormed} />
          <Typography variant="body2">
            <span className="fig">{Math.round(100 * formed)} %</span> formed: turn the wheel back for the flat blank.
          </Typography>
          <Button onClick={() => setFormed(formed > 0 ? 0 : 1)}>{formed > 0 ? 'Flat blank' : 'Finished'}</Button>
        </Box>
      )}
    </Box>
  )
}
