'use client'
import { useMemo } from 'react'
import { piecesMesh } from '@/core/drawing'
import { type DapStageResult, domeProfile } from '@/core/forming'
import { ALLOYS, type AlloyId } from '@/core/metals'
import { TurningStage } from '../solid/turning-stage'

/** A dome at one stage in 3D: the simulated profile, as thick as it has become, turned once about its axis. */
export function DomeSolid({ stage, alloy, height }: { readonly stage: DapStageResult; readonly alloy: AlloyId; readonly height: number }) {
  const bodies = useMemo(
    () => [
      { mesh: piecesMesh([{ solid: { kind: 'turned', profile: domeProfile(stage) }, at: [0, 0, 0] }], 1), colour: ALLOYS[alloy].colour },
    ],
    [stage, alloy],
  )
  return <TurningStage bodies={bodies} isStanding what="The dome" instead="The section shows the same dome." sx={{ height }} />
}
