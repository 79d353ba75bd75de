import type { DapStageResult, ProfilePoint } from '@/core/forming'
import { formatPlain } from '@/core/units'
import { FONTS, PALETTE } from '../theme/palette'
import { HeightHandle } from './height-handle'
import { strainColour } from './strain-colour'

interface DomeSectionProps {
  readonly stages: readonly DapStageResult[]
  readonly chosen: number
  readonly thicknessMm: number
  readonly discMm: number
  /** Another height of the dome was tried, by its middle; `isStill` once the hand lets go. */
  readonly onHeight?: (heightMm: number, isStill: boolean) => void
}

const WIDTH = 640
const HEIGHT = 300
const MARGIN = 46
/** How the drawing's millimetres lie on the screen: the pole above, the rim level below. */
function scaleOf(stages: readonly DapStageResult[], discMm: number) {
  const most = Math.max(...stages.map(({ heightMm }) => heightMm), discMm * 0.12)
  const perMm = Math.min((WIDTH - 2 * MARGIN) / discMm, (HEIGHT - 2 * MARGIN) / most)
  return { x: (mm: number) => WIDTH / 2 + mm * perMm, y: (mm: number) => HEIGHT - MARGIN - mm * perMm, perMm }
}
type Scale = ReturnType<typeof scaleOf>

/** The middle line of the metal from rim to rim. */
function lineOf(profile: readonly ProfilePoint[], { x, y }: Scale): string {
  const half = [...profile].reverse().map(({ rMm, zMm }) => [x(-rMm), y(zMm)] as const)
  const points = [...half, ...profile.map(({ rMm, zMm }) => [x(rMm), y(zMm)] as const)]
  return points.map(([px, py], i) => `${i === 0 ? 'M' : 'L'}${px.toFixed(1)} ${py.toFixed(1)}`).join('')
}

/** One stretch of metal as thick as it is, in the colour of what has become of it. */
function Stretches({
  profile,
  thicknessMm,
  scale,
}: {
  readonly profile: readonly ProfilePoint[]
  readonly thicknessMm: number
  readonly scale: Scale
}) {
  return profile.flatMap((point, i) => {
    // the first reaches over the crown to its own other side
    const before = profile[i - 1] ?? { ...point, rMm: -point.rMm }
    const wide = Math.max(1.5, ((point.thicknessMm + before.thicknessMm) / 2) * scale.perMm)
    const colour = strainColour(-Math.log((point.thicknessMm + before.thicknessMm) / 2 / thicknessMm))
    return [-1, 1].map((side) => (
      <line
        key={`${i} ${side}`}
        x1={scale.x(side * before.rMm)}
        y1={scale.y(before.zMm)}
        x2={scale.x(side * point.rMm)}
        y2={scale.y(point.zMm)}
        stroke={colour}
        strokeWidth={wide}
        strokeLinecap="round"
      />
    ))
  })
}

function Figure({
  at,
  text,
  anchor,
}: {
  readonly at: readonly [number, number]
  readonly text: string
  readonly anchor: 'start' | 'middle' | 'end'
}) {
  return (
    <text x={at[0]} y={at[1]} textAnchor={anchor} fontSize={13} fontFamily={FONTS.mono} fill={PALETTE.ink}>
      {text}
    </text>
  )
}

/** A dome cut through its middle at one stage: the punch in it, the metal as thick as it has become, and the stages before and after. */
export function DomeSection({ stages, chosen, thicknessMm, discMm, onHeight }: DomeSectionProps) {
  const stage = stages[chosen]
  if (!stage) return null
  const scale = scaleOf(stages, discMm)
  const { sphereRadiusMm, heightMm, pole, rim, rimDiameterMm, punchMm } = stage
  const words = `Section after the ${formatPlain(punchMm, 1)} mm punch: ${formatPlain(heightMm, 2)} mm high, ${formatPlain(rimDiameterMm, 2)} mm across the rim, ${formatPlain(pole.thicknessMm, 2)} mm thick at the crown and ${formatPlain(rim.thicknessMm, 2)} mm at the rim`
  return (
    <div style={{ position: 'relative' }}>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" role="img" aria-label={words} style={{ maxHeight: HEIGHT, display: 'block' }}>
        <clipPath id="punch-above">
          <rect x="0" y="0" width={WIDTH} height={scale.y(-discMm * 0.04)} />
        </clipPath>
        <circle
          cx={scale.x(0)}
          cy={scale.y(heightMm - sphereRadiusMm)}
          r={(punchMm / 2) * scale.perMm}
          fill={PALETTE.steel}
          stroke={PALETTE.steelEdge}
          clipPath="url(#punch-above)"
        />
        {stages.map((other, i) =>
          i === chosen ? null : (
            <path
              key={`${i} ${other.punchMm}`}
              d={lineOf(other.profile, scale)}
              fill="none"
              stroke={PALETTE.muted}
              strokeWidth={1}
              strokeDasharray="3 5"
            />
          ),
        )}
        <Stretches profile={stage.profile} thicknessMm={thicknessMm} scale={scale} />
        <Figure at={[scale.x(0), scale.y(heightMm) - 14]} text={formatPlain(pole.thicknessMm, 2)} anchor="middle" />
        <Figure at={[scale.x(rimDiameterMm / 2) + 12, scale.y(0) + 4]} text={formatPlain(rim.thicknessMm, 2)} anchor="start" />
        <Figure at={[scale.x(-rimDiameterMm / 2) - 12, scale.y(0) + 4]} text={formatPlain(rim.thicknessMm, 2)} anchor="end" />
      </svg>
      {onHeight ? (
        <svg
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          width="100%"
          role="group"
          aria-label="Another height"
          style={{ position: 'absolute', inset: 0, maxHeight: HEIGHT, pointerEvents: 'none' }}
        >
          <HeightHandle
            at={[scale.x(0), scale.y(heightMm)]}
            heightMm={heightMm}
            mostMm={discMm / (2 * Math.SQRT2)}
            perMm={scale.perMm}
            onHeight={onHeight}
          />
        </svg>
      ) : null}
    </div>
  )
}
