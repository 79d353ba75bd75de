import type { CurledAnswer, Settling } from '@/core/forming'
import { type CurledPart, curlOf } from '@/core/piece'
import { formatPlain } from '@/core/units'
import { FONTS, PALETTE } from '../theme/palette'
import { strainColour } from './strain-colour'

interface CurlSectionProps {
  readonly part: CurledPart
  readonly curled: CurledAnswer
  readonly turnRad: number
  readonly settling: Settling
}

const WIDTH = 640
const HEIGHT = 280
const MARGIN = 30
const PIECES = 36

/** How far round the bangle a fibre is strained, by its place across the strip: between the three that are worked out. */
function hoopAt({ waist, quarter, edge }: CurledAnswer, share: number): number {
  const [from, to, part] = share < 0.5 ? [waist, quarter, 2 * share] : [quarter, edge, 2 * share - 1]
  return from.hoopStrain + part * (to.hoopStrain - from.hoopStrain)
}

/** The bangle cut through its axis: its strip on both sides, open outwards, as far as it is curled, and the opening between. */
export function CurlSection({ part, curled, turnRad, settling }: CurlSectionProps) {
  const closed = curlOf(part, 2 * Math.PI, settling)
  const ringMm = (part.insideMm + part.thicknessMm) / 2
  const outMm = ringMm + Math.max(2 * closed.curlRadiusMm, closed.edgeRiseMm) + part.thicknessMm
  const tallMm = Math.max(part.stripMm, 2 * closed.curlRadiusMm) + 2 * part.thicknessMm
  const perMm = Math.min((WIDTH - 2 * MARGIN) / (2 * outMm), (HEIGHT - 3 * MARGIN) / tallMm)
  const middle = HEIGHT / 2 - 14
  const waistMm = ringMm - curled.waistInMm
  const { curlRadiusMm } = curled
  /** A fibre of the strip: how far from the axis, and how far along it. */
  const at = (share: number) => {
    const angle = (share * turnRad) / 2
    return [waistMm + curlRadiusMm * (1 - Math.cos(angle)), curlRadiusMm * Math.sin(angle)] as const
  }
  const put = (side: 1 | -1, [out, along]: readonly [number, number]) => [WIDTH / 2 + side * out * perMm, middle - along * perMm] as const
  const stroke = Math.max(2.5, part.thicknessMm * perMm)
  const bore = part.insideMm - 2 * curled.waistInMm
  const words = `Bangle cut through its axis, its strip turned by ${Math.round((turnRad * 180) / Math.PI)} degrees: ${formatPlain(bore, 1)} mm inside`
  const [left, right] = [put(-1, [waistMm - part.thicknessMm / 2, 0])[0], put(1, [waistMm - part.thicknessMm / 2, 0])[0]]
  const low = HEIGHT - MARGIN
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" role="img" aria-label={words} style={{ maxHeight: HEIGHT, display: 'block' }}>
      <line x1={WIDTH / 2} x2={WIDTH / 2} y1={8} y2={HEIGHT - 8} stroke={PALETTE.muted} strokeDasharray="12 4 2 4" />
      {([1, -1] as const).map((side) => {
        const flat = [1, -1].map((way) => put(side, [ringMm, (way * part.stripMm) / 2]))
        return (
          <g key={side}>
            <line x1={flat[0]?.[0]} y1={flat[0]?.[1]} x2={flat[1]?.[0]} y2={flat[1]?.[1]} stroke={PALETTE.muted} strokeDasharray="3 5" />
            {Array.from({ length: PIECES }, (_, i) => {
              const [from, to] = [i, i + 1].map((k) => put(side, at((2 * k) / PIECES - 1)))
              const share = Math.abs((2 * i + 1) / PIECES - 1)
              return (
                <line
                  key={share * (i < PIECES / 2 ? -1 : 1)}
                  x1={from?.[0]}
                  y1={from?.[1]}
                  x2={to?.[0]}
                  y2={to?.[1]}
                  stroke={strainColour(hoopAt(curled, share))}
                  strokeWidth={stroke}
                  strokeLinecap="round"
                />
              )
            })}
          </g>
        )
      })}
      <line x1={left} x2={right} y1={low} y2={low} stroke={PALETTE.ink} />
      {[left, right].map((x) => (
        <line key={x} x1={x} x2={x} y1={middle} y2={low + 5} stroke={PALETTE.muted} strokeWidth={0.75} />
      ))}
      <text
        x={WIDTH / 2}
        y={low - 6}
        textAnchor="middle"
        fontSize={14}
        fontFamily={FONTS.mono}
        fill={PALETTE.ink}
        stroke={PALETTE.ground}
        strokeWidth={4}
        paintOrder="stroke"
      >
        {formatPlain(bore, 1)} inside
      </text>
    </svg>
  )
}
