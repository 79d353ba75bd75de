import { boundsOf, type Point } from '../geometry/point'

/** What is done along a line of a pattern at full size. */
export const LINE_PURPOSES = {
  'saw-outside': { title: 'saw or cut outside the line', layer: 'SAW_OUTSIDE', colour: 7, dashMm: [], shape: 'cut' },
  'saw-inside': { title: 'saw or cut inside the line', layer: 'SAW_INSIDE', colour: 1, dashMm: [3, 0.7], shape: 'cut' },
  'saw-on': { title: 'saw on the line', layer: 'SAW_ON', colour: 6, dashMm: [3, 0.7, 0.4, 0.7], shape: 'cut' },
  drill: { title: 'drill or punch', layer: 'DRILL', colour: 5, dashMm: [], shape: 'drill' },
  scribe: { title: 'scribe, do not cut', layer: 'SCRIBE', colour: 3, dashMm: [1, 0.8], shape: 'scribe' },
  fold: { title: 'fold here, do not cut', layer: 'FOLD', colour: 4, dashMm: [2, 0.7, 0.4, 0.7, 0.4, 0.7], shape: 'fold' },
  strike: { title: 'strike here, the tick under the middle', layer: 'MARKS', colour: 2, dashMm: [], shape: 'scribe' },
  blank: { title: 'edge of the blank', layer: 'BLANK', colour: 8, dashMm: [2, 1], shape: 'stock' },
  edge: { title: 'edge of the sheet, do not cut', layer: 'SHEET', colour: 8, dashMm: [2, 1], shape: 'stock' },
} as const
export type LinePurpose = keyof typeof LINE_PURPOSES
export const LINE_PURPOSE_IDS = Object.keys(LINE_PURPOSES) as readonly LinePurpose[]

/** A line of a pattern; a closed one does not repeat its first point. */
export interface PatternLine {
  readonly purpose: LinePurpose
  readonly points: readonly Point[]
  readonly closed: boolean
}

/** Lines at full size with the words that stand among them. */
export interface Pattern {
  readonly lines: readonly PatternLine[]
  readonly labels: readonly { readonly at: Point; readonly text: string }[]
}

/** The box round all lines of a pattern. */
export const patternBounds = ({ lines }: Pattern) => boundsOf(lines.flatMap(({ points }) => points))

/** A pattern as it is seen from the back, in the same box: for a transfer, or work from the other face. Its words stay readable. */
export function mirrored(pattern: Pattern): Pattern {
  const { minX, maxX } = patternBounds(pattern)
  const flip = ([x, y]: Point): Point => [minX + maxX - x, y]
  return {
    lines: pattern.lines.map((line) => ({ ...line, points: line.points.map(flip) })),
    labels: pattern.labels.map(({ at, text }) => ({ at: flip(at), text })),
  }
}

/** A pattern moved. */
export function movedPattern({ lines, labels }: Pattern, dx: number, dy: number): Pattern {
  const move = ([x, y]: Point): Point => [x + dx, y + dy]
  return {
    lines: lines.map((line) => ({ ...line, points: line.points.map(move) })),
    labels: labels.map(({ at, text }) => ({ at: move(at), text })),
  }
}
