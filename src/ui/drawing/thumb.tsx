import { type DrawingView, viewBounds } from '@/core/drawing'
import { outlinePath } from './outline-path'

interface ThumbProps {
  readonly view: DrawingView
  readonly colour: { readonly face: string; readonly edge: string }
  readonly size?: number
}

/** A piece in little: the metal alone, in its colour. */
export function Thumb({ view, colour, size = 64 }: ThumbProps) {
  const box = viewBounds({ ...view, dimensions: [] })
  const [w, h] = [Math.max(0.1, box.maxX - box.minX), Math.max(0.1, box.maxY - box.minY)]
  const room = 0.06 * Math.max(w, h)
  const regions = view.shapes.filter((shape) => shape.kind === 'region')
  const least = Math.max(w, h) * 0.02
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${box.minX - room} ${-box.maxY - room} ${w + 2 * room} ${h + 2 * room}`}
      aria-hidden="true"
      style={{ flexShrink: 0 }}
    >
      {regions.map((shape, i) => (
        <path
          key={`${shape.layer}-${i}`}
          fillRule="evenodd"
          fill={colour.face}
          stroke={colour.edge}
          strokeWidth={least}
          d={[shape.outer, ...shape.holes].map(outlinePath).join('')}
        />
      ))}
    </svg>
  )
}
