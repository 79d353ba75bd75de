'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import dynamic from 'next/dynamic'
import type { ComponentProps } from 'react'
import type { SolidCanvas as Canvas } from './solid-canvas'
import { useTurning } from './use-turning'

const SolidCanvas = dynamic(() => import('./solid-canvas').then((module) => module.SolidCanvas), { ssr: false })

interface TurningStageProps extends Pick<ComponentProps<typeof Canvas>, 'bodies' | 'isStanding'> {
  /** What is on it: "The piece". */
  readonly what: string
  /** What shows the same where nothing can be drawn in 3D. */
  readonly instead: string
  readonly sx: Readonly<Record<string, unknown>>
}

/** Bodies in 3D, turned by hand or by the arrow keys; where a browser cannot draw them, where else they are to be seen. */
export function TurningStage({ bodies, isStanding, what, instead, sx }: TurningStageProps) {
  const { turn, turning, drawable, onReady, hand } = useTurning()
  return (
    <Box
      role="group"
      aria-label={`${what} in 3D; the arrow keys turn it`}
      tabIndex={0}
      data-turning={turning}
      {...hand}
      sx={{ cursor: 'grab', touchAction: 'none', '& canvas': { display: 'block' }, ...sx }}
    >
      {drawable ? (
        <SolidCanvas bodies={bodies} isStanding={isStanding} turn={turn} turning={turning} onReady={onReady} />
      ) : drawable === false ? (
        <Typography sx={{ p: 2.25 }}>This browser cannot draw in 3D. {instead}</Typography>
      ) : null}
    </Box>
  )
}
