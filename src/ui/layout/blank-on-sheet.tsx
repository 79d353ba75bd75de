import type { KeyboardEvent, PointerEvent } from 'react'
import { boundsOf } from '@/core/geometry'
import { ILLEGAL_WORDS, type Illegality, type LayoutItem, type Placement, placedRegion } from '@/core/layout'
import { FONTS, PALETTE } from '../theme/palette'
import type { SheetScale } from './sheet-scale'

/** So wide is a letter of a name on a blank, px. */
const LETTER_PX = 6.4

interface MarkProps {
  readonly x: number
  readonly y: number
  readonly name: string
  readonly room: number
  readonly pinned: boolean
}

/** The centre-punch mark in a blank, or the head of the pin that holds it, with its name where there is room. */
function Marked({ x, y, name, room, pinned }: MarkProps) {
  const named = name.length * LETTER_PX + 14 < room
  return (
    <g pointerEvents="none">
      {pinned ? (
        <>
          <circle cx={x} cy={y} r={5.5} fill={PALETTE.onMetal} data-testid="pin" />
          <circle cx={x - 1.6} cy={y - 1.6} r={1.5} fill={PALETTE.paper} />
        </>
      ) : (
        <>
          <path d={`M${x - 5} ${y}H${x + 5}M${x} ${y - 5}V${y + 5}`} stroke={PALETTE.onMetal} strokeWidth={0.9} />
          <circle cx={x} cy={y} r={1.4} fill={PALETTE.onMetal} />
        </>
      )}
      {named ? (
        <text x={x} y={y + 18} textAnchor="middle" fontSize={12} fontFamily={FONTS.text} fill={PALETTE.onMetal}>
          {name}
        </text>
      ) : null}
    </g>
  )
}

interface BlankProps {
  readonly item: LayoutItem
  readonly name: string
  readonly place: Placement
  readonly scale: SheetScale
  readonly face: string
  readonly reason: Illegality['reason'] | undefined
  readonly isSelected: boolean
  readonly onFocus: () => void
  readonly onPointerDown: (event: PointerEvent<SVGGElement>) => void
  readonly onKeyDown: (event: KeyboardEvent<SVGGElement>) => void
}

/** A blank where it lies: hatched and named where it may not lie there. */
export function BlankOnSheet({ item, name, place, scale, face, reason, isSelected, onFocus, onPointerDown, onKeyDown }: BlankProps) {
  const { outer, holes } = placedRegion(item, place)
  const box = boundsOf(outer)
  const where = `at ${place.x.toFixed(1)} and ${place.y.toFixed(1)} mm${place.pinned ? ', pinned' : ''}`
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={isSelected}
      aria-label={`${name} ${place.copy + 1}, ${where}${reason ? `, ${ILLEGAL_WORDS[reason]}` : ''}. Arrow keys move it, R turns it, P pins it`}
      style={{ cursor: place.pinned ? 'pointer' : 'grab' }}
      onFocus={onFocus}
      onPointerDown={onPointerDown}
      onKeyDown={onKeyDown}
    >
      <path
        d={[outer, ...holes].map(scale.path).join('')}
        fillRule="evenodd"
        fill={reason ? 'url(#hatch)' : face}
        stroke={isSelected ? PALETTE.verdigris : PALETTE.onMetal}
        strokeWidth={isSelected ? 3 : 1.1}
      />
      <Marked
        x={scale.toX((box.minX + box.maxX) / 2)}
        y={scale.toY((box.minY + box.maxY) / 2)}
        name={name}
        room={(box.maxX - box.minX) * scale.pxPerMm}
        pinned={place.pinned ?? false}
      />
    </g>
  )
}
