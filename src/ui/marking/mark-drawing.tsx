'use client'
import { memo, type PointerEvent, useRef, useState } from 'react'
import type { Outline, Point } from '@/core/geometry'
import { type Mark, type MarksAnswer, movedMark, type PlacedMark } from '@/core/marks'
import { PALETTE } from '../theme/palette'
import { Blows, inkOf } from './blow'
import { faceScale } from './face-scale'
import { LetterLayer } from './letter-layer'

interface MarkDrawingProps {
  readonly outer: Outline
  readonly holes: readonly Outline[]
  readonly colour: { readonly face: string; readonly edge: string }
  /** What lies on this face, with what it becomes when the blank is formed, where that is looked at. */
  readonly blows: readonly PlacedMark[]
  readonly formed: MarksAnswer['formed']
  readonly marks: readonly Mark[]
  readonly chosen: number
  readonly width: number
  readonly height: number
  readonly onChoose: (mark: number) => void
  readonly onMove: (mark: number, moved: Mark) => void
}

/** A face of a blank in its metal with what is struck on it; any mark is taken hold of and moved. */
export const MarkDrawing = memo(function MarkDrawing({
  outer,
  holes,
  colour,
  blows,
  formed,
  marks,
  chosen,
  width,
  height,
  onChoose,
  onMove,
}: MarkDrawingProps) {
  const svg = useRef<SVGSVGElement>(null)
  const [held, setHeld] = useState<{ readonly mark: number; readonly from: Point; readonly was: Mark }>()
  const scale = faceScale(outer, width, height)
  const placeOf = (event: PointerEvent): Point => {
    const box = svg.current?.getBoundingClientRect()
    return scale.toMm(event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0))
  }
  const take = (event: PointerEvent<SVGGElement>, mark: number) => {
    const was = marks[mark]
    if (!was) return
    event.currentTarget.setPointerCapture(event.pointerId)
    onChoose(mark)
    setHeld({ mark, from: placeOf(event), was })
  }
  const drag = (event: PointerEvent) => {
    if (held) onMove(held.mark, movedMark(held.was, outer, held.from, placeOf(event)))
  }
  const byMark = marks.map((_, i) => blows.filter(({ mark }) => mark === i))
  return (
    <div style={{ position: 'relative' }}>
      <svg
        ref={svg}
        width={width}
        height={height}
        role="group"
        aria-label="Blank with its marks"
        style={{ display: 'block', maxWidth: '100%' }}
      >
        <path d={[outer, ...holes].map(scale.path).join('')} fillRule="evenodd" fill={colour.face} stroke={colour.edge} strokeWidth={1.6} />
        {byMark.map((own, i) => (
          <g
            key={i}
            data-testid={`mark-${i}`}
            style={{ cursor: 'grab', touchAction: 'none' }}
            onPointerDown={(event) => take(event, i)}
            onPointerMove={drag}
            onPointerUp={() => setHeld(undefined)}
            onPointerCancel={() => setHeld(undefined)}
          >
            <Blows blows={own} isChosen={i === chosen} scale={scale} />
          </g>
        ))}
        {(formed ?? []).map(({ order, outline }) => (
          <path
            key={order}
            d={scale.path(outline)}
            fill="none"
            stroke={PALETTE.fire}
            strokeWidth={1.2}
            strokeDasharray="4 2"
            pointerEvents="none"
            data-testid="formed"
          />
        ))}
      </svg>
      <LetterLayer blows={blows} inkOf={({ mark }) => inkOf(mark === chosen)} scale={scale} width={width} height={height} />
    </div>
  )
})
