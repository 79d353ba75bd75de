import { FONTS, PALETTE } from '../theme/palette'
import { strainColour } from './strain-colour'

/** A point of the middle of the metal, and how thick it is there. */
interface MetalPoint {
  readonly rMm: number
  readonly zMm: number
  readonly thicknessMm: number
}

export const SECTION = { width: 640, height: 300 } as const
const MARGIN = 46

/** How the drawing's millimetres lie on the screen, the rim level near its foot; `down` where the crown hangs under the rim. */
export function scaleOf(acrossMm: number, highMm: number, down = false) {
  const perMm = Math.min((SECTION.width - 2 * MARGIN) / acrossMm, (SECTION.height - 2 * MARGIN) / highMm)
  const rimY = down ? MARGIN : SECTION.height - MARGIN
  return { x: (mm: number) => SECTION.width / 2 + mm * perMm, y: (mm: number) => rimY + (down ? 1 : -1) * mm * perMm, perMm }
}
export type SectionScale = ReturnType<typeof scaleOf>

/** The middle line of the metal from rim to rim. */
export function lineOf(profile: readonly MetalPoint[], { x, y }: SectionScale): string {
  const half = [...profile].reverse().map(({ rMm, zMm }) => [x(-rMm), y(zMm)] as const)
  const points = [...half, ...profile.map(({ rMm, zMm }) => [x(rMm), y(zMm)] as const)]
  return points.map(([px, py], i) => `${i === 0 ? 'M' : 'L'}${px.toFixed(1)} ${py.toFixed(1)}`).join('')
}

/** One stretch of metal as thick as it is, in the colour of what has become of it. */
export function Stretches({
  profile,
  thicknessMm,
  scale,
}: {
  readonly profile: readonly MetalPoint[]
  readonly thicknessMm: number
  readonly scale: SectionScale
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

export function Figure({
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

/** The stages that are not looked at, dashed. */
export function OtherStages({
  stages,
  chosen,
  scale,
}: {
  readonly stages: readonly { readonly profile: readonly MetalPoint[] }[]
  readonly chosen: number
  readonly scale: SectionScale
}) {
  const lines = stages.flatMap(({ profile }, i) => (i === chosen ? [] : [{ key: `stage ${i}`, d: lineOf(profile, scale) }]))
  return lines.map(({ key, d }) => <path key={key} d={d} fill="none" stroke={PALETTE.muted} strokeWidth={1} strokeDasharray="3 5" />)
}
