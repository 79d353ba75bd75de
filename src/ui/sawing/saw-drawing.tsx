'use client'
import { boundsOf, middleOf, type Point } from '@/core/geometry'
import type { LayoutSheet } from '@/core/layout'
import type { PlannedCut } from '@/core/sawing'
import { SheetGround } from '../layout/sheet-ground'
import { type SheetScale, scaleOf } from '../layout/sheet-scale'
import { FONTS, PALETTE } from '../theme/palette'

interface SawDrawingProps {
  readonly sheet: LayoutSheet
  readonly colour: { readonly face: string; readonly edge: string }
  readonly cuts: readonly PlannedCut[]
  readonly made: readonly string[]
  readonly current: PlannedCut | undefined
  readonly kerfMm: number
  readonly width: number
  readonly height: number
  readonly onShow: (key: string) => void
}

/** Numbers of more cuts than this would hide the sheet: then only those soon to come have one. */
const MOST_NUMBERS = 40
const SOON = 12

const line = ([from, to]: readonly [Point, Point], { toX, toY }: SheetScale) =>
  `M${toX(from[0]).toFixed(1)} ${toY(from[1]).toFixed(1)}L${toX(to[0]).toFixed(1)} ${toY(to[1]).toFixed(1)}`

/** How far inside its line a number stands, px. */
const INSIDE_PX = 17

/** Where the number of a cut stands on the screen: just inside its line, where the cut comes to it. */
function numberAt({ wayIn, points, cut }: PlannedCut, { toX, toY }: SheetScale): Point {
  const [x, y] = wayIn?.[1] ?? cut[0] ?? [0, 0]
  const [mx, my] = middleOf(boundsOf(points))
  const [dx, dy] = [toX(mx) - toX(x), toY(my) - toY(y)]
  const share = Math.min(1, INSIDE_PX / Math.max(1e-6, Math.hypot(dx, dy)))
  return [toX(x) + dx * share, toY(y) + dy * share]
}

interface CutProps {
  readonly cut: PlannedCut
  readonly look: 'made' | 'now' | 'to come'
  readonly kerfMm: number
  readonly scale: SheetScale
}

/** One cut: open where it is made, marked where it is the next, a thin line where it is to come. */
function CutDrawn({ cut, look, kerfMm, scale }: CutProps) {
  const path = `${scale.path(cut.cut)}${cut.wayIn ? line(cut.wayIn, scale) : ''}`
  const stroke = {
    made: { stroke: PALETTE.ground, strokeWidth: Math.max(2.2, kerfMm * scale.pxPerMm) },
    now: { stroke: PALETTE.verdigris, strokeWidth: 4 },
    'to come': { stroke: PALETTE.onMetal, strokeWidth: 1.1, strokeDasharray: cut.way === 'saw' ? '' : '6 3' },
  }[look]
  const { hole } = cut
  return (
    <g>
      <path d={path} fill="none" strokeLinejoin="round" {...stroke} />
      {hole ? (
        <circle
          cx={scale.toX(hole.at[0])}
          cy={scale.toY(hole.at[1])}
          r={Math.max(3, (hole.diameterMm / 2) * scale.pxPerMm)}
          fill={look === 'to come' ? 'none' : PALETTE.ground}
          stroke={look === 'now' ? PALETTE.verdigris : PALETTE.onMetal}
          strokeWidth={look === 'now' ? 2.5 : 1.2}
        />
      ) : null}
      {look === 'now' && cut.wayIn ? (
        <circle cx={scale.toX(cut.wayIn[1][0])} cy={scale.toY(cut.wayIn[1][1])} r={5} fill={PALETTE.verdigris} />
      ) : null}
    </g>
  )
}

function Numbered({
  cut,
  scale,
  isNow,
  onShow,
}: {
  readonly cut: PlannedCut
  readonly scale: SheetScale
  readonly isNow: boolean
  readonly onShow: () => void
}) {
  const [x, y] = numberAt(cut, scale)
  return (
    <g
      role="button"
      tabIndex={-1}
      aria-label={`Cut ${cut.number}`}
      transform={`translate(${x} ${y})`}
      style={{ cursor: 'pointer' }}
      onClick={onShow}
    >
      <circle r={isNow ? 12 : 9} fill={isNow ? PALETTE.verdigris : PALETTE.paper} stroke={PALETTE.onMetal} strokeWidth={0.8} />
      <text
        y={isNow ? 4.5 : 4}
        textAnchor="middle"
        fontFamily={FONTS.mono}
        fontWeight={700}
        fontSize={isNow ? 13 : 10.5}
        fill={isNow ? '#fff' : PALETTE.ink}
      >
        {cut.number}
      </text>
    </g>
  )
}

/** The sheet with its cuts in order: made ones stand open, the next is marked with its way in, those to come are numbered. */
export function SawDrawing({ sheet, colour, cuts, made, current, kerfMm, width, height, onShow }: SawDrawingProps) {
  const scale = scaleOf(sheet, width, height)
  const lookOf = ({ key }: PlannedCut) => (key === current?.key ? 'now' : made.includes(key) ? 'made' : 'to come')
  const toCome = cuts.filter((cut) => lookOf(cut) === 'to come')
  const numbered = cuts.length <= MOST_NUMBERS ? toCome : toCome.slice(0, SOON)
  return (
    <svg width={width} height={height} role="group" aria-label="Sheet with its cuts" style={{ display: 'block', maxWidth: '100%' }}>
      <SheetGround sheet={sheet} scale={scale} colour={colour} />
      {cuts.map((cut) => (
        <CutDrawn key={cut.key} cut={cut} look={lookOf(cut)} kerfMm={kerfMm} scale={scale} />
      ))}
      {numbered.map((cut) => (
        <Numbered key={cut.key} cut={cut} scale={scale} isNow={false} onShow={() => onShow(cut.key)} />
      ))}
      {current ? <Numbered cut={current} scale={scale} isNow onShow={() => onShow(current.key)} /> : null}
    </svg>
  )
}
