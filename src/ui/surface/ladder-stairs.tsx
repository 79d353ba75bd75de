'use client'
import type { FacePlan } from '@/core/surface'
import { formatPlain } from '@/core/units'
import { FONTS, PALETTE } from '../theme/palette'

interface LadderStairsProps {
  readonly face: FacePlan
  readonly width: number
  readonly height: number
}

const FOOT_PX = 46
const HEAD_PX = 22
const FINEST_MICRON = 5

/** The papers of a face as stairs that go down to its finish: as high as the grain is coarse, hatched the way it is rubbed. */
export function LadderStairs({ face, width, height }: LadderStairsProps) {
  const { ladder, stopsAt, why } = face
  const coarsest = Math.max(20, ...ladder.map(({ micron }) => micron))
  const tall = (micron: number) =>
    Math.max(8, ((height - FOOT_PX - HEAD_PX) * Math.log(micron / FINEST_MICRON)) / Math.log(coarsest / FINEST_MICRON))
  const step = Math.min(150, width / (ladder.length + 1))
  const base = height - FOOT_PX
  const words = ladder.map(({ name, micron }) => `${name}, ${formatPlain(micron, 1)} µm`).join('; ')
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`Papers for the ${face.face.toLowerCase()}: ${words || 'none'}`}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <defs>
        <pattern id="rub-0" width="7" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 3H7" stroke={PALETTE.verdigris} strokeOpacity="0.5" strokeWidth="1.2" />
        </pattern>
        <pattern id="rub-90" width="6" height="7" patternUnits="userSpaceOnUse">
          <path d="M3 0V7" stroke={PALETTE.verdigris} strokeOpacity="0.5" strokeWidth="1.2" />
        </pattern>
      </defs>
      {ladder.map(({ name, micron, directionDeg, minutes, owned }, i) => {
        const high = tall(micron)
        const x = i * step
        return (
          <g key={name} transform={`translate(${x} 0)`}>
            <rect x={0} y={base - high} width={step} height={high} fill={PALETTE.paper} stroke={PALETTE.hairline} />
            <rect x={0} y={base - high} width={step} height={high} fill={`url(#rub-${directionDeg})`} />
            <path d={`M0 ${base - high}H${step}`} stroke={PALETTE.verdigris} strokeWidth={owned ? 4 : 1.6} />
            <text x={step / 2} y={base - high - 7} textAnchor="middle" fontSize={14.5} fontWeight={650} fill={PALETTE.ink}>
              {name}
            </text>
            <text x={step / 2} y={base + 17} textAnchor="middle" fontSize={12.5} fontFamily={FONTS.mono} fill={PALETTE.muted}>
              {formatPlain(micron, 1)} µm
            </text>
            {minutes === undefined ? null : (
              <text x={step / 2} y={base + 34} textAnchor="middle" fontSize={12.5} fontFamily={FONTS.mono} fill={PALETTE.muted}>
                {minutes < 1 ? 'under 1 min' : `${formatPlain(minutes, 0)} min`}
              </text>
            )}
          </g>
        )
      })}
      <path d={`M0 ${base}H${width}`} stroke={PALETTE.muted} />
      <foreignObject x={ladder.length * step + 10} y={0} width={Math.max(0, width - ladder.length * step - 10)} height={base}>
        <div style={{ height: base, display: 'flex', flexDirection: 'column', justifyContent: 'flex-end', fontSize: 13, lineHeight: 1.3 }}>
          <b style={{ fontSize: 14 }}>{ladder.length > 0 ? `Stops at ${stopsAt}` : 'No paper'}</b>
          <span style={{ color: PALETTE.muted, paddingBottom: 4 }}>{why}</span>
        </div>
      </foreignObject>
    </svg>
  )
}
