'use client'
import { nice } from 'd3-array'
import { useMemo } from 'react'
import { Area, CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts'
import type { Settling } from '@/core/forming'
import { type CurledPart, curlOf } from '@/core/piece'
import { PALETTE } from '../theme/palette'
import { CHART_MARGIN, DASHED, mmUp, wayAlong } from './chart-axes'

const STEPS = 24

/** The opening at every share of the way, and between what it lies. */
function boreData(part: CurledPart, settling: Settling) {
  const boreAt = (share: number, way: Settling) => part.insideMm - 2 * curlOf(part, Math.max(0.02, 2 * Math.PI * share), way).waistInMm
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const share = i / STEPS
    return { share: 100 * share, bore: boreAt(share, settling), band: [boreAt(share, 'waist-shrunk'), boreAt(share, 'edges-stretched')] }
  })
}

/** The opening of a bangle as its strip is closed, as the hand shares stretch and shrink; between what all of the one and all of the other gives. */
export function CurlChart({ part, settling, closed }: { readonly part: CurledPart; readonly settling: Settling; readonly closed: number }) {
  const data = useMemo(() => boreData(part, settling), [part, settling])
  const [low, high] = nice(Math.min(...data.map(({ band }) => band[0] ?? 0)), part.insideMm, 4)
  return (
    <ResponsiveContainer width="100%" height={190}>
      <ComposedChart data={data} margin={CHART_MARGIN} title="Inside diameter as it closes, mm">
        <CartesianGrid stroke={PALETTE.hairline} vertical={false} />
        <XAxis dataKey="share" {...wayAlong('flat', 'closed', (share) => `${share} %`)} />
        <YAxis {...mmUp([low, high], 4, 1)} />
        <ReferenceLine x={100 * closed} {...DASHED} />
        <Area dataKey="band" stroke="none" fill={PALETTE.verdigris} fillOpacity={0.22} isAnimationActive={false} />
        <Line dataKey="bore" stroke={PALETTE.verdigris} strokeWidth={2.5} dot={false} isAnimationActive={false} />
      </ComposedChart>
    </ResponsiveContainer>
  )
}
