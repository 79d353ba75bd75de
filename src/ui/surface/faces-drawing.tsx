'use client'
import { boundsOf, type Outline } from '@/core/geometry'
import type { SurfacedPart } from '@/core/piece'
import { type FaceLook, FINISHES } from '@/core/surface'
import { formatPlain } from '@/core/units'
import { FONTS, PALETTE } from '../theme/palette'
import { FinishPatterns, finishFill } from './finish-patterns'

interface FacesDrawingProps {
  readonly part: SurfacedPart
  readonly looks: readonly FaceLook[]
  readonly chosen: number
  readonly colour: { readonly face: string; readonly edge: string }
  /** What lies over it once it is coloured, and where it is rubbed bright again. */
  readonly film: { readonly colour: string; readonly isRelieved: boolean } | undefined
  readonly width: number
  readonly height: number
  readonly onChoose: (face: number) => void
}

const GAP_PX = 20
const WORDS_PX = 40
const EDGE_PX = 18
/** Room for the line round a face. */
const RIM_PX = 3

/** An outline as large as it goes into a box. */
function fitted(outer: Outline, rings: readonly Outline[], width: number, height: number): string {
  const { minX, minY, maxX, maxY } = boundsOf(outer)
  const scale = Math.min(width / (maxX - minX), height / (maxY - minY))
  const [left, top] = [(width - (maxX - minX) * scale) / 2, (height - (maxY - minY) * scale) / 2]
  const place = ([x, y]: Outline[number]) => `${(left + (x - minX) * scale).toFixed(1)} ${(top + (maxY - y) * scale).toFixed(1)}`
  return rings.map((ring) => `M${ring.map(place).join('L')}Z`).join('')
}

/** Each face of a part beside the others, in its metal and its finish; edges as the strip they are. */
export function FacesDrawing({ part, looks, chosen, colour, film, width, height, onChoose }: FacesDrawingProps) {
  const tile = (width - GAP_PX * (looks.length - 1)) / Math.max(1, looks.length)
  const room = height - WORDS_PX
  return (
    <svg width={width} height={height} role="group" aria-label="Faces of the part" style={{ display: 'block', maxWidth: '100%' }}>
      <FinishPatterns id="face" colour={colour} />
      {film ? (
        <radialGradient id="relieved">
          <stop offset="0" stopColor={film.colour} stopOpacity={film.isRelieved ? 0.15 : 0.85} />
          <stop offset="1" stopColor={film.colour} stopOpacity={0.92} />
        </radialGradient>
      ) : null}
      {looks.map(({ name, finish }, i) => {
        const isEdge = name === 'Edges'
        const shape = isEdge
          ? `M4 ${room / 2 - EDGE_PX / 2}H${tile - 4}V${room / 2 + EDGE_PX / 2}H4Z`
          : fitted(part.outline, [part.outline, ...part.holes], tile, room - 2 * RIM_PX)
        const areaMm2 = part.faces.find((face) => face.name === name)?.areaMm2
        const isChosen = i === chosen
        return (
          <g
            key={name}
            role="button"
            tabIndex={0}
            aria-pressed={isChosen}
            aria-label={`${name}: ${FINISHES[finish].title}`}
            transform={`translate(${i * (tile + GAP_PX)} ${isEdge ? 0 : RIM_PX})`}
            style={{ cursor: 'pointer' }}
            onClick={() => onChoose(i)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' || event.key === ' ') onChoose(i)
            }}
          >
            <path
              d={shape}
              fillRule="evenodd"
              fill={finishFill('face', finish)}
              stroke={isChosen ? PALETTE.verdigris : colour.edge}
              strokeWidth={isChosen ? 3 : 1.4}
            />
            {film ? <path d={shape} fillRule="evenodd" fill="url(#relieved)" data-testid="film" pointerEvents="none" /> : null}
            <text x={tile / 2} y={room + 17} textAnchor="middle" fontSize={14.5} fontWeight={isChosen ? 700 : 500} fill={PALETTE.ink}>
              {name}, {FINISHES[finish].title}
            </text>
            {areaMm2 === undefined ? null : (
              <text x={tile / 2} y={room + 34} textAnchor="middle" fontSize={12.5} fontFamily={FONTS.mono} fill={PALETTE.muted}>
                {formatPlain(areaMm2, 0)} mm²
              </text>
            )}
          </g>
        )
      })}
    </svg>
  )
}
