import { type Outline, type Point, placePoint } from '../geometry/point'
import type { TrackPlace } from './track'

export type MarkKind = 'letter' | 'stamp' | 'dot' | 'hallmark' | 'hole'

/** One blow: where the middle of the punch’s foot goes, how it is turned, and how large its mark is. */
export interface PlacedMark {
  /** Which mark of the input it belongs to, from 0, and its place in the line as it reads. */
  readonly mark: number
  readonly index: number
  readonly kind: MarkKind
  /** The character, or what the stamp is called. */
  readonly text: string
  readonly face: 'front' | 'back'
  /** The middle of its foot: of letters half-way along the baseline under them. */
  readonly x: number
  readonly y: number
  readonly turnDeg: number
  readonly widthMm: number
  readonly heightMm: number
  /** The how-manieth blow of all. */
  readonly order: number
  /** Along its line from the line’s middle, and from where the line begins, mm; none where it is on no line. */
  readonly fromMiddleMm?: number
  readonly fromStartMm?: number
}

/** A blow before it has its place among all. */
export type Unordered = Omit<PlacedMark, 'order' | 'mark' | 'face'>

/** More blows than this are nobody’s work for one mark. */
const MOST_BLOWS = 5000

/** Why so many blows are not planned; undefined where they are. */
export const tooMany = (count: number): string | undefined =>
  count > MOST_BLOWS ? `that would be ${count} blows, and ${MOST_BLOWS} are the most for one mark; a larger pitch is needed` : undefined

const DEG = 180 / Math.PI
/** Corners that a round mark is drawn with. */
const ROUND = 24

/** An angle of more than −180 up to 180 degrees. */
export function turnDegOf(angleRad: number): number {
  const turn = (angleRad * DEG) % 360
  const near = turn > 180 ? turn - 360 : turn <= -180 ? turn + 360 : turn
  return Math.abs(near) < 1e-12 ? 0 : near
}

/** A blow at a place of a track. */
export function placedAt(
  { at: [x, y], angleRad }: TrackPlace,
  what: Pick<Unordered, 'kind' | 'text' | 'widthMm' | 'heightMm' | 'index' | 'fromMiddleMm' | 'fromStartMm'>,
): Unordered {
  return { ...what, x, y, turnDeg: turnDegOf(angleRad) }
}

/** Marks that are round: dots and holes. */
export const isRound = ({ kind }: Pick<PlacedMark, 'kind'>): boolean => kind === 'dot' || kind === 'hole'

/** What the mark covers: letters stand on their foot, all others about it. */
export function footprint(mark: Pick<PlacedMark, 'kind' | 'x' | 'y' | 'turnDeg' | 'widthMm' | 'heightMm'>): Outline {
  if (isRound(mark)) {
    const radiusMm = mark.widthMm / 2
    return Array.from({ length: ROUND }, (_, i): Point => {
      const angle = (2 * Math.PI * i) / ROUND
      return [mark.x + radiusMm * Math.cos(angle), mark.y + radiusMm * Math.sin(angle)]
    })
  }
  const half = mark.widthMm / 2
  const low = mark.kind === 'letter' ? 0 : -mark.heightMm / 2
  const corners: readonly Point[] = [
    [-half, low],
    [half, low],
    [half, low + mark.heightMm],
    [-half, low + mark.heightMm],
  ]
  return corners.map((corner) => placePoint(corner, mark.turnDeg / DEG, mark.x, mark.y))
}

/** From the middle of a list outwards: the middle first, then right and left of it by turns. */
export function fromTheMiddle(length: number): readonly number[] {
  const middle = (length - 1) / 2
  return Array.from({ length }, (_, i) => i).sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle) || b - a)
}
