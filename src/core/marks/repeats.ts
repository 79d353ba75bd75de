import { boundsOf, middleOf, type Outline, type Point } from '../geometry/point'
import { chordOf, edgeRing, trackOf } from './line-track'
import { placedAt, tooMany, type Unordered } from './placed'
import type { Hallmark, Holes, Repeat } from './schema'
import { straightTrack } from './track'

/** A border: its blows, the pitch they stand at, and what is left over of the line, mm. */
export interface Border {
  readonly marks: readonly Unordered[]
  readonly pitchMm: number
  readonly leftOverMm: number
}

/** What is shared out along a line. */
interface Item {
  readonly kind: 'stamp' | 'hole'
  readonly text: string
  readonly widthMm: number
  readonly heightMm: number
}

const itemOf = (mark: Repeat | Holes): Item =>
  mark.kind === 'holes'
    ? { kind: 'hole', text: mark.id ?? 'hole', widthMm: mark.diameterMm, heightMm: mark.diameterMm }
    : { kind: 'stamp', text: mark.id ?? 'stamp', widthMm: mark.widthMm, heightMm: mark.heightMm ?? mark.widthMm }

/** So many at equal angles about the middle of a blank, each where its ray meets the line along the edge; from the top on, clockwise. */
function byAngle(outer: Outline, insetMm: number, count: number, item: Item): Border | { readonly fault: string } {
  const ring = edgeRing(outer, insetMm)
  if (!ring) return { fault: `nothing of the blank is ${insetMm} mm from its edge; a smaller inset is needed` }
  const middle = middleOf(boundsOf(ring))
  const marks: Unordered[] = []
  for (let index = 0; index < count; index++) {
    const angleRad = Math.PI / 2 - (2 * Math.PI * index) / count
    const chord = chordOf(ring, middle, angleRad)
    if (!chord) return { fault: 'the middle of the blank is not on its metal: it has no division by angle' }
    const at: Point = [middle[0] + chord[1] * Math.cos(angleRad), middle[1] + chord[1] * Math.sin(angleRad)]
    marks.push(placedAt({ at, angleRad: angleRad - Math.PI / 2 }, { ...item, index }))
  }
  return { marks, pitchMm: 0, leftOverMm: 0 }
}

/**
 * Stamps or holes along a line: so many shared out evenly, or as many as go at a pitch. Round a closed line n of them have n spaces; along an
 * open one the first and the last stand half a pitch from its ends.
 */
export function border(outer: Outline, mark: Repeat | Holes): Border | { readonly fault: string } {
  const item = itemOf(mark)
  if (mark.by === 'angle' && mark.line?.kind === 'edge') return byAngle(outer, mark.line.insetMm, mark.stampCount ?? 1, item)
  const found = trackOf(outer, mark.line)
  if ('fault' in found) return found
  const { track } = found
  // what is a hair under a whole number of pitches is that number
  const count = mark.stampCount ?? Math.floor(track.lengthMm / (mark.pitchMm as number) + 1e-9)
  if (count < 1) return { fault: `the line is ${track.lengthMm.toFixed(2)} mm long and the pitch ${mark.pitchMm} mm: not one goes on it` }
  const many = tooMany(count)
  if (many) return { fault: many }
  const pitchMm = mark.pitchMm ?? track.lengthMm / count
  const marks = Array.from({ length: count }, (_, index): Unordered => {
    // a closed line has its first at the middle, an open one is centred
    const fromStartMm = track.isClosed ? index * pitchMm : track.lengthMm / 2 + (index - (count - 1) / 2) * pitchMm
    const along = track.isClosed ? track.middleMm + fromStartMm : fromStartMm
    const fromMiddleMm = track.isClosed ? fromStartMm : along - track.middleMm
    return placedAt(track.at(along), { ...item, index, fromMiddleMm, fromStartMm })
  })
  return { marks, pitchMm, leftOverMm: Math.max(0, track.lengthMm - count * pitchMm) }
}

/** A row of punches across a strip at a share of its length: half-way is opposite the seam when the ends meet. */
export function hallmarks(outer: Outline, { widthsMm, heightMm, gapMm, share }: Hallmark): readonly Unordered[] {
  const box = boundsOf(outer)
  const [x, y] = middleOf(box)
  const isAlongX = box.maxX - box.minX >= box.maxY - box.minY
  const longMm = isAlongX ? box.maxX - box.minX : box.maxY - box.minY
  const rowMm = widthsMm.reduce((sum, wide) => sum + wide, 0) + gapMm * (widthsMm.length - 1)
  const atMm = share * longMm
  const start = isAlongX ? ([box.minX, y] as const) : ([x, box.minY] as const)
  const track = straightTrack(start, isAlongX ? 0 : Math.PI / 2, 0, longMm)
  let along = atMm - rowMm / 2
  return widthsMm.map((widthMm, index) => {
    const middleMm = along + widthMm / 2
    along += widthMm + gapMm
    return placedAt(track.at(middleMm), {
      kind: 'hallmark',
      text: `mark ${index + 1}`,
      index,
      widthMm,
      heightMm,
      fromMiddleMm: middleMm - longMm / 2,
      fromStartMm: middleMm,
    })
  })
}
