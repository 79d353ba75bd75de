'use client'
import { useMemo } from 'react'
import { type Ruler, type Scale, type ScaleMark, scalesOf, shortName } from '@/core/lookup'
import { formatPlain } from '@/core/units'
import { useSize } from '../drawing/use-size'
import { FONTS, PALETTE } from '../theme/palette'
import { type Axis, axisOf, niceTicks, spacedLabels } from './ruler-geometry'

interface RulerViewProps {
  readonly ruler: Ruler
  readonly value: number
  /** Window as a share of the value to each side. */
  readonly span: number
  readonly selected: { readonly tableId: string; readonly rowId: string } | null
  readonly onPick: (tableId: string, mark: ScaleMark) => void
  readonly onStep: (direction: 1 | -1) => void
  readonly onZoom: (factor: number) => void
}

const HEAD = 20
const GAP = 10
const FOOT = 40
/** Width of a character of the labels, px. */
const CHARACTER = 7.3

function Strip({
  scale,
  axis,
  top,
  height,
  selectedRow,
  onPick,
}: {
  readonly scale: Scale
  readonly axis: Axis
  readonly top: number
  readonly height: number
  readonly selectedRow: string | undefined
  readonly onPick: RulerViewProps['onPick']
}) {
  const shown = scale.marks.filter((mark) => mark.value >= axis.low && mark.value <= axis.high)
  const labels = spacedLabels(
    axis,
    shown.map((mark) => ({ x: axis.toX(mark.value), width: shortName(mark.row).length * CHARACTER, keep: mark.row.id === selectedRow })),
  )
  return (
    <g>
      <text x={axis.left} y={top + 13} fontFamily={FONTS.text} fontSize={13} fontWeight={600} fill={PALETTE.muted}>
        {scale.table.title}
      </text>
      {shown.map((mark, i) => {
        const x = axis.toX(mark.value)
        const on = mark.row.id === selectedRow
        const low = mark.row.confidence === 'low'
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: a shortcut for the mouse; the list beside it does the same by key
          <g key={mark.row.id} onClick={() => onPick(scale.table.id, mark)} style={{ cursor: 'pointer' }}>
            <title>{`${mark.row.name}: ${formatPlain(mark.value)}`}</title>
            <rect x={x - 4} y={top + HEAD} width={8} height={height} fill="transparent" />
            <line
              x1={x}
              x2={x}
              y1={top + HEAD}
              y2={top + HEAD + (labels[i] ? height - 15 : 9)}
              stroke={on ? PALETTE.verdigris : PALETTE.ink}
              strokeWidth={on ? 3 : 1}
              strokeDasharray={low ? '2 2' : undefined}
            />
            {labels[i] ? (
              <text
                x={x}
                y={top + HEAD + height - 3}
                textAnchor="middle"
                fontFamily={FONTS.mono}
                fontSize={12}
                fontWeight={on ? 700 : 400}
                fill={on ? PALETTE.verdigris : PALETTE.ink}
                stroke={PALETTE.white}
                strokeWidth={4}
                paintOrder="stroke"
              >
                {shortName(mark.row)}
              </text>
            ) : null}
          </g>
        )
      })}
    </g>
  )
}

const STEP_KEYS: Readonly<Record<string, 1 | -1>> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }
const ZOOM_KEYS: Readonly<Record<string, number>> = { '+': 0.6, '=': 0.6, '-': 1.6 }

/** Scales side by side on one ruler, true to each other, with a hairline through the value looked at. */
export function RulerView({ ruler, value, span, selected, onPick, onStep, onZoom }: RulerViewProps) {
  const { ref, width, height } = useSize({ width: 600, height: 620 })
  const all = useMemo(() => scalesOf(ruler), [ruler])
  const axis = axisOf(ruler.spacing, value, span, { left: 18, right: width - 18 })
  const scales = all.filter((scale) => scale.marks.some((mark) => mark.value >= axis.low && mark.value <= axis.high))
  const absent = all.filter((scale) => !scales.includes(scale)).map((scale) => scale.table.title)
  const strip = Math.min(74, Math.max(34, (height - FOOT) / scales.length - HEAD - GAP))
  const bottom = scales.length * (HEAD + GAP + strip)
  const at = axis.toX(value)
  return (
    <div
      ref={ref}
      style={{ height: '100%', minHeight: 420 }}
      role="slider"
      tabIndex={0}
      aria-label={`${ruler.title}, ${ruler.axis}: arrow keys go from mark to mark, plus and minus zoom in or out`}
      aria-valuenow={Number(value.toFixed(4))}
      aria-valuetext={`${formatPlain(value, 3)} ${ruler.unit}`}
      aria-valuemin={0}
      aria-valuemax={100000}
      onKeyDown={(event) => {
        const step = STEP_KEYS[event.key]
        const zoom = ZOOM_KEYS[event.key]
        if (step === undefined && zoom === undefined) return
        event.preventDefault()
        if (step) onStep(step)
        if (zoom) onZoom(zoom)
      }}
    >
      <svg width={width} height={Math.max(height - 4, bottom + FOOT)} aria-hidden="true" style={{ display: 'block', maxWidth: '100%' }}>
        {scales.map((scale, i) => (
          <rect
            key={scale.table.id}
            x={axis.left}
            y={i * (HEAD + GAP + strip) + HEAD}
            width={axis.right - axis.left}
            height={strip}
            fill={PALETTE.white}
            stroke={PALETTE.hairline}
          />
        ))}
        <line x1={at} x2={at} y1={HEAD} y2={bottom + 12} stroke={PALETTE.fire} strokeWidth={1} />
        {scales.map((scale, i) => (
          <Strip
            key={scale.table.id}
            scale={scale}
            axis={axis}
            top={i * (HEAD + GAP + strip)}
            height={strip}
            selectedRow={selected?.tableId === scale.table.id ? selected.rowId : undefined}
            onPick={onPick}
          />
        ))}
        {niceTicks(axis).map((tick) => (
          <g key={tick}>
            <line x1={axis.toX(tick)} x2={axis.toX(tick)} y1={bottom} y2={bottom + 6} stroke={PALETTE.muted} />
            <text x={axis.toX(tick)} y={bottom + 20} textAnchor="middle" fontFamily={FONTS.mono} fontSize={12} fill={PALETTE.muted}>
              {formatPlain(tick)}
            </text>
          </g>
        ))}
        <line x1={axis.left} x2={axis.right} y1={bottom} y2={bottom} stroke={PALETTE.muted} />
        {absent.length > 0 ? (
          <text x={axis.left} y={bottom + 35} fontSize={12.5} fill={PALETTE.muted}>
            outside this view: {absent.join(', ').toLowerCase()}
          </text>
        ) : null}
        <text x={axis.right} y={bottom + 35} textAnchor="end" fontSize={12.5} fill={PALETTE.muted}>
          {ruler.axis}
        </text>
      </svg>
    </div>
  )
}
