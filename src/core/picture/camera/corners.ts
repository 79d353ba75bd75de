import type { Point } from '../../geometry/point'
import { MARK_AT_MM, MARK_CENTRES, MARK_CORNERS } from '../card'
import { homographyOf, mapPoint } from './homography'
import type { Mark } from './marks'

/** A place on the card, mm, and where the picture shows it, pixels. */
export interface Sighting {
  readonly cardMm: Point
  readonly pixel: Point
}

export type Found =
  | { readonly kind: 'found'; readonly sightings: readonly Sighting[]; readonly hidden: readonly string[] }
  | { readonly kind: 'few'; readonly hidden: readonly string[] }
  | { readonly kind: 'mirrored' }

/** A corner may lie this share of a mark's side away from where a plane would show it: lenses bend, but not that much. */
const MAY_BE_OFF = 0.5

const cornerName = ([x, y]: Point) => `${y > 0 ? 'upper' : 'lower'} ${x > 0 ? 'right' : 'left'}`

/** Corners of marks whose middles are at the given places; in a card whose codes were printed bottom up the first corner is the lower left. */
function sightingsAt(marks: readonly Mark[], centres: readonly Point[], bottomUp: boolean): Sighting[] {
  return marks.flatMap((mark, i) =>
    mark.corners.map((pixel, k): Sighting => {
      const [x, y] = MARK_CORNERS[k] ?? [0, 0]
      const [cx, cy] = centres[i] ?? [0, 0]
      return { cardMm: [cx + x, cy + (bottomUp ? -y : y)], pixel }
    }),
  )
}

/** Whether a plane seen by a camera explains the sightings, nearly. */
function fits(sightings: readonly Sighting[]): boolean {
  const map = homographyOf(
    sightings.map((s) => s.cardMm),
    sightings.map((s) => s.pixel),
  )
  if (!map) return false
  const side = Math.hypot(
    (sightings[0]?.pixel[0] ?? 0) - (sightings[1]?.pixel[0] ?? 0),
    (sightings[0]?.pixel[1] ?? 0) - (sightings[1]?.pixel[1] ?? 0),
  )
  return sightings.every(({ cardMm, pixel }) => {
    const [x, y] = mapPoint(map, cardMm)
    return Math.hypot(x - pixel[0], y - pixel[1]) < MAY_BE_OFF * side
  })
}

const middleOf = (points: readonly Point[]): Point => [
  points.reduce((s, p) => s + p[0], 0) / points.length,
  points.reduce((s, p) => s + p[1], 0) / points.length,
]

/** Where four marks stand, told from the picture alone: the codes say which way is right, and up is a quarter turn from there. */
function centresBySight(marks: readonly Mark[]): Point[] {
  const middle = middleOf(marks.map((mark) => middleOf(mark.corners)))
  const right = marks.reduce<Point>(
    ([x, y], { corners: [a, b] }) => [x + (b?.[0] ?? 0) - (a?.[0] ?? 0), y + (b?.[1] ?? 0) - (a?.[1] ?? 0)],
    [0, 0],
  )
  return marks.map((mark) => {
    const [x, y] = middleOf(mark.corners)
    const [dx, dy] = [x - middle[0], y - middle[1]]
    const across = dx * right[0] + dy * right[1]
    // pixels run down the picture, so up the card is minus the quarter turn
    const up = dx * right[1] - dy * right[0]
    return [Math.sign(across) * MARK_AT_MM[0], Math.sign(up) * MARK_AT_MM[1]]
  })
}

/**
 * What the corners of the marks say about the card. Three marks are enough where they stand as on the card printed here; four may stand in
 * another order. Fewer are not enough, and what a mirror shows is told.
 */
export function findCorners(marks: readonly Mark[]): Found {
  const hidden = MARK_CENTRES.filter((_, code) => !marks.some((mark) => mark.code === code)).map(cornerName)
  if (marks.length < 3) return { kind: 'few', hidden }
  const mirrored = marks.some((mark) => mark.mirrored)
  const printed = sightingsAt(
    marks,
    marks.map((mark) => MARK_CENTRES[mark.code] ?? [0, 0]),
    false,
  )
  if (fits(printed)) return mirrored ? { kind: 'mirrored' } : { kind: 'found', sightings: printed, hidden }
  const seen = sightingsAt(marks, centresBySight(marks), mirrored)
  const corners = [...new Set(seen.map((s) => s.cardMm.join()))]
  return marks.length === 4 && corners.length === 16 && fits(seen) ? { kind: 'found', sightings: seen, hidden } : { kind: 'few', hidden }
}
