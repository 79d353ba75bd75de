'use client'
import { nice, ticks } from 'd3-array'
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts'
import { formatPlain } from '@/core/units'
import { FONTS, PALETTE } from '../theme/palette'

const stageKey = (index: number) => `stage${index}`

/** A stage as it is charted: how thick from the crown to the rim. */
interface Thicknesses {
  readonly profile: readonly { readonly thicknessMm: number }[]
}

/** Thickness along the profile, from the crown to the rim: the stage looked at drawn strong, the others faint; dashed the same of a way kept beside it. */
export function ThicknessChart({
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
  const tick = { fontFamily: FONTS.mono, fontSize: 12, fill: PALETTE.muted }
  const all = [...stages, ...(kept ? [kept] : [])].flatMap(({ profile }) => profile.map((point) => point.thicknessMm))
  const [low, high] = nice(Math.min(thicknessMm, ...all) - 0.01, Math.max(thicknessMm, ...all) + 0.01, 4)
  return (
    <ResponsiveContainer width="100%" height={190}>
      <LineChart data={data} margin={{ top: 10, right: 24, bottom: 4, left: 4 }} title="Thickness from the crown to the rim, mm">
        <CartesianGrid stroke={PALETTE.hairline} vertical={false} />
        <XAxis
          dataKey="share"
          type="number"
          domain={[0, 100]}
          tick={tick}
          stroke={PALETTE.muted}
          tickFormatter={(share: number) => (share === 0 ? 'crown' : share === 100 ? 'rim' : '')}
          ticks={[0, 25, 50, 75, 100]}
        />
        <YAxis
          tick={tick}
          stroke={PALETTE.muted}
          width={58}
          domain={[low, high]}
          ticks={ticks(low, high, 4)}
          tickFormatter={(mm: number) => formatPlain(mm, 2)}
        />
        <ReferenceLine
          y={thicknessMm}
          stroke={PALETTE.ink}
          strokeDasharray="2 4"
          label={{ value: 'sheet', position: 'insideTopRight', fontSize: 12, fill: PALETTE.ink }}
        />
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
