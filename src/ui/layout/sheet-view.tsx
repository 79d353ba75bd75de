'use client'
import { useRef } from 'react'
import { boundsOf } from '@/core/geometry'
import { ILLEGAL_WORDS, type Illegality, type LayoutItem, type LayoutSheet, type Placement, placedRegion } from '@/core/layout'
import { FONTS, PALETTE } from '../theme/palette'

interface SheetViewProps {
  readonly sheet: LayoutSheet
  readonly colour: { readonly face: string; readonly edge: string }
  readonly items: ReadonlyMap<string, { readonly item: LayoutItem; readonly name: string }>
  readonly placements: readonly Placement[]
  readonly illegal: readonly Illegality[]
  readonly selected: number | null
  readonly width: number
  readonly height: number
  readonly onSelect: (index: number) => void
  readonly onMove: (index: number, dx: number, dy: number) => void
  readonly onTurn: (index: number) => void
}

const KEYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}

function scaleTicks(length: number): number[] {
  return Array.from({ length: Math.floor(length / 10) + 1 }, (_, i) => i * 10)
}

/** So wide is a letter of a name on a blank, px. */
const LETTER_PX = 6.4

/** The centre-punch mark in a blank, with the blank's name where there is room for it. */
function Marked({ x, y, name, room }: { readonly x: number; readonly y: number; readonly name: string; readonly room: number }) {
  const named = name.length * LETTER_PX + 14 < room
  return (
    <g pointerEvents="none">
      <path d={`M${x - 5} ${y}H${x + 5}M${x} ${y - 5}V${y + 5}`} stroke={PALETTE.onMetal} strokeWidth={0.9} />
      <circle cx={x} cy={y} r={1.4} fill={PALETTE.onMetal} />
      {named ? (
        <text x={x} y={y + 18} textAnchor="middle" fontSize={12} fontFamily={FONTS.text} fill={PALETTE.onMetal}>
          {name}
        </text>
      ) : null}
    </g>
  )
}

/** The sheet to scale with its blanks: select, drag, or move with the arrow keys; what may not lie there is hatched and named. */
export function SheetView({
  sheet,
  colour,
  items,
  placements,
  illegal,
  selected,
  width,
  height,
  onSelect,
  onMove,
  onTurn,
}: SheetViewProps) {
  const last = useRef<{ x: number; y: number } | null>(null)
  const box = boundsOf(sheet.outer)
  const scale = Math.min((width - 90) / (box.maxX - box.minX), (height - 90) / (box.maxY - box.minY), 12)
  const toX = (x: number) => 48 + (x - box.minX) * scale
  const toY = (y: number) => 28 + (box.maxY - y) * scale
  const path = (outline: readonly (readonly [number, number])[]) =>
    `M${outline.map(([x, y]) => `${toX(x).toFixed(2)} ${toY(y).toFixed(2)}`).join('L')}Z`
  const bad = new Map(
    illegal.flatMap((item) => [
      [item.index, item.reason] as const,
      ...(item.other === undefined ? [] : [[item.other, item.reason] as const]),
    ]),
  )
  return (
    <svg
      width={width}
      height={height}
      role="group"
      aria-label="Sheet with blanks"
      style={{ display: 'block', maxWidth: '100%', touchAction: 'none' }}
    >
      <defs>
        <pattern id="hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="8" height="8" fill={colour.face} />
          <rect width="3.4" height="8" fill={PALETTE.fire} />
        </pattern>
        <pattern id="taken" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill={PALETTE.ground} />
          <circle cx="3" cy="3" r="1" fill={PALETTE.muted} />
        </pattern>
        <pattern
          id="grain"
          width="64"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform={`rotate(${-(sheet.rollingDirectionDeg ?? 0)})`}
        >
          <path d="M0 1.5H40M52 1.5H64M12 5H64" stroke={colour.edge} strokeOpacity="0.28" strokeWidth="0.7" />
        </pattern>
      </defs>
      <path
        d={[sheet.outer, ...sheet.holes].map(path).join('')}
        fillRule="evenodd"
        fill={colour.face}
        stroke={colour.edge}
        strokeWidth={1.6}
      />
      <path d={[sheet.outer, ...sheet.holes].map(path).join('')} fillRule="evenodd" fill="url(#grain)" data-testid="grain" />
      {scaleTicks(box.maxX - box.minX).map((mm) => (
        <g key={mm} stroke={PALETTE.muted}>
          <path d={`M${toX(box.minX + mm)} ${toY(box.minY) + 8}v${mm % 50 === 0 ? 10 : 5}`} />
          {mm % 50 === 0 ? (
            <text
              x={toX(box.minX + mm)}
              y={toY(box.minY) + 34}
              textAnchor="middle"
              fontSize={12}
              fontFamily={FONTS.mono}
              fill={PALETTE.muted}
              stroke="none"
            >
              {mm}
            </text>
          ) : null}
        </g>
      ))}
      {(sheet.taken ?? []).map((region) => (
        <path
          key={JSON.stringify(region.outer[0])}
          d={[region.outer, ...region.holes].map(path).join('')}
          fillRule="evenodd"
          fill="url(#taken)"
          stroke={PALETTE.muted}
          strokeDasharray="4 3"
          data-testid="taken"
        />
      ))}
      {placements.map((place, index) => {
        const entry = items.get(place.id)
        if (!entry) return null
        const { outer, holes } = placedRegion(entry.item, place)
        const middle = boundsOf(outer)
        const reason = bad.get(index)
        const name = `${entry.name} ${place.copy + 1}`
        return (
          <g
            key={`${place.id}-${place.copy}`}
            role="button"
            tabIndex={0}
            aria-pressed={selected === index}
            aria-label={`${name}, at ${place.x.toFixed(1)} and ${place.y.toFixed(1)} mm${reason ? `, ${ILLEGAL_WORDS[reason]}` : ''}. Arrow keys move it, R turns it`}
            style={{ cursor: 'grab' }}
            onFocus={() => onSelect(index)}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId)
              last.current = { x: event.clientX, y: event.clientY }
              onSelect(index)
            }}
            onPointerMove={(event) => {
              if (!last.current) return
              onMove(index, (event.clientX - last.current.x) / scale, -(event.clientY - last.current.y) / scale)
              last.current = { x: event.clientX, y: event.clientY }
            }}
            onPointerUp={() => {
              last.current = null
            }}
            onKeyDown={(event) => {
              const way = KEYS[event.key]
              if (way) {
                event.preventDefault()
                const step = event.shiftKey ? 5 : 0.5
                onMove(index, way[0] * step, way[1] * step)
              } else if (event.key.toLowerCase() === 'r') onTurn(index)
            }}
          >
            <path
              d={[outer, ...holes].map(path).join('')}
              fillRule="evenodd"
              fill={reason ? 'url(#hatch)' : colour.face}
              stroke={selected === index ? PALETTE.verdigris : PALETTE.onMetal}
              strokeWidth={selected === index ? 3 : 1.1}
            />
            <Marked
              x={toX((middle.minX + middle.maxX) / 2)}
              y={toY((middle.minY + middle.maxY) / 2)}
              name={entry.name}
              room={(middle.maxX - middle.minX) * scale}
            />
          </g>
        )
      })}
    </svg>
  )
}
