import { isInside, pointToOutlineMm, windowToEdgeMm } from '../../../geometry/distance'
import { circleHole, ellipseOutline, roundedRectangle } from '../../../geometry/outline'
import type { Outline, Point } from '../../../geometry/point'
import { formatPlain } from '../../../units/format'
import { limitCheck } from '../../common/plan-kit'
import type { Check } from '../../contract'

export const WINDOWS = { none: 'None', rectangle: 'Rectangle', slot: 'Slot, two round ends', oval: 'Oval or round' } as const

interface Openings {
  readonly holeMm: number
  readonly holeCount: number
  readonly holePitchMm: number
  readonly window: keyof typeof WINDOWS
  readonly windowLengthMm: number
  readonly windowWidthMm: number
}

/** The window in the middle of the plate, clockwise; none where there is none. */
export function windowOf({ window, windowLengthMm: a, windowWidthMm: b }: Openings): Outline[] {
  if (window === 'none') return []
  const outline = window === 'oval' ? ellipseOutline(a / 2, b / 2) : roundedRectangle(a, b, window === 'slot' ? Math.min(a, b) / 2 : 0)
  return [[...outline].reverse()]
}

/** Centres of the row of holes, along the middle line. */
function centresOf({ holeMm, holeCount, holePitchMm }: Openings): Point[] {
  if (holeMm === 0) return []
  const first = (-(holeCount - 1) * holePitchMm) / 2
  return Array.from({ length: holeCount }, (_, i) => [first + i * holePitchMm, 0] as const)
}

/** Every opening of the plate, clockwise: its window in the middle, and a row of holes along the middle line. */
export function openingsOf(input: Openings): Outline[] {
  return [...windowOf(input), ...centresOf(input).map((centre) => circleHole(input.holeMm / 2, centre))]
}

/** Least metal between a round hole and an outline, by its centre. */
function besideHole(centre: Point, radiusMm: number, outline: Outline, insideOutline: boolean): number {
  const away = pointToOutlineMm(centre, outline)
  return (isInside(centre, outline) === insideOutline ? away : -away) - radiusMm
}

/** What stays between the openings and the edge, and between one opening and the next. */
export function openingChecks(input: Openings, outline: Outline): Check[] {
  const window = windowOf(input)[0]
  const centres = centresOf(input)
  if (!window && centres.length === 0) return []
  const radius = input.holeMm / 2
  const edgeMm = Math.min(
    ...(window ? [windowToEdgeMm(window, outline)] : []),
    ...centres.map((centre) => besideHole(centre, radius, outline, true)),
  )
  const between = [
    ...(centres.length > 1 ? [input.holePitchMm - input.holeMm] : []),
    ...(window ? centres.map((centre) => besideHole(centre, radius, window, false)) : []),
  ]
  const betweenMm = Math.min(...between)
  const field = input.holeMm > 0 ? 'holePitchMm' : 'windowLengthMm'
  const checks = [
    limitCheck({
      code: 'hole-edge-distance',
      ok: edgeMm >= 1,
      level: edgeMm <= 0 ? 'stop' : 'warn',
      field,
      source: 'bench-practice',
      actual: edgeMm,
      limit: 1,
      good: `${formatPlain(edgeMm, 2)} mm of metal stays between the openings and the edge.`,
      bad:
        edgeMm <= 0
          ? 'The openings run over the edge: bring them closer together or make them smaller.'
          : `Only ${formatPlain(edgeMm, 2)} mm stays between an opening and the edge; 1 mm is the usual least.`,
    }),
  ]
  if (between.length === 0) return checks
  return [
    ...checks,
    limitCheck({
      code: 'hole-web',
      ok: betweenMm >= 1,
      level: betweenMm <= 0 ? 'stop' : 'warn',
      field,
      source: 'bench-practice',
      actual: betweenMm,
      limit: 1,
      good: `${formatPlain(betweenMm, 2)} mm of metal stays between the openings.`,
      bad:
        betweenMm <= 0
          ? 'The openings run into one another: space them further apart.'
          : `Only ${formatPlain(betweenMm, 2)} mm stays between the openings; 1 mm is the usual least.`,
    }),
  ]
}
