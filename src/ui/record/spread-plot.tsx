'use client'
import { nice, ticks } from 'd3-array'
import { CartesianGrid, ReferenceLine, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from 'recharts'
import { formatValue } from '@/core/units'
import { FONTS, PALETTE } from '../theme/palette'

/** Marks of an axis in mm at whole multiples of a plain step, from below the least to above the greatest. */
function marksMm(lowMm: number, highMm: number): number[] {
  const [low, high] = nice(lowMm, highMm, 5)
  return ticks(low, high, 5)
}

/** Each piece's growth over the textbook, in the order made, with the mean that is used. */
export function SpreadPlot({ growthsMm, usedMm }: { readonly growthsMm: readonly number[]; readonly usedMm: number }) {
  const data = growthsMm.map((growth, i) => ({ n: i + 1, growth: Number(growth.toFixed(3)) }))
  const marks = marksMm(Math.min(0, ...growthsMm) - 0.02, Math.max(0, ...growthsMm) + 0.02)
  const tick = { fontFamily: FONTS.mono, fontSize: 12, fill: PALETTE.muted }
  return (
    <ResponsiveContainer width="100%" height={230}>
      <ScatterChart margin={{ top: 16, right: 52, bottom: 8, left: 8 }} title="Growth of each piece over the textbook, mm">
        <CartesianGrid stroke={PALETTE.hairline} vertical={false} />
        <XAxis
          type="number"
          dataKey="n"
          domain={[0.5, Math.max(3.5, data.length + 0.5)]}
          ticks={data.map((row) => row.n)}
          tick={tick}
          stroke={PALETTE.muted}
        />
        <YAxis
          type="number"
          dataKey="growth"
          tick={tick}
          stroke={PALETTE.muted}
          width={72}
          domain={[marks[0] ?? 0, marks.at(-1) ?? 0]}
          ticks={marks}
          interval={0}
          tickFormatter={(value: number) => formatValue(value, 'mm').replace('-', '−')}
        />
        <ReferenceLine
          y={0}
          stroke={PALETTE.ink}
          label={{ value: 'textbook', position: 'insideTopRight', fontSize: 12, fill: PALETTE.ink }}
        />
        <ReferenceLine
          y={usedMm}
          stroke={PALETTE.verdigris}
          strokeDasharray="6 3"
          label={{ value: 'used', position: 'right', fontSize: 12, fill: PALETTE.verdigris }}
        />
        <Scatter data={data} fill="#a86b2b" shape="diamond" isAnimationActive={false} />
      </ScatterChart>
    </ResponsiveContainer>
  )
}
