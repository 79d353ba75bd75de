'use client'
import { useMemo } from 'react'
import type { StandingBody } from '@/core/assembly'
import { partOfCopy } from '@/core/piece'
import { PLAIN_METAL } from '../drawing/metal-colour'
import { TurningStage } from './turning-stage'

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
  return (
    <TurningStage
      bodies={shown}
      isStanding
      what="The piece"
      instead="The drawing beside shows the same piece in section and from above."
      sx={{ height: '100%', minHeight: { xs: 420, md: 0 } }}
    />
  )
}
