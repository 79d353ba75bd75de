import type { Dimension } from '@/core/drawing'
import { FONTS, PALETTE } from '../theme/palette'
import { placeDimension } from './dimension-place'
import type { Fit } from './scale'

const TICK = 6

/** A dimension line with end ticks and extension lines, its figure set on a ground-coloured patch. */
export function DimensionLine({ dimension, fit }: { readonly dimension: Dimension; readonly fit: Fit }) {
  const { measured, ends, away, offPx, label, turned } = placeDimension(dimension, fit)
  const past = Math.sign(offPx) * 4
  return (
    <g stroke={PALETTE.ink} strokeWidth={1} fill="none">
      {offPx === 0 ? null : (
        <path
          d={measured.map(({ x, y }, i) => `M${x} ${y}L${(ends[i]?.x ?? x) + away.x * past} ${(ends[i]?.y ?? y) + away.y * past}`).join('')}
          stroke={PALETTE.muted}
          strokeWidth={0.6}
        />
      )}
      <path d={`M${ends[0].x} ${ends[0].y}L${ends[1].x} ${ends[1].y}`} />
      {ends.map((end) => (
        <path
          key={`${end.x},${end.y}`}
          d={`M${end.x - away.x * TICK} ${end.y - away.y * TICK}L${end.x + away.x * TICK} ${end.y + away.y * TICK}`}
        />
      ))}
      <text
        x={label.x}
        y={label.y}
        textAnchor="middle"
        {...(turned ? { transform: `rotate(-90 ${label.x} ${label.y})` } : {})}
        fontFamily={FONTS.mono}
        fontSize={13}
        fill={PALETTE.ink}
        stroke={PALETTE.ground}
        strokeWidth={4}
        paintOrder="stroke"
      >
        {dimension.text}
      </text>
    </g>
  )
}
