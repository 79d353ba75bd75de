import { boundsOf, type Outline } from '@/core/geometry'
import { type LayoutItem, type LayoutSheet, type Placement, placedRegion } from '@/core/layout'
import { colourOf } from '../drawing/metal-colour'
import { PALETTE } from '../theme/palette'

interface LittleSheetProps {
  readonly sheet: Pick<LayoutSheet, 'outer' | 'holes' | 'alloy'>
  readonly items: readonly { readonly item: LayoutItem }[]
  readonly placements: readonly Placement[]
  readonly says: string
  /** So large at most, px. */
  readonly width?: number
  readonly height?: number
}

const path = (outline: Outline) => `M${outline.map(([x, y]) => `${x.toFixed(2)} ${(-y).toFixed(2)}`).join('L')}Z`

/** A sheet in little with what lies on it. */
export function LittleSheet({ sheet, items, placements, says, width = 300, height = 150 }: LittleSheetProps) {
  const box = boundsOf(sheet.outer)
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY]
  const scale = Math.min(width / wide, height / high)
  const { face, edge } = colourOf(sheet.alloy)
  const byId = new Map(items.map(({ item }) => [item.id, item]))
  return (
    <svg viewBox={`${box.minX} ${-box.maxY} ${wide} ${high}`} width={wide * scale} height={high * scale} role="img" aria-label={says}>
      <path d={[sheet.outer, ...sheet.holes].map(path).join('')} fillRule="evenodd" fill={face} stroke={edge} strokeWidth={1.5 / scale} />
      {placements.map((place) => {
        const item = byId.get(place.id)
        if (!item) return null
        const { outer, holes } = placedRegion(item, place)
        return (
          <path
            key={`${place.id} ${place.copy}`}
            d={[outer, ...holes].map(path).join('')}
            fillRule="evenodd"
            fill={PALETTE.paper}
            fillOpacity={0.55}
            stroke={PALETTE.onMetal}
            strokeWidth={1 / scale}
          />
        )
      })}
    </svg>
  )
}
