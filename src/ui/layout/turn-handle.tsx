import type { KeyboardEvent, PointerEvent } from 'react'
import type { Bounds } from '@/core/geometry'
import { PALETTE } from '../theme/palette'
import type { SheetScale } from './sheet-scale'

/** The handle stands so far off what it turns, px; it is as large as a fingertip. */
const [OFF_PX, GRIP_PX, DRAWN_PX] = [30, 16, 7]
const KEYS: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowLeft: 1, ArrowDown: -1, ArrowRight: -1 }

interface TurnHandleProps {
  /** The box round what is selected and not pinned, mm. */
  readonly box: Bounds
  readonly rotationDeg: number
  readonly scale: SheetScale
  readonly onDown: (event: PointerEvent<SVGGElement>) => void
  readonly onTurn: (byDeg: number) => void
}

/** Takes hold of what is selected and turns it about its middle; it stands above it, or below where there is no room. */
export function TurnHandle({ box, rotationDeg, scale, onDown, onTurn }: TurnHandleProps) {
  const x = scale.toX((box.minX + box.maxX) / 2)
  const [top, low] = [scale.toY(box.maxY), scale.toY(box.minY)]
  const isAbove = top - OFF_PX > GRIP_PX
  const [from, y] = isAbove ? [top, top - OFF_PX] : [low, low + OFF_PX]
  const onKeyDown = (event: KeyboardEvent) => {
    const byDeg = KEYS[event.key]
    if (byDeg === undefined) return
    event.preventDefault()
    event.stopPropagation()
    onTurn(event.shiftKey ? 5 * byDeg : byDeg)
  }
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label="Turned by"
      aria-valuemin={0}
      aria-valuemax={360}
      aria-valuenow={Math.round(rotationDeg)}
      aria-valuetext={`${Math.round(rotationDeg)} degrees`}
      style={{ cursor: 'grab' }}
      onPointerDown={onDown}
      onKeyDown={onKeyDown}
    >
      <path d={`M${x} ${from}V${y}`} stroke={PALETTE.verdigris} strokeWidth={1.6} strokeDasharray="3 3" />
      <circle cx={x} cy={y} r={GRIP_PX} fill={PALETTE.verdigris} fillOpacity={0} />
      <circle cx={x} cy={y} r={DRAWN_PX} fill={PALETTE.paper} stroke={PALETTE.verdigris} strokeWidth={2.4} />
    </g>
  )
}
