import { boundsOf, middleOf, type Outline } from '../geometry/point'
import { STAMP_ADVANCE, stampedLineMm } from '../tables/tools/tool-data'
import { type OwnTool, usable } from '../toolwall/tools'
import { trackOf } from './line-track'
import { placedAt, type Unordered } from './placed'
import type { Lettering, MarkLine } from './schema'
import { roomOn, type Track } from './track'

type Widths = Readonly<Record<string, number>>

/** Of what a character takes along the line, its mark is so much; the rest stands about it. */
const BODY = 0.9
/** From one row to the next, of the height of the letters. */
const ROWS = 1.5

const RAD = Math.PI / 180

/** Of a span of 50 mm so many halvings leave a few millionths of a millimetre. */
const HALVINGS = 24

/** The smith's own stamp set of a height, where it hangs on the wall. */
export function setOf(owned: readonly OwnTool[], heightMm: number) {
  return usable(owned, 'stamp').find(({ size }) => Math.abs(size - heightMm) < 0.05)
}

const rowsOf = (text: string) =>
  text
    .toUpperCase()
    .split('\n')
    .map((row) => row.trim())

/** The letters of a row with what each takes along its line. */
function advancesOf(row: string, { heightMm, wordGapMm, spacingMm }: Lettering, widths: Widths): number[] {
  const letters = [...row]
  return letters.map((letter, i) => {
    const own = letter === ' ' ? (wordGapMm ?? STAMP_ADVANCE.wordGap * heightMm) : stampedLineMm(letter, heightMm, widths)
    return own + (i < letters.length - 1 ? spacingMm : 0)
  })
}

/** The line of the how-manieth row: the next row lies below the one before, as it is read. */
function rowLine(outer: Outline, lettering: Lettering, row: number, rows: number): MarkLine | undefined {
  const { line, heightMm } = lettering
  const downMm = row * (lettering.rowsMm ?? ROWS * heightMm)
  if (line?.kind === 'circle') return { ...line, radiusMm: line.radiusMm + (line.facing === 'outwards' ? -downMm : downMm) }
  if (line?.kind === 'edge') return { ...line, insetMm: line.insetMm + (line.facing === 'outwards' ? downMm : -downMm) }
  if (line?.kind === 'ellipse') {
    const by = line.facing === 'outwards' ? -downMm : downMm
    return { ...line, halfLengthMm: line.halfLengthMm + by, halfWidthMm: line.halfWidthMm + by }
  }
  const angleRad = (line?.angleDeg ?? 0) * RAD
  const middle = middleOf(boundsOf(outer))
  // where nothing is said of a place, all rows together stand about the middle of the blank
  const blockMm = (rows - 1) * (lettering.rowsMm ?? ROWS * heightMm) + heightMm
  const upMm = (line?.at ? 0 : blockMm / 2 - heightMm) - downMm
  const [x, y] = line?.at ?? middle
  return { kind: 'straight', at: [x - upMm * Math.sin(angleRad), y + upMm * Math.cos(angleRad)], angleDeg: line?.angleDeg ?? 0 }
}

/** A row laid on its line. */
export interface Row {
  readonly text: string
  readonly lengthMm: number
  readonly roomMm: number
  readonly marks: readonly Unordered[]
}

export type Lettered = { readonly rows: readonly Row[] } | { readonly fault: string }

/** A row with its line, and what each of its characters takes of it. */
interface LaidRow extends Omit<Row, 'marks'> {
  readonly track: Track
  readonly advances: readonly number[]
}

/** Every row of a text with its line, nothing placed on it yet; or why one has none. */
function laidRows(
  outer: Outline,
  lettering: Lettering,
  widths: Widths,
): { readonly rows: readonly LaidRow[] } | { readonly fault: string } {
  const texts = rowsOf(lettering.text)
  const rows: LaidRow[] = []
  for (const [r, text] of texts.entries()) {
    const line = rowLine(outer, lettering, r, texts.length)
    if (line && 'radiusMm' in line && line.radiusMm <= 0) return { fault: `row ${r + 1} finds no room inside the circle` }
    if (line?.kind === 'edge' && line.insetMm < 0) return { fault: `row ${r + 1} would lie off the edge; a larger inset is needed` }
    if (line?.kind === 'ellipse' && Math.min(line.halfLengthMm, line.halfWidthMm) <= 0)
      return { fault: `row ${r + 1} finds no room inside the ellipse` }
    const found = trackOf(outer, line)
    if ('fault' in found) return found
    const { track } = found
    const advances = advancesOf(text, lettering, widths)
    rows.push({ text, track, advances, lengthMm: advances.reduce((sum, one) => sum + one, 0), roomMm: roomOn(track) })
  }
  return { rows }
}

/** The letters of a row, centred on the middle of its line. */
function lettersOf({ text, track, advances, lengthMm }: LaidRow, { spacingMm, heightMm }: Lettering): Unordered[] {
  const characters = [...text]
  let at = track.middleMm - lengthMm / 2
  return characters.flatMap((letter, i): Unordered[] => {
    const advance = advances[i] ?? 0
    const takes = advance - (i < characters.length - 1 ? spacingMm : 0)
    const middleMm = at + takes / 2
    at += advance
    if (letter === ' ') return []
    const size = { widthMm: BODY * takes, heightMm }
    const along = { fromMiddleMm: middleMm - track.middleMm, fromStartMm: middleMm }
    return [placedAt(track.at(middleMm), { kind: 'letter', text: letter, index: i, ...size, ...along })]
  })
}

/** Each letter of a text on its line, every row centred on the middle of its own. */
export function letters(outer: Outline, lettering: Lettering, widths: Widths): Lettered {
  const laid = laidRows(outer, lettering, widths)
  if ('fault' in laid) return laid
  return {
    rows: laid.rows.map((row) => ({ text: row.text, lengthMm: row.lengthMm, roomMm: row.roomMm, marks: lettersOf(row, lettering) })),
  }
}

/** Whether every row is no longer than its line. */
const isRoomy = ({ rows }: { readonly rows: readonly LaidRow[] }) => rows.every(({ lengthMm, roomMm }) => lengthMm <= roomMm)

/** The largest height at which a text goes on its line, mm; the widths grow with it. Undefined where none of half a millimetre or more does. */
export function largestHeightMm(outer: Outline, lettering: Lettering, widths: Widths): number | undefined {
  const goes = (heightMm: number) => {
    const share = heightMm / lettering.heightMm
    const scaled = Object.fromEntries(Object.entries(widths).map(([letter, wide]) => [letter, share * wide]))
    const laid = laidRows(outer, { ...lettering, heightMm, wordGapMm: lettering.wordGapMm && share * lettering.wordGapMm }, scaled)
    return 'rows' in laid && isRoomy(laid)
  }
  let [low, high] = [0.5, lettering.heightMm]
  if (!goes(low)) return undefined
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    if (goes(middle)) low = middle
    else high = middle
  }
  return low
}
