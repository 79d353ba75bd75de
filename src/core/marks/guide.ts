import type { Pattern, PatternLine } from '../drawing/pattern'
import { type Point, placePoint } from '../geometry/point'
import type { Face } from './mark-checks'
import { footprint, type PlacedMark } from './placed'
import { faceOf } from './plan'

/** Beyond the foot of a mark its middle is shown by a tick so long, mm. */
const TICK_MM = 0.6

const struck = (points: readonly Point[], closed: boolean): PatternLine => ({ purpose: 'strike', points, closed })

/** Holes are drilled, all others struck. */
const outlined = (mark: PlacedMark): PatternLine => ({
  ...struck(footprint(mark), true),
  ...(mark.kind === 'hole' ? { purpose: 'drill' } : {}),
})

/** The middle of a mark’s foot, as a tick that stays in sight beside the punch. */
function tick({ x, y, turnDeg, kind, heightMm }: PlacedMark): PatternLine {
  const low = kind === 'letter' ? 0 : -heightMm / 2
  const at = (down: number) => placePoint([0, down], (turnDeg * Math.PI) / 180, x, y)
  return struck([at(low), at(low - TICK_MM)], false)
}

/** A guide at full size for one face: the blank’s edge, each mark’s place and a tick at the middle of its foot. */
export function marksGuide(blank: Face, marks: readonly PlacedMark[], face: 'front' | 'back'): Pattern {
  const { outer, holes } = faceOf(blank, face)
  const own = marks.filter((mark) => mark.face === face)
  return {
    lines: [
      ...[outer, ...holes].map((points): PatternLine => ({ purpose: 'blank', points, closed: true })),
      ...own.flatMap((mark) => [outlined(mark), tick(mark)]),
    ],
    labels: own
      .filter(({ kind }) => kind === 'letter')
      .map((mark) => ({ at: placePoint([0, mark.heightMm / 2], (mark.turnDeg * Math.PI) / 180, mark.x, mark.y), text: mark.text })),
  }
}
