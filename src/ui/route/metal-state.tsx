'use client'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { curveSpread, hardnessBand, lightOf, orangePeel, shownHv } from '@/core/forming'
import type { Alloy } from '@/core/metals'
import { type RouteState, softenedByEye } from '@/core/piece'
import type { RegionState } from '@/core/route'
import { alloyWith } from '@/core/tables'
import { formatPlain } from '@/core/units'
import { LIGHT_COLOUR } from '../theme/light-colour'
import { PALETTE } from '../theme/palette'
import { MetalFound } from './metal-found'
import type { MetalOfStep } from './metal-of-step'
import { placeWords } from './ribbon'

const LIGHT_WORDS = { green: 'easy', amber: 'anneal soon', red: 'may split' } as const
/** Less than this is not worth a line. */
const LOST_SHOWN = 0.02

const percent = (share: number) => `${Math.round(100 * share)} %`

/** A heat that is red is so for its own reason: work is not what it does. */
function lightWords({ light, heat, meltingMarginC, workUsedFraction }: RouteState): string {
  if (!heat || light === 'green' || lightOf(workUsedFraction) === light) return LIGHT_WORDS[light]
  return `${Math.max(0, Math.round(meltingMarginC ?? 0))} °C from melting`
}

/** One place of the metal: how hard it is, how stiff against annealed, what it has used. */
function Place({ region, softHv, alloy }: { readonly region: RegionState; readonly softHv: number; readonly alloy: Alloy }) {
  const { low, high } = hardnessBand(region.hardnessHv, curveSpread(alloy))
  return (
    <Typography sx={{ fontSize: 13.5 }}>
      hardness <span className="fig">{shownHv(alloy, region.hardnessHv)} HV</span> (<span className="fig">{shownHv(alloy, low)}</span> to{' '}
      <span className="fig">{shownHv(alloy, high)}</span>), <span className="fig">{(region.hardnessHv / softHv).toFixed(1)}</span> times as
      stiff as annealed, <span className="fig">{percent(region.workUsedFraction)}</span> of its work used,{' '}
      <span className="fig">{formatPlain(region.thicknessMm, 2)} mm</span> thick
    </Typography>
  )
}

/** What the metal is after the chosen step: the place that has used most, or the one that is picked; what a heat does by eye; what was found. */
export function MetalState({ metal, part }: { readonly metal: MetalOfStep; readonly part: string }) {
  const { state, before, figures } = metal
  const [picked, setPicked] = useState<string>()
  const alloy = alloyWith(metal.alloy, figures)
  const region = state.regions.find((one) => one.region === picked) ?? state.regions.find((one) => one.region === state.worstRegion)
  const lost = Math.max(0, ...state.regions.map(({ damageFraction }) => damageFraction))
  const grainMm = Math.max(...state.regions.map((one) => one.grainMm))
  const peel = orangePeel(grainMm)
  const byEye = state.heat ? softenedByEye(alloy, { before, state }) : undefined
  return (
    <Box sx={{ my: 1 }}>
      <Typography sx={{ fontSize: 13.5 }}>
        {part ? `${part}: ` : ''}
        {state.temper.replaceAll('-', ' ')}
        {state.regions.length > 1 ? `, most worked ${placeWords(state.worstRegion)}` : ''}
      </Typography>
      {state.regions.length > 1 ? (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={region?.region}
          onChange={(_, name: string | null) => name !== null && setPicked(name)}
          aria-label="Place of the metal"
          sx={{ my: 0.5, flexWrap: 'wrap' }}
        >
          {state.regions.map(({ region: name }) => (
            <ToggleButton key={name} value={name}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      ) : null}
      {region ? <Place region={region} softHv={state.hardnessHv / state.stiffness} alloy={alloy} /> : null}
      <Typography sx={{ fontSize: 13.5, color: LIGHT_COLOUR[state.light] }}>
        <b className="fig">{percent(state.workLeftFraction)}</b> work left, {lightWords(state)}
      </Typography>
      {byEye && state.softenedFraction !== null ? (
        <Typography sx={{ fontSize: 13.5 }}>
          Softens <span className="fig">{percent(state.softenedFraction)}</span>; 40 °C cooler, as an eye may take it,{' '}
          <span className="fig">{percent(byEye.cooler)}</span>, 40 °C hotter <span className="fig">{percent(byEye.hotter)}</span>.
        </Typography>
      ) : null}
      {state.isPastCurve ? (
        <Typography sx={{ fontSize: 13, color: PALETTE.ochre }}>
          Worked past what is known of this metal (about 80 % of reduction): it is at least as hard as this.
        </Typography>
      ) : null}
      {peel === 'none' || state.coarseGrain ? null : (
        <Typography sx={{ fontSize: 13, color: PALETTE.ochre }}>
          Held so hot its grain has grown to <span className="fig">{grainMm.toPrecision(1)} mm</span>:{' '}
          {peel === 'slight' ? 'some' : 'plain'} orange peel where it is formed on.
        </Typography>
      )}
      {state.coarseGrain ? (
        <Typography sx={{ fontSize: 13, color: PALETTE.ochre }}>
          Lightly worked and then annealed, its grain comes out coarse: it may show as orange peel when it is formed on.
        </Typography>
      ) : null}
      {lost > LOST_SHOWN ? (
        <Typography sx={{ fontSize: 13, color: PALETTE.fire }}>
          {percent(lost)} is gone for good: cracks have begun, and no anneal closes them
        </Typography>
      ) : null}
      <MetalFound metal={metal} />
    </Box>
  )
}
