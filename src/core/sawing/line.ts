import type { CutSide } from '../drawing/cut'
import { netAreaMm2 } from '../geometry/outline'
import { boundsOf, type Outline, type Point } from '../geometry/point'

/** A blank where it lies on its sheet; its id is the item it is a copy of. */
export interface PlacedBlank {
  readonly id: string
  readonly copy: number
  readonly name: string
  readonly outer: Outline
  readonly holes: readonly Outline[]
}

/** A closed line to cut along. */
export interface CutLine {
  /** Of the line in its item: what is chosen for it holds for every copy. */
  readonly id: string
  /** Of the line on the sheet. */
  readonly key: string
  readonly kind: 'outline' | 'window'
  readonly blank: string
  readonly points: Outline
  readonly areaMm2: number
  /** The circle it is, where it is one. */
  readonly round: { readonly centre: Point; readonly radiusMm: number } | undefined
}

/** The side the blade keeps to where nothing else is said: the blank is what is left standing. */
export const USUAL_SIDE: Readonly<Record<CutLine['kind'], CutSide>> = { outline: 'outside', window: 'inside' }

/** An outline whose corners all lie this near to one circle, of at least so many corners, is round. */
const ROUND = { withinMm: 0.02, leastCorners: 12 } as const

function roundOf(points: Outline): CutLine['round'] {
  if (points.length < ROUND.leastCorners) return undefined
  const box = boundsOf(points)
  const centre: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]
  const reach = points.map(([x, y]) => Math.hypot(x - centre[0], y - centre[1]))
  const [least, most] = [Math.min(...reach), Math.max(...reach)]
  return most - least <= ROUND.withinMm ? { centre, radiusMm: most } : undefined
}

/** The lines of a blank: its windows, then its outline. */
export function linesOf({ id, copy, name, outer, holes }: PlacedBlank): CutLine[] {
  const line = (kind: CutLine['kind'], part: string, points: Outline): CutLine => ({
    id: `${id}#${part}`,
    key: `${id}#${part}#${copy}`,
    kind,
    blank: name,
    points,
    areaMm2: Math.abs(netAreaMm2(points, [])),
    round: roundOf(points),
  })
  return [...holes.map((hole, i) => line('window', `window-${i + 1}`, hole)), line('outline', 'outline', outer)]
}

/** A change of direction sharper than this is a turn of the blade, rad. */
const TURN_RAD = Math.PI / 6

/** How sharply a closed line turns at each of its points, rad. */
export function turnsAt(points: Outline): readonly number[] {
  return points.map((here, i) => {
    const [before, after] = [points.at(i - 1) ?? here, points[(i + 1) % points.length] ?? here]
    const came = Math.atan2(here[1] - before[1], here[0] - before[0])
    const goes = Math.atan2(after[1] - here[1], after[0] - here[0])
    const turned = Math.abs(goes - came)
    return Math.min(turned, 2 * Math.PI - turned)
  })
}

/** Corners at which the blade is turned on the spot. */
export const turnsOf = (points: Outline): number => turnsAt(points).filter((turn) => turn >= TURN_RAD).length
