'use client'
import { middleOf } from '@/core/geometry'
import type { Illegality, LayoutInput, LayoutItem, LayoutSheet, Placement, RestLine } from '@/core/layout'
import { PALETTE } from '../theme/palette'
import { BlankOnSheet } from './blank-on-sheet'
import { boxRound, keyOf, type Selection } from './selection'
import { SheetGround } from './sheet-ground'
import { type SheetScale, scaleOf } from './sheet-scale'
import { TurnHandle } from './turn-handle'
import { type Frame, type LayoutHands, useHands } from './use-hands'

interface SheetViewProps {
  readonly sheet: LayoutSheet
  readonly colour: { readonly face: string; readonly edge: string }
  readonly items: ReadonlyMap<string, { readonly item: LayoutItem; readonly name: string }>
  readonly placements: readonly Placement[]
  readonly illegal: readonly Illegality[]
  readonly gaps: Pick<LayoutInput, 'kerfMm' | 'marginMm'>
  readonly comesToRest: boolean
  readonly selected: Selection
  readonly width: number
  readonly height: number
  readonly onSelect: (keys: Selection) => void
  readonly hands: LayoutHands
}

/** What a dragged blank came to rest on. */
function Rests({ lines, scale: { toX, toY } }: { readonly lines: readonly RestLine[]; readonly scale: SheetScale }) {
  return lines.map(({ kind, from, to }) => (
    <g key={`${kind} ${from.join()} ${to.join()}`} pointerEvents="none" data-testid={`rests-${kind}`}>
      {kind === 'centre' ? (
        <path
          d={`M${toX(from[0])} ${toY(from[1])}L${toX(to[0])} ${toY(to[1])}`}
          stroke={PALETTE.verdigris}
          strokeWidth={1.4}
          strokeDasharray="14 4 3 4"
        />
      ) : (
        <circle cx={toX(to[0])} cy={toY(to[1])} r={6} fill="none" stroke={PALETTE.verdigris} strokeWidth={2} />
      )}
    </g>
  ))
}

function FrameDrawn({ frame: { from, to }, scale: { toX, toY } }: { readonly frame: Frame; readonly scale: SheetScale }) {
  const [x, y] = [Math.min(toX(from[0]), toX(to[0])), Math.min(toY(from[1]), toY(to[1]))]
  return (
    <rect
      x={x}
      y={y}
      width={Math.abs(toX(to[0]) - toX(from[0]))}
      height={Math.abs(toY(to[1]) - toY(from[1]))}
      fill={PALETTE.verdigris}
      fillOpacity={0.12}
      stroke={PALETTE.verdigris}
      strokeDasharray="5 3"
    />
  )
}

/** Why each blank that may not lie where it does may not, by its number. */
function reasonsOf(illegal: readonly Illegality[]): ReadonlyMap<number, Illegality['reason']> {
  return new Map(
    illegal.flatMap(({ index, other, reason }) => [[index, reason] as const, ...(other === undefined ? [] : [[other, reason] as const])]),
  )
}

/** The sheet to scale with its blanks: select, frame, drag, or move with the arrow keys; what may not lie there is hatched and named. */
export function SheetView(props: SheetViewProps) {
  const { sheet, colour, items, placements, illegal, selected, width, height } = props
  const scale = scaleOf(sheet, width, height)
  const { frame, lines, onTurnDown, onBlankDown, onBlankFocus, onGroundDown, onMove, onUp, onKeyDown } = useHands({ ...props, scale })
  const reasons = reasonsOf(illegal)
  const free = placements.filter((place) => selected.has(keyOf(place)) && !place.pinned && items.has(place.id))
  const box = free.length > 0 ? boxRound(free, items) : undefined
  return (
    <svg
      width={width}
      height={height}
      role="group"
      aria-label="Sheet with blanks"
      style={{ display: 'block', maxWidth: '100%', touchAction: 'none', userSelect: 'none' }}
      onPointerDown={onGroundDown}
      onPointerMove={onMove}
      onPointerUp={onUp}
      onPointerCancel={onUp}
    >
      <SheetGround sheet={sheet} scale={scale} colour={colour} />
      {placements.map((place, index) => {
        const entry = items.get(place.id)
        return entry ? (
          <BlankOnSheet
            key={keyOf(place)}
            item={entry.item}
            name={entry.name}
            place={place}
            scale={scale}
            face={colour.face}
            reason={reasons.get(index)}
            isSelected={selected.has(keyOf(place))}
            onFocus={onBlankFocus(place)}
            onPointerDown={onBlankDown(place)}
            onKeyDown={onKeyDown}
          />
        ) : null
      })}
      <Rests lines={lines} scale={scale} />
      {box && !frame ? (
        <TurnHandle
          box={box}
          rotationDeg={free[0]?.rotationDeg ?? 0}
          scale={scale}
          onDown={onTurnDown(middleOf(box))}
          onTurn={(byDeg) => props.hands.turn(selected, byDeg)}
        />
      ) : null}
      {frame ? <FrameDrawn frame={frame} scale={scale} /> : null}
    </svg>
  )
}
