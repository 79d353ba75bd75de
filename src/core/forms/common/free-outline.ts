import { edgesOf, segmentToSegmentMm } from '../../geometry/distance'
import { signedAreaMm2 } from '../../geometry/outline'
import { boundsOf, type Outline, type Point } from '../../geometry/point'
import { choice, words } from '../../units/fields'
import { PlanRefusal } from '../refusal'

/** The fields of an outline by its corners. */
export const cornerFields = {
  corners: words(
    'Corners of a free outline',
    4000,
    'Such as 0 0; 20 0; 26 8; 12 16: x and y of each, stretched to its length and width.',
  ).default('0 0; 30 0; 40 12; 30 24; 0 24'),
  mirror: choice('Corners are', { whole: 'The whole outline', half: 'The upper half, mirrored' }).default('whole'),
}

const LABEL = 'Corners of a free outline'
const MOST_POINTS = 200

function refuse(message: string): never {
  throw new PlanRefusal({ path: 'corners', message: `${LABEL}: ${message}` })
}

/** Corners as they are typed, "0 0; 20 0; 12 16": x and y of each, in any unit. Throws PlanRefusal naming the corner that cannot be read. */
function readCorners(text: string): Point[] {
  const parts = text
    .split(/[;\n]/)
    .map((part) => part.trim())
    .filter((part) => part !== '')
  if (parts.length > MOST_POINTS) refuse(`${parts.length} were given; ${MOST_POINTS} at most`)
  return parts.map((part, i) => {
    const numbers = part.split(/[\s,]+/).map(Number)
    const [x, y] = numbers
    if (
      numbers.length !== 2 ||
      x === undefined ||
      y === undefined ||
      !Number.isFinite(x) ||
      !Number.isFinite(y) ||
      Math.abs(x) > 1e5 ||
      Math.abs(y) > 1e5
    )
      refuse(`corner ${i + 1} is "${part.slice(0, 24)}"; two numbers are needed, such as 20 0`)
    return [x, y] as const
  })
}

/** How half an outline is made whole: below the line through y = 0, or left of the line through x = 0. */
export type Mirror = 'none' | 'below' | 'left'

/** Half an outline and its mirror image; corners on the line are not doubled. */
function mirrored(half: readonly Point[], to: Mirror): Point[] {
  if (to === 'none') return [...half]
  const across = ([x, y]: Point) => (to === 'below' ? y : x)
  const other = [...half].reverse().filter((point) => Math.abs(across(point)) > 1e-9)
  return [...half, ...other.map(([x, y]): Point => (to === 'below' ? [x, -y] : [-x, y]))]
}

function crosses(outline: Outline): boolean {
  const edges = edgesOf(outline)
  return edges.some(([a, b], i) =>
    edges.some(([c, d], j) => j > i + 1 && j - i < edges.length - 1 && segmentToSegmentMm(a, b, c, d) < 1e-9),
  )
}

/**
 * A free outline from typed corners, mirrored where only half is typed, stretched to its two ways about its own middle, counter-clockwise.
 * Throws PlanRefusal, given back as an issue of the corners, where they cannot be read, cross or enclose nothing.
 */
export function freeOutline(text: string, mirror: Mirror, lengthMm: number, widthMm: number): Outline {
  const corners = mirrored(readCorners(text), mirror)
  if (corners.length < 3) refuse(`${corners.length} were given; three at least make an outline, such as 0 0; 20 0; 12 16`)
  const box = boundsOf(corners)
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY]
  if (wide < 1e-6 || high < 1e-6) refuse('they all lie on one line')
  const placed = corners.map(([x, y]): Point => [((x - box.minX) / wide - 0.5) * lengthMm, ((y - box.minY) / high - 0.5) * widthMm])
  if (crosses(placed)) refuse('two of its sides cross or touch; give the corners in the order they follow one another')
  const area = signedAreaMm2(placed)
  if (Math.abs(area) < 1e-3 * lengthMm * widthMm) refuse('they enclose next to nothing')
  return area > 0 ? placed : placed.reverse()
}
