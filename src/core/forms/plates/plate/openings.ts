import { isInside, outlineToOutlineMm } from '../../../geometry/distance'
import { circleHole, ellipseOutline, roundedRectangle } from '../../../geometry/outline'
import type { Outline } from '../../../geometry/point'
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

function rowOf({ holeMm, holeCount, holePitchMm }: Openings): Outline[] {
  if (holeMm === 0) return []
  const first = (-(holeCount - 1) * holePitchMm) / 2
  return Array.from({ length: holeCount }, (_, i) => circleHole(holeMm / 2, [first + i * holePitchMm, 0]))
}

/** Every opening of the plate, clockwise: its window in the middle, and a row of holes along the middle line. */
export function openingsOf(input: Openings): Outline[] {
  return [...windowOf(input), ...rowOf(input)]
}

/** Least metal beside an opening, negative where it runs over; only every so many of a round one's points are tried. */
function metalBeside(opening: Outline, other: Outline, insideOther: boolean): number {
  const first = opening[0] ?? [0, 0]
  const apart = outlineToOutlineMm(opening, other)
  return isInside(first, other) === insideOther ? apart : -Math.max(apart, 0.01)
}

/** What stays between the openings and the edge, and between one opening and the next. */
export function openingChecks(input: Openings, outline: Outline): Check[] {
  const openings = openingsOf(input)
  if (openings.length === 0) return []
  const edgeMm = Math.min(...openings.map((opening) => metalBeside(opening, outline, true)))
  const window = windowOf(input)[0]
  const row = rowOf(input)
  const between = [
    ...(row.length > 1 ? [input.holePitchMm - input.holeMm] : []),
    ...(window ? row.map((hole) => metalBeside(hole, window, false)) : []),
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
