import type { CutSide } from '../drawing/cut'
import { netAreaMm2 } from '../geometry/outline'
import { boundsOf, middleOf, type Outline, type Point } from '../geometry/point'

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
  const centre = middleOf(boundsOf(points))
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

/** The sharpest corner of a line, or its first point where it has none. */
export function sharpestCorner(points: Outline): number {
  const turns = turnsAt(points)
  return turns.indexOf(Math.max(...turns))
}

/** The blade is turned on the spot where a line changes its direction by so much within so little of its length, rad and mm. */
const TURN = { leastRad: Math.PI / 6, withinMm: 1 } as const

/** Corners at which the blade is turned on the spot; a corner that is rounded a little is one too. */
export function turnsOf(points: Outline): number {
  const turns = turnsAt(points)
  const count = points.length
  const lengthFrom = (i: number) => {
    const [a, b] = [points[i % count] as Point, points[(i + 1) % count] as Point]
    return Math.hypot(b[0] - a[0], b[1] - a[1])
  }
  /** Whether the line turns enough from here on. */
  const isSharp = points.map((_, i) => {
    let [turned, along] = [turns[i] ?? 0, 0]
    for (let step = 1; step < count && turned < TURN.leastRad; step++) {
      along += lengthFrom(i + step - 1)
      if (along > TURN.withinMm) break
      turned += turns[(i + step) % count] ?? 0
    }
    return turned >= TURN.leastRad
  })
  const begins = isSharp.filter((sharp, i) => {
    const before = (i - 1 + count) % count
    return sharp && !(isSharp[before] && lengthFrom(before) <= TURN.withinMm)
  })
  return begins.length === 0 && isSharp.some(Boolean) ? 1 : begins.length
}
