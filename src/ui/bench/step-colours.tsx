'use client'
import Box from '@mui/material/Box'
import { findAlloy } from '@/core/metals'
import type { PatinaId } from '@/core/surface'
import { FilmStrip } from '../surface/film-strip'
import { PALETTE } from '../theme/palette'
import type { BenchStepView } from './tray-view'

/** What a step colours with; undefined where it colours nothing by a film. */
function agentOf({ op, params }: BenchStepView): PatinaId | undefined {
  if (op === 'heat-colour') return 'heat-colour'
  return op === 'patina-dip' ? ((params.agent as PatinaId | undefined) ?? 'sulphurated-potash') : undefined
}

const WIDE_PX = 460

/** The colours that the metal in hand goes through at a step that colours it. */
export function StepColours({ step, alloy: id }: { readonly step: BenchStepView; readonly alloy: string | undefined }) {
  const agent = agentOf(step)
  const alloy = findAlloy(id ?? '')?.id
  if (!agent || !alloy) return null
  return (
    <Box sx={{ px: 3, pb: 2 }}>
      <Box sx={{ fontSize: 16, color: PALETTE.petrolMuted, mb: 0.5 }}>What it goes through, about; a thick film turns grey-black</Box>
      <FilmStrip agent={agent} alloy={alloy} width={WIDE_PX} isDark />
    </Box>
  )
}
