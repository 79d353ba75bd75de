'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import dynamic from 'next/dynamic'
import { useMemo, useState } from 'react'
import { piecesMesh } from '@/core/drawing'
import type { FormResult } from '@/core/forms'
import { solidsOf } from '@/core/forms'
import { metalColour } from '../drawing/metal-colour'
import { PressWheel } from './press-wheel'
import { useTurning } from './use-turning'

const SolidCanvas = dynamic(() => import('./solid-canvas').then((module) => module.SolidCanvas), { ssr: false })

/** The finished piece in 3D, true to scale, and its unrolling into the blank. */
export function SolidView({ result }: { readonly result: FormResult }) {
  const parts = useMemo(() => solidsOf(result), [result])
  const [formed, setFormed] = useState(1)
  const { turn, turning, drawable, onReady, hand } = useTurning()
  const flat = parts.every(({ solid }) => solid.kind === 'plate' || solid.kind === 'turned')
  const colour = metalColour(result)
  const bodies = useMemo(() => [{ mesh: piecesMesh(parts, formed), colour }], [parts, formed, colour])
  return (
    <Box component="figure" sx={{ m: 0, height: '100%', minHeight: { xs: 460, md: 0 }, display: 'flex', flexDirection: 'column' }}>
      <Box component="figcaption" sx={{ display: 'flex', justifyContent: 'space-between', px: 2.25, pt: 1.25 }}>
        <Typography variant="h2">{formed === 1 ? 'Finished' : formed === 0 ? 'Flat blank' : 'On the way'}</Typography>
        <Typography variant="body2">drag it, or turn it with the arrow keys</Typography>
      </Box>
      <Box
        role="group"
        aria-label="The piece in 3D; the arrow keys turn it"
        tabIndex={0}
        data-turning={turning}
        {...hand}
        sx={{ flex: 1, minHeight: 0, cursor: 'grab', touchAction: 'none', '& canvas': { display: 'block' } }}
      >
        {drawable ? (
          <SolidCanvas bodies={bodies} isStanding={parts[0]?.solid.kind !== 'swept'} turn={turn} turning={turning} onReady={onReady} />
        ) : drawable === false ? (
          <Typography sx={{ p: 2.25 }}>
            This browser cannot draw in 3D. The drawing beside shows the same piece in section and flat.
          </Typography>
        ) : null}
      </Box>
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
