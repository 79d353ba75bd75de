'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import dynamic from 'next/dynamic'
import { useMemo } from 'react'
import type { StandingBody } from '@/core/assembly'
import { partOfCopy } from '@/core/piece'
import { PLAIN_METAL } from '../drawing/metal-colour'
import { useTurning } from './use-turning'

const SolidCanvas = dynamic(() => import('./solid-canvas').then((module) => module.SolidCanvas), { ssr: false })

interface BodiesViewProps {
  readonly bodies: readonly StandingBody[]
  readonly colours: ReadonlyMap<string, { readonly face: string; readonly edge: string }>
}

/** The parts of a piece in 3D where they stand, each in its own metal. */
export function BodiesView({ bodies, colours }: BodiesViewProps) {
  const shown = useMemo(
    () => bodies.map(({ id, mesh }) => ({ mesh, colour: colours.get(partOfCopy(id)) ?? PLAIN_METAL })),
    [bodies, colours],
  )
  const { turn, turning, drawable, onReady, hand } = useTurning()
  return (
    <Box
      role="group"
      aria-label="The piece in 3D; the arrow keys turn it"
      tabIndex={0}
      data-turning={turning}
      {...hand}
      sx={{ height: '100%', minHeight: { xs: 420, md: 0 }, cursor: 'grab', touchAction: 'none', '& canvas': { display: 'block' } }}
    >
      {drawable ? (
        <SolidCanvas bodies={shown} isStanding turn={turn} turning={turning} onReady={onReady} />
      ) : drawable === false ? (
        <Typography sx={{ p: 2.25 }}>
          This browser cannot draw in 3D. The drawing beside shows the same piece in section and from above.
        </Typography>
      ) : null}
    </Box>
  )
}
