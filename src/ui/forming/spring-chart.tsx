'use client'
import { nice } from 'd3-array'
import { useMemo } from 'react'
import { Area, CartesianGrid, ComposedChart, Line, ReferenceDot, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts'
import { type BentPart, sprungOf } from '@/core/piece'
import { PALETTE } from '../theme/palette'
import { CHART_MARGIN, DASHED, markWords, mmAlong, mmUp } from './chart-axes'

const STEPS = 14
/** From and to so many times the size that is wanted. */
const [FROM, TO] = [0.6, 1.15]
/** As far as it opens on the chart, of the size that is wanted. */
const MOST = 1.5

const insideOf = ({ thicknessMm }: BentPart, radiusMm: number) => 2 * radiusMm - thicknessMm

/** What it opens to, with its band, from formers about the size that is wanted. */
function springData(part: BentPart, strain: number) {
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const former = 2 * part.insideRadiusMm * (FROM + ((TO - FROM) * i) / STEPS)
    const { sprungRadiusMm, between } = sprungOf(part, former / 2, strain)
    return sprungRadiusMm === null || between.leastMm === null || between.mostMm === null
      ? { former }
      : { former, sprung: insideOf(part, sprungRadiusMm), band: [insideOf(part, between.leastMm), insideOf(part, between.mostMm)] }
  })
}

/** What a strip opens to from formers of all sizes, with its band; the size that is wanted, and the former in hand. */
export function SpringChart({ part, strain, formerMm }: { readonly part: BentPart; readonly strain: number; readonly formerMm: number }) {
  const wantedMm = 2 * part.insideRadiusMm
  const data = useMemo(() => springData(part, strain), [part, strain])
  const here = sprungOf(part, formerMm / 2, strain).sprungRadiusMm
  const [low, high] = [FROM * wantedMm, TO * wantedMm]
  const [bottom, top] = nice(low, MOST * wantedMm, 5)
  return (
    <ResponsiveContainer width="100%" height={200}>
      <ComposedChart data={data} margin={CHART_MARGIN} title="Inside diameter when it is let go, mm">
        <CartesianGrid stroke={PALETTE.hairline} vertical={false} />
        <XAxis dataKey="former" {...mmAlong([low, high], 6)} />
        <YAxis {...mmUp([bottom, top], 5, 1)} allowDataOverflow />
        <ReferenceLine y={wantedMm} {...DASHED} label={markWords('wanted', 'insideTopLeft')} />
        <Area dataKey="band" stroke="none" fill={PALETTE.verdigris} fillOpacity={0.22} isAnimationActive={false} />
        <Line dataKey="sprung" stroke={PALETTE.verdigris} strokeWidth={2.5} dot={false} isAnimationActive={false} />
        {here === null ? null : (
          <ReferenceDot x={formerMm} y={insideOf(part, here)} r={5} fill={PALETTE.verdigris} stroke={PALETTE.white} />
        )}
      </ComposedChart>
    </ResponsiveContainer>
  )
}
