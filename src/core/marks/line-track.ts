import { offsetOutline } from '../geometry/clip'
import { ellipseOutline, perimeterMm, signedAreaMm2 } from '../geometry/outline'
import { boundsOf, middleOf, type Outline, type Point } from '../geometry/point'
import type { MarkLine } from './schema'
import { begunAt, circleTrack, nearestAlong, outlineTrack, straightTrack, type Track } from './track'

/** What marks are set along on a blank, its middle being the middle of the line; or why there is no such line. */
export type LineTrack = { readonly track: Track } | { readonly fault: string }

/** So many points that the runs between them are the edge of an ellipse to a hundred-thousandth. */
const ELLIPSE_POINTS = 4096

const RAD = Math.PI / 180

/** Where a straight line through a point enters and leaves an outline nearest to that point, along the line from it. */
export function chordOf(outline: Outline, [x, y]: Point, angleRad: number): readonly [number, number] | undefined {
  const [cos, sin] = [Math.cos(angleRad), Math.sin(angleRad)]
  const crossings = outline.flatMap((a, i) => {
    const b = outline[(i + 1) % outline.length] as Point
    const off = (p: Point) => (p[1] - y) * cos - (p[0] - x) * sin
    const [from, to] = [off(a), off(b)]
    if (from < 0 === to < 0) return []
    const t = from / (from - to)
    return [(a[0] + t * (b[0] - a[0]) - x) * cos + (a[1] + t * (b[1] - a[1]) - y) * sin]
  })
  const before = crossings.filter((along) => along < 0)
  const after = crossings.filter((along) => along >= 0)
  return before.length > 0 && after.length > 0 ? [Math.max(...before), Math.min(...after)] : undefined
}

/** A closed outline begun so that its middle is the place nearest to a point; the tops of letters face out of it or into it. */
function aroundTrack(outline: Outline, middle: Point, facing: 'outwards' | 'inwards'): Track {
  const track = outlineTrack(signedAreaMm2(outline) < 0 ? [...outline].reverse() : outline)
  const at = nearestAlong(track, middle)
  // counter-clockwise the left is inside
  return facing === 'inwards' ? begunAt(track, at - track.lengthMm / 2, false) : begunAt(track, at + track.lengthMm / 2, true)
}

/** The line so far inside the edge of a blank, the longest where it falls into several; undefined where nothing is so far inside. */
export function edgeRing(outer: Outline, insetMm: number): Outline | undefined {
  const rings = insetMm === 0 ? [outer] : offsetOutline(outer, -insetMm)
  return rings.sort((a, b) => perimeterMm(b) - perimeterMm(a))[0]
}

function edgeTrack(outer: Outline, line: Extract<MarkLine, { kind: 'edge' }>): LineTrack {
  const ring = edgeRing(outer, line.insetMm)
  if (!ring) return { fault: `nothing of the blank is ${line.insetMm} mm from its edge; a smaller inset is needed` }
  const box = boundsOf(ring)
  return { track: aroundTrack(ring, line.middle ?? [(box.minX + box.maxX) / 2, box.maxY], line.facing) }
}

/** The track of a line on a blank. A straight one is as long as the blank is there; left out, it runs through the blank’s middle. */
export function trackOf(outer: Outline, line: MarkLine | undefined): LineTrack {
  const middle = middleOf(boundsOf(outer))
  if (line?.kind === 'circle') return { track: circleTrack(line.centre ?? middle, line.radiusMm, line.middleDeg * RAD, line.facing) }
  if (line?.kind === 'edge') return edgeTrack(outer, line)
  if (line?.kind === 'ellipse') {
    const [x, y] = line.centre ?? middle
    const ring = ellipseOutline(line.halfLengthMm, line.halfWidthMm, ELLIPSE_POINTS).map(([px, py]): Point => [px + x, py + y])
    const towards = line.middleDeg * RAD
    // where the ray from the centre meets the ellipse
    const reach = 1 / Math.hypot(Math.cos(towards) / line.halfLengthMm, Math.sin(towards) / line.halfWidthMm)
    return { track: aroundTrack(ring, [x + reach * Math.cos(towards), y + reach * Math.sin(towards)], line.facing) }
  }
  const [at, angleRad] = [line?.at ?? middle, (line?.angleDeg ?? 0) * RAD]
  const chord = chordOf(outer, at, angleRad)
  if (!chord) return { fault: 'the line does not run over the blank; move it onto the metal' }
  return { track: straightTrack(at, angleRad, -chord[0], chord[1]) }
}
