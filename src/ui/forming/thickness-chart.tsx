'use client'
import { nice } from 'd3-array'
import { memo } from 'react'
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts'
import { PALETTE } from '../theme/palette'
import { CHART_MARGIN, DASHED, markWords, mmUp, wayAlong } from './chart-axes'

const stageKey = (index: number) => `stage${index}`

/** A stage as it is charted: how thick from the crown to the rim. */
interface Thicknesses {
  readonly profile: readonly { readonly thicknessMm: number }[]
}

/** Thickness along the profile, from the crown to the rim: the stage looked at drawn strong, the others faint; dashed the same of a way kept beside it. */
function Chart({
  stages,
  chosen,
  thicknessMm,
  kept,
}: {
  readonly stages: readonly Thicknesses[]
  readonly chosen: number
  readonly thicknessMm: number
  readonly kept?: Thicknesses | undefined
}) {
  const rings = stages[0]?.profile.length ?? 0
  const data = Array.from({ length: rings }, (_, i) => ({
    share: Math.round((100 * (i + 0.5)) / rings),
    ...(kept ? { kept: Number((kept.profile[i]?.thicknessMm ?? 0).toFixed(4)) } : {}),
    ...Object.fromEntries(stages.map(({ profile }, s) => [stageKey(s), Number((profile[i]?.thicknessMm ?? 0).toFixed(4))])),
  }))
  const all = [...stages, ...(kept ? [kept] : [])].flatMap(({ profile }) => profile.map((point) => point.thicknessMm))
  const [low, high] = nice(Math.min(thicknessMm, ...all) - 0.01, Math.max(thicknessMm, ...all) + 0.01, 4)
  return (
    <ResponsiveContainer width="100%" height={190}>
      <LineChart data={data} margin={CHART_MARGIN} title="Thickness from the crown to the rim, mm">
        <CartesianGrid stroke={PALETTE.hairline} vertical={false} />
        <XAxis dataKey="share" {...wayAlong('crown', 'rim', () => '')} />
        <YAxis {...mmUp([low, high], 4, 2)} />
        <ReferenceLine y={thicknessMm} {...DASHED} label={markWords('sheet', 'insideTopRight')} />
        {stages.map((_, s) => (
          <Line
            key={stageKey(s)}
            dataKey={stageKey(s)}
            stroke={s === chosen ? PALETTE.verdigris : PALETTE.steelEdge}
            strokeWidth={s === chosen ? 3 : 1}
            dot={false}
            isAnimationActive={false}
          />
        ))}
        {kept ? (
          <Line dataKey="kept" stroke={PALETTE.fire} strokeWidth={2} strokeDasharray="6 4" dot={false} isAnimationActive={false} />
        ) : null}
      </LineChart>
    </ResponsiveContainer>
  )
}

/** Drawn anew only for another answer: a chart takes longer to draw than a hand waits. */
export const ThicknessChart = memo(Chart)
