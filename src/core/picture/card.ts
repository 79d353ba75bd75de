import type { Point } from '../geometry/point'

/**
 * The measuring card, mm from its middle, x to the right and y up: four marks with a code in the corners, a frame of dots on the lines
 * through the middles of the marks, and a free field between them.
 */
export const MARK_MM = 18
export const CELL_MM = 3
export const DOT_RADIUS_MM = 2
export const FIELD_HALF_MM: Point = [112, 70]
/** Half the size of the coloured field, where it is printed: white is left about the marks. */
export const COLOUR_HALF_MM: Point = [108, 66]
/** Half the distance between the middles of the marks. */
export const MARK_AT_MM: Point = [121, 78]
/** Length of the two printed lines that tell how true the printer is. */
export const SCALE_LINE_MM = 100
const DOT_PITCH_MM = 8

/** Sixteen cells of each mark, row by row from the top left, lowest bit first; a set bit is black. Eight bits apart or more, however turned. */
export const MARK_CODES: readonly number[] = [8150, 58953, 12957, 28971]
/** Middle of the mark with each code. Their order round the card is one that no mirror image has. */
export const MARK_CENTRES: readonly Point[] = [
  [-MARK_AT_MM[0], MARK_AT_MM[1]],
  [MARK_AT_MM[0], -MARK_AT_MM[1]],
  [MARK_AT_MM[0], MARK_AT_MM[1]],
  [-MARK_AT_MM[0], -MARK_AT_MM[1]],
]

/** Corners of a mark from its middle, from the top left clockwise. */
export const MARK_CORNERS: readonly Point[] = [
  [-MARK_MM / 2, MARK_MM / 2],
  [MARK_MM / 2, MARK_MM / 2],
  [MARK_MM / 2, -MARK_MM / 2],
  [-MARK_MM / 2, -MARK_MM / 2],
]

/** Whether the cell of a code in a row and column is black. */
export const isCellBlack = (code: number, row: number, column: number): boolean => ((code >> (row * 4 + column)) & 1) === 1

const along = (half: number) => Array.from({ length: 2 * half + 1 }, (_, i) => (i - half) * DOT_PITCH_MM)

/** Middles of all dots, mm. */
export const DOT_CENTRES: readonly Point[] = [
  ...along(13).flatMap((x): Point[] => [
    [x, MARK_AT_MM[1]],
    [x, -MARK_AT_MM[1]],
  ]),
  ...along(8).flatMap((y): Point[] => [
    [MARK_AT_MM[0], y],
    [-MARK_AT_MM[0], y],
  ]),
]
