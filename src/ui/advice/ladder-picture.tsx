'use client'
import type { Ladder } from '@/core/advice'
import { formatPlain } from '@/core/units'
import { useSize } from '../drawing/use-size'
import { niceTicks } from '../tables/ruler-geometry'
import { FONTS, PALETTE } from '../theme/palette'

const LEFT = 16
const RIGHT = 20
const HEAD = 46
const FOOT = 52

function ticksOf(ladder: Ladder, low: number, high: number): number[] {
  if (ladder.spacing === 'linear') return niceTicks({ low, high })
  return [0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500].filter((tick) => tick >= low && tick <= high)
}

function extent(ladder: Ladder): { low: number; high: number } {
  const all = [...ladder.steps.flatMap((step) => [step.from, step.to]), ...ladder.limits.map((limit) => limit.at)]
  const [low, high] = [Math.min(...all), Math.max(...all)]
  if (ladder.spacing === 'ratio') return { low: low / 1.5, high: high * 1.4 }
  const room = Math.max((high - low) * 0.2, high * 0.002)
  return { low: low - room, high: high + room }
}

/** Steps down an axis: each bar from where it begins to where it is done, against the limits. */
export function LadderPicture({ ladder, height }: { readonly ladder: Ladder; readonly height: number }) {
  const { ref, width } = useSize({ width: 560, height: 300 })
  const row = Math.min(96, Math.max(44, (height - HEAD - FOOT) / Math.max(1, ladder.steps.length)))
  const { low, high } = extent(ladder)
  const along = (at: number) => (ladder.spacing === 'ratio' ? 1 - Math.log(at / low) / Math.log(high / low) : (at - low) / (high - low))
  const toX = (at: number) => LEFT + along(at) * (width - LEFT - RIGHT)
  const bottom = HEAD + ladder.steps.length * row
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={bottom + FOOT}
        role="img"
        aria-label={ladder.steps.map((step) => `${step.name}: ${formatPlain(step.to, 1)} ${ladder.unit}`).join(', ')}
        style={{ display: 'block', maxWidth: '100%' }}
      >
        {ladder.limits.map((limit, i) => {
          const x = toX(limit.at)
          const end = x > width / 2
          return (
            <g key={limit.name}>
              <line x1={x} x2={x} y1={20 + i * 14} y2={bottom} stroke={PALETTE.fire} strokeDasharray="5 4" />
              <text x={x + (end ? -5 : 5)} y={15 + i * 15} textAnchor={end ? 'end' : 'start'} fontSize={12.5} fill={PALETTE.fire}>
                {limit.name}, <tspan fontFamily={FONTS.mono}>{formatPlain(limit.at, 1)}</tspan>
              </text>
            </g>
          )
        })}
        {ladder.steps.map((step, i) => {
          const y = HEAD + (i + 0.5) * row
          const [a, b] = [Math.min(toX(step.from), toX(step.to)), Math.max(toX(step.from), toX(step.to))]
          const before = ladder.steps[i - 1]
          const textLeft = b > width * 0.55
          return (
            <g key={`${step.name}-${i}`}>
              {before && ladder.joined ? (
                <path
                  d={`M${toX(before.to)} ${y - row + 8}L${toX(step.to)} ${y - 8}`}
                  stroke={step.flag ? PALETTE.fire : PALETTE.muted}
                  strokeWidth={step.flag ? 2 : 1}
                  strokeDasharray={step.flag ? '3 3' : undefined}
                  fill="none"
                />
              ) : null}
              {b - a > 3 ? <rect x={a} y={y - 7} width={b - a} height={14} fill={PALETTE.ribbon} /> : null}
              <rect x={toX(step.to) - 3} y={y - 10} width={6} height={20} fill={step.flag ? PALETTE.fire : PALETTE.verdigris} />
              <text
                x={textLeft ? a - 9 : b + 10}
                y={y + 4}
                textAnchor={textLeft ? 'end' : 'start'}
                fontSize={14.5}
                fill={PALETTE.ink}
                stroke={PALETTE.ground}
                strokeWidth={4}
                paintOrder="stroke"
              >
                {step.name}{' '}
                <tspan fontFamily={FONTS.mono} fontSize={12.5} fill={PALETTE.muted}>
                  {formatPlain(step.to, 1)}
                </tspan>
                {step.flag ? ' skips a grit' : ''}
              </text>
            </g>
          )
        })}
        <line x1={LEFT} x2={width - RIGHT} y1={bottom} y2={bottom} stroke={PALETTE.muted} />
        {ticksOf(ladder, low, high).map((tick) => (
          <g key={tick}>
            <line x1={toX(tick)} x2={toX(tick)} y1={bottom} y2={bottom + 6} stroke={PALETTE.muted} />
            <text x={toX(tick)} y={bottom + 20} textAnchor="middle" fontFamily={FONTS.mono} fontSize={12} fill={PALETTE.muted}>
              {formatPlain(tick)}
            </text>
          </g>
        ))}
        <text x={width - RIGHT} y={bottom + 38} textAnchor="end" fontSize={12.5} fill={PALETTE.muted}>
          {ladder.unit === 'µm'
            ? 'coarse to fine, median grain in µm'
            : ladder.unit === '°C'
              ? 'from where it begins to melt to where it flows, °C'
              : ladder.unit}
        </text>
      </svg>
    </div>
  )
}
