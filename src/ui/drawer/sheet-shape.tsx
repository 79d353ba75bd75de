import { boundsOf } from '@/core/geometry'
import { ALLOYS } from '@/core/metals'
import type { Stock } from '@/server/db/repositories'
import { outlinePath } from '../drawing/outline-path'
import { PALETTE } from '../theme/palette'
import { thicknessOf } from './stock-facts'

/** Pixels to a millimetre: everything in the drawer at the same scale, so that sizes compare by eye. */
const SCALE = 1.7
/** Wire and tube are drawn this much shorter than they are. */
const LENGTHS = 0.25

export type Shaped = Pick<Stock, 'kind' | 'alloy' | 'outer' | 'holes' | 'lengthMm' | 'acrossMm' | 'thicknessMm' | 'measuredMm'>

function Length({ stock }: { readonly stock: Shaped }) {
  const colour = ALLOYS[stock.alloy].colour
  const across = stock.kind === 'tube' ? (stock.acrossMm ?? 1) * SCALE : Math.max(3, thicknessOf(stock) * 3)
  const width = Math.min(280, (stock.lengthMm ?? 0) * LENGTHS)
  const bore = stock.kind === 'tube' ? Math.max(0.5, across / 2 - thicknessOf(stock) * SCALE) : 0
  return (
    <svg width={width + across} height={across + 4} aria-hidden="true">
      <rect x={across / 4} y={2} width={width} height={across} rx={1.5} fill={colour.face} stroke={colour.edge} />
      {bore > 0 ? (
        <>
          <ellipse cx={width + across / 4} cy={2 + across / 2} rx={across / 4} ry={across / 2} fill={colour.face} stroke={colour.edge} />
          <ellipse cx={width + across / 4} cy={2 + across / 2} rx={bore / 2} ry={bore} fill={PALETTE.ground} stroke={colour.edge} />
        </>
      ) : null}
    </svg>
  )
}

/** A piece of metal true to shape: sheet at the drawer's scale, wire and tube along their length. */
export function SheetShape({ stock }: { readonly stock: Shaped }) {
  const colour = ALLOYS[stock.alloy].colour
  if (stock.kind !== 'sheet') return <Length stock={stock} />
  const box = boundsOf(stock.outer ?? [])
  const [w, h] = [box.maxX - box.minX, box.maxY - box.minY]
  return (
    <svg
      width={w * SCALE}
      height={h * SCALE}
      viewBox={`${box.minX - 0.5} ${-box.maxY - 0.5} ${w + 1} ${h + 1}`}
      aria-hidden="true"
      style={{ maxWidth: '100%' }}
    >
      <path
        d={[stock.outer ?? [], ...stock.holes].map(outlinePath).join('')}
        fillRule="evenodd"
        fill={colour.face}
        stroke={colour.edge}
        strokeWidth={0.6}
      />
    </svg>
  )
}
