import type { BendAnswer } from '@/core/forming'
import { ALLOYS } from '@/core/metals'
import type { BentPart } from '@/core/piece'
import { formatPlain } from '@/core/units'
import { FONTS, PALETTE } from '../theme/palette'

interface BendSectionProps {
  readonly part: BentPart
  /** Radius of the middle of the metal on the former. */
  readonly formerRadiusMm: number
  readonly answer: BendAnswer
  /** Share of the strip that is bent: its middle first, the ends straight until then. */
  readonly bentShare: number
}

const WIDTH = 640
const HEIGHT = 330
const MARGIN = 22
const ARC_POINTS = 48

type Point = readonly [number, number]

/** Half of the strip's middle line from its middle: an arc, then a straight end. */
function halfLine(radiusMm: number, bentMm: number, straightMm: number): Point[] {
  const turn = bentMm / radiusMm
  const arc = Array.from({ length: ARC_POINTS + 1 }, (_, i): Point => {
    const angle = (turn * i) / ARC_POINTS
    return [radiusMm * Math.sin(angle), radiusMm * (1 - Math.cos(angle))]
  })
  const [x, y] = arc.at(-1) ?? [0, 0]
  return straightMm > 1e-6 ? [...arc, [x + straightMm * Math.cos(turn), y + straightMm * Math.sin(turn)]] : arc
}

/** How finely it is looked for. */
const SHARES = 200

/** How much of a strip can be bent on a former before its ends meet: on one of its size all of it, on a smaller one less. */
export function mostBent({ lengthMm, thicknessMm }: BentPart, formerRadiusMm: number): number {
  const gap = (share: number) => {
    const bentMm = (share * lengthMm) / 2
    return (halfLine(formerRadiusMm, bentMm, lengthMm / 2 - bentMm).at(-1)?.[0] ?? 0) + thicknessMm
  }
  const crossed = Array.from({ length: SHARES }, (_, i) => (i + 1) / SHARES).findIndex((share) => gap(share) < 0)
  return crossed < 0 ? 1 : crossed / SHARES
}

/** Both halves, from end to end. */
const wholeLine = (half: readonly Point[]): Point[] => [...half.map(([x, y]): Point => [-x, y]).reverse(), ...half.slice(1)]

function pathOf(points: readonly Point[], put: (point: Point) => Point): string {
  return points
    .map((point, i) => {
      const [x, y] = put(point)
      return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`
    })
    .join('')
}

/** A strip on its former, seen from its edge, partly bent: as it is held, and the fan it opens into when it is let go. */
export function BendSection({ part, formerRadiusMm, answer, bentShare }: BendSectionProps) {
  const { thicknessMm, lengthMm } = part
  const { colour } = ALLOYS[part.alloy]
  const bentMm = (bentShare * lengthMm) / 2
  const straightMm = lengthMm / 2 - bentMm
  const held = wholeLine(halfLine(formerRadiusMm, bentMm, straightMm))
  // a strip that springs flat is drawn as good as straight
  const flat = 50 * formerRadiusMm
  const [least, middle, most] = [answer.between.leastMm, answer.sprungRadiusMm, answer.between.mostMm].map((radius) =>
    halfLine(radius ?? flat, bentMm, straightMm),
  ) as [Point[], Point[], Point[]]
  const drawn = [...held, ...middle, ...least]
  const acrossMm = 2 * Math.max(...drawn.map(([x]) => Math.abs(x)), formerRadiusMm) + thicknessMm
  const tallMm = Math.max(...drawn.map(([, y]) => y), 2 * formerRadiusMm) + 2 * thicknessMm
  const perMm = Math.min((WIDTH - 2 * MARGIN) / acrossMm, (HEIGHT - 2 * MARGIN) / tallMm)
  const put = ([x, y]: Point): Point => [WIDTH / 2 + x * perMm, HEIGHT - MARGIN - (y + thicknessMm / 2) * perMm]
  const fan = (side: 1 | -1) => {
    const turned = (points: readonly Point[]) => points.map(([x, y]): Point => [side * x, y])
    return `${pathOf([...turned(least), ...turned(most).reverse()], put)}Z`
  }
  const [, formerY] = put([0, formerRadiusMm])
  const words = `Strip on a former of ${formatPlain(2 * formerRadiusMm - thicknessMm, 1)} mm, ${Math.round(100 * bentShare)} % of it bent; let go it ${answer.sprungRadiusMm === null ? 'springs flat' : `opens to ${formatPlain(2 * answer.sprungRadiusMm - thicknessMm, 1)} mm inside`}`
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" role="img" aria-label={words} style={{ maxHeight: HEIGHT, display: 'block' }}>
      <circle cx={WIDTH / 2} cy={formerY} r={(formerRadiusMm - thicknessMm / 2) * perMm} fill={PALETTE.steel} stroke={PALETTE.steelEdge} />
      <text x={WIDTH / 2} y={formerY + 4} textAnchor="middle" fontSize={13} fontFamily={FONTS.mono} fill={PALETTE.ink}>
        {formatPlain(2 * formerRadiusMm - thicknessMm, 1)}
      </text>
      {([1, -1] as const).map((side) => (
        <path key={side} d={fan(side)} fill={PALETTE.verdigris} fillOpacity={0.22} stroke="none" />
      ))}
      <path d={pathOf(wholeLine(middle), put)} fill="none" stroke={PALETTE.verdigris} strokeWidth={1.5} strokeDasharray="5 4" />
      <path
        d={pathOf(held, put)}
        fill="none"
        stroke={colour.edge}
        strokeWidth={Math.max(2.5, thicknessMm * perMm) + 1.5}
        strokeLinejoin="round"
      />
      <path
        d={pathOf(held, put)}
        fill="none"
        stroke={colour.face}
        strokeWidth={Math.max(2.5, thicknessMm * perMm)}
        strokeLinejoin="round"
      />
    </svg>
  )
}
