import type { Check } from '../forms/contract'
import type { Region } from '../geometry/clip'
import { isInside, pointToOutlineMm } from '../geometry/distance'
import { boundsOf, type Point } from '../geometry/point'
import { figureOf, type OwnFigures } from '../tables/figures'
import { capitalised, formatPlain } from '../units/format'
import { nearnessOf } from './near-marks'
import { footprint, isRound, type PlacedMark } from './placed'

/** A face as it is seen: its outline and windows. */
export type Face = Region

const mm = (value: number) => ({ value, unit: 'mm' as const })

const nameOf = ({ kind, text, index }: PlacedMark) =>
  kind === 'letter' ? `the ${text} (no. ${index + 1})` : kind === 'dot' ? `the dot at ${text}` : `${text}, no. ${index + 1}`

/** How far a point is from the nearest edge of a face, mm. */
const awayMm = (point: Point, { outer, holes }: Face) => Math.min(...[outer, ...holes].map((ring) => pointToOutlineMm(point, ring)))

const isOn = (point: Point, { outer, holes }: Face) => isInside(point, outer) && !holes.some((hole) => isInside(point, hole))

/** How much metal a mark has to the nearest edge, mm; none where it runs over one. Of one that has more than is asked, no less than that. */
function edgeMm(mark: PlacedMark, face: Face, leastMm: number): number {
  const middle: Point = [mark.x, mark.y]
  const isOnMetal = isOn(middle, face)
  const away = awayMm(middle, face)
  if (isRound(mark)) return isOnMetal ? Math.max(0, away - mark.widthMm / 2) : 0
  const corners = footprint(mark)
  const sureMm = away - Math.max(...corners.map(([x, y]) => Math.hypot(x - mark.x, y - mark.y)))
  if (isOnMetal && sureMm >= leastMm) return sureMm
  if (!corners.every((corner) => isOn(corner, face))) return 0
  const { minX, maxX, minY, maxY } = boundsOf(corners)
  const isBeside = ([x, y]: Point) => x < minX || x > maxX || y < minY || y > maxY
  const bites = [face.outer, ...face.holes].some((ring) => ring.some((point) => !isBeside(point) && isInside(point, corners)))
  return bites ? 0 : Math.min(...corners.map((corner) => awayMm(corner, face)))
}

/** What is too near an edge, or off the metal: the worst of a mark is told. */
function edgeChecks(marks: readonly PlacedMark[], face: (mark: PlacedMark) => Face, figures: OwnFigures): Check[] {
  const leastMm = figureOf('mark-edge', figures)
  const measured = marks.map((mark) => ({ mark, edge: edgeMm(mark, face(mark), leastMm) }))
  const off = measured.filter(({ edge }) => edge === 0)
  const near = measured.filter(({ edge }) => edge > 0 && edge < leastMm).sort((a, b) => a.edge - b.edge)
  const [first] = off
  const [nearest] = near
  return [
    ...(first
      ? [
          {
            level: 'stop',
            code: 'off-the-metal',
            actual: { value: off.length, unit: 'count' },
            source: 'closed-form',
            message: `${off.length === 1 ? 'One mark runs' : `${off.length} marks run`} over an edge or a hole, first ${nameOf(first.mark)}: move ${off.length === 1 ? 'it' : 'them'}, or make ${off.length === 1 ? 'it' : 'them'} smaller.`,
          } satisfies Check,
        ]
      : []),
    ...(nearest
      ? [
          {
            level: 'warn',
            code: 'near-the-edge',
            actual: mm(nearest.edge),
            limit: mm(leastMm),
            source: 'house-default',
            message: `${capitalised(nameOf(nearest.mark))} is ${formatPlain(nearest.edge, 2)} mm from an edge: under ${formatPlain(leastMm)} mm the edge bulges out.`,
          } satisfies Check,
        ]
      : []),
  ]
}

/** Blows that would strike metal that is struck already, or leave hardly any between them. */
function doubleChecks(marks: readonly PlacedMark[], figures: OwnFigures): Check[] {
  const leastMm = figureOf('mark-apart', figures)
  const { double, nearest } = nearnessOf(marks, leastMm)
  if (double)
    return [
      {
        level: 'warn',
        code: 'double-strike',
        actual: { value: double.pairs, unit: 'count' },
        source: 'closed-form',
        message: `${capitalised(nameOf(double.first))} and ${nameOf(double.second)} run into each other${double.pairs > 1 ? `, and ${double.pairs - 1} more pairs` : ''}: the second blow would strike the first mark.`,
      },
    ]
  return nearest
    ? [
        {
          level: 'note',
          code: 'close-together',
          actual: mm(nearest.apartMm),
          limit: mm(leastMm),
          source: 'house-default',
          message: `Between ${nameOf(nearest.first)} and ${nameOf(nearest.second)} only ${formatPlain(nearest.apartMm, 2)} mm is left: strike lightly, the metal pushes over.`,
        },
      ]
    : []
}

/** Least metal between two holes, mm (source: bench-practice). */
const LEAST_WEB_MM = 1

function webChecks(marks: readonly PlacedMark[]): Check[] {
  const holes = marks.filter(({ kind }) => kind === 'hole')
  const { double, nearest: apart } = nearnessOf(holes, LEAST_WEB_MM)
  const nearest = double ? { ...double, apartMm: 0 } : apart
  return nearest
    ? [
        {
          level: 'warn',
          code: 'thin-web',
          actual: mm(nearest.apartMm),
          limit: mm(LEAST_WEB_MM),
          source: 'bench-practice',
          message: `Between ${nameOf(nearest.first)} and ${nameOf(nearest.second)} ${formatPlain(nearest.apartMm, 2)} mm of metal is left, under ${LEAST_WEB_MM} mm: the drill tears it.`,
        },
      ]
    : []
}

/** What the places of all blows say. */
export function placeChecks(marks: readonly PlacedMark[], face: (mark: PlacedMark) => Face, figures: OwnFigures): Check[] {
  return [
    ...edgeChecks(marks, face, figures),
    ...doubleChecks(
      marks.filter(({ kind }) => kind !== 'hole'),
      figures,
    ),
    ...webChecks(marks),
  ]
}
