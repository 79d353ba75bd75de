'use client'
import { footprint, isRound, type PlacedMark } from '@/core/marks'
import { PALETTE } from '../theme/palette'
import type { FaceScale } from './face-scale'

const fixed = (px: number) => px.toFixed(1)

/** A circle as a path. */
function roundPath({ x, y, widthMm }: PlacedMark, { toX, toY, pxPerMm }: FaceScale): string {
  const r = fixed((widthMm * pxPerMm) / 2)
  const across = fixed(widthMm * pxPerMm)
  return `M${fixed(toX(x) - (widthMm * pxPerMm) / 2)} ${fixed(toY(y))}a${r} ${r} 0 1 0 ${across} 0a${r} ${r} 0 1 0 -${across} 0z`
}

/** The edge of a stamp, and the cross at its middle, as paths. */
function stampPaths(blow: PlacedMark, { toX, toY, path }: FaceScale): { readonly edge: string; readonly cross: string } {
  const corners = footprint(blow)
  const middleOf = (a: number, b: number) => {
    const [[ax, ay], [bx, by]] = [corners[a] ?? [0, 0], corners[b] ?? [0, 0]]
    const [x, y] = [(ax + bx) / 2, (ay + by) / 2]
    return `${fixed(toX((x + blow.x) / 2))} ${fixed(toY((y + blow.y) / 2))}`
  }
  return { edge: path(corners), cross: `M${middleOf(0, 3)}L${middleOf(1, 2)}M${middleOf(0, 1)}L${middleOf(2, 3)}` }
}

/** What a blow is drawn with. */
export const inkOf = (isChosen: boolean) => (isChosen ? PALETTE.verdigris : PALETTE.onMetal)

/** Blows on the flat blank: the rooms of letters, dots, holes that are open, stamps’ outlines with their middles. Thousands are one drawing each kind. */
export function Blows({
  blows,
  isChosen,
  scale,
}: {
  readonly blows: readonly PlacedMark[]
  readonly isChosen: boolean
  readonly scale: FaceScale
}) {
  const ink = inkOf(isChosen)
  const holes = blows.filter(({ kind }) => kind === 'hole')
  const dots = blows.filter((blow) => isRound(blow) && blow.kind !== 'hole')
  const stamps = blows.filter((blow) => !isRound(blow) && blow.kind !== 'letter').map((blow) => stampPaths(blow, scale))
  const letters = blows.filter(({ kind }) => kind === 'letter')
  const rounds = (some: readonly PlacedMark[]) => some.map((blow) => roundPath(blow, scale)).join('')
  return (
    <>
      {holes.length > 0 ? <path d={rounds(holes)} fill={PALETTE.ground} stroke={ink} strokeWidth={1.4} /> : null}
      {dots.length > 0 ? <path d={rounds(dots)} fill={ink} /> : null}
      {stamps.length > 0 ? (
        <>
          <path d={stamps.map(({ edge }) => edge).join('')} fill={ink} fillOpacity={0.16} stroke={ink} strokeWidth={1.3} />
          <path d={stamps.map(({ cross }) => cross).join('')} stroke={ink} strokeWidth={1} fill="none" />
        </>
      ) : null}
      {letters.length > 0 ? (
        <path d={letters.map((blow) => scale.path(footprint(blow))).join('')} fill={ink} fillOpacity={isChosen ? 0.1 : 0} />
      ) : null}
    </>
  )
}
