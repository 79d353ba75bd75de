import { type BendAnswer, stripOnFormer } from '@/core/forming'
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
type Point = readonly [number, number]

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
  const held = wholeLine(stripOnFormer(formerRadiusMm, bentMm, straightMm))
  // a strip that springs flat is drawn as good as straight
  const flat = 50 * formerRadiusMm
  const [least, middle, most] = [answer.between.leastMm, answer.sprungRadiusMm, answer.between.mostMm].map((radius) =>
    stripOnFormer(radius ?? flat, bentMm, straightMm),
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
