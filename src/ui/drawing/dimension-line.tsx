import type { Dimension } from '@/core/drawing'
import { FONTS, PALETTE } from '../theme/palette'
import type { Fit } from './scale'

const STEP = 18
const TICK = 6

/** A dimension line with end ticks and extension lines, its figure set on a ground-coloured patch. */
export function DimensionLine({ dimension, fit }: { readonly dimension: Dimension; readonly fit: Fit }) {
  const [x1, y1, x2, y2] = [fit.toX(dimension.from[0]), fit.toY(dimension.from[1]), fit.toX(dimension.to[0]), fit.toY(dimension.to[1])]
  const length = Math.hypot(x2 - x1, y2 - y1) || 1
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length]
  const off = dimension.offset * STEP
  const [nx, ny] = [uy, -ux]
  const [a, b] = [
    { x: x1 + nx * off, y: y1 + ny * off },
    { x: x2 + nx * off, y: y2 + ny * off },
  ]
  const upright = Math.abs(uy) > Math.abs(ux)
  const turned = upright && dimension.text.length > 5
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
  const label = upright
    ? { x: middle.x + (off * nx >= 0 ? (turned ? 16 : 22) : turned ? -7 : -22), y: middle.y + (turned ? 0 : 4) }
    : { x: middle.x, y: middle.y + (off * ny >= 0 ? 17 : -8) }
  return (
    <g stroke={PALETTE.ink} strokeWidth={1} fill="none">
      {off === 0 ? null : (
        <path
          d={`M${x1} ${y1}L${a.x + nx * Math.sign(off) * 4} ${a.y + ny * Math.sign(off) * 4}M${x2} ${y2}L${b.x + nx * Math.sign(off) * 4} ${b.y + ny * Math.sign(off) * 4}`}
          stroke={PALETTE.muted}
          strokeWidth={0.6}
        />
      )}
      <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} />
      {[a, b].map((end) => (
        <path key={`${end.x},${end.y}`} d={`M${end.x - nx * TICK} ${end.y - ny * TICK}L${end.x + nx * TICK} ${end.y + ny * TICK}`} />
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
