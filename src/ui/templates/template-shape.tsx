import { boundsOf, type Outline, type Region } from '@/core/geometry'
import { PALETTE } from '../theme/palette'

interface TemplateShapeProps {
  readonly regions: readonly Region[]
  /** A second outline over it, dashed. */
  readonly over?: Region | undefined
  readonly mark?: readonly [number, number] | undefined
  readonly says: string
  readonly size?: number
}

const path = (outline: Outline) => `M${outline.map(([x, y]) => `${x.toFixed(3)} ${(-y).toFixed(3)}`).join('L')}Z`

/** Outlines as large as there is room. */
export function TemplateShape({ regions, over, mark, says, size = 170 }: TemplateShapeProps) {
  const all = [...regions, ...(over ? [over] : [])].flatMap(({ outer }) => outer)
  const box = boundsOf(all)
  const room = 0.04 * Math.max(box.maxX - box.minX, box.maxY - box.minY)
  const [wide, high] = [box.maxX - box.minX + 2 * room, box.maxY - box.minY + 2 * room]
  const scale = size / Math.max(wide, high)
  const thin = 1.3 / scale
  return (
    <svg
      viewBox={`${box.minX - room} ${-box.maxY - room} ${wide} ${high}`}
      width={wide * scale}
      height={high * scale}
      role="img"
      aria-label={says}
    >
      {regions.map((region) => (
        <path
          key={JSON.stringify(region.outer[0])}
          d={[region.outer, ...region.holes].map(path).join('')}
          fillRule="evenodd"
          fill={PALETTE.steel}
          stroke={PALETTE.steelEdge}
          strokeWidth={thin}
        />
      ))}
      {over ? (
        <path d={path(over.outer)} fill="none" stroke={PALETTE.fire} strokeWidth={thin} strokeDasharray={`${4 * thin} ${2 * thin}`} />
      ) : null}
      {mark ? <circle cx={mark[0]} cy={-mark[1]} r={5 * thin} fill="none" stroke={PALETTE.fire} strokeWidth={1.4 * thin} /> : null}
    </svg>
  )
}
