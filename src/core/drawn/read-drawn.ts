import type { Region } from '../geometry/clip'
import { netAreaMm2 } from '../geometry/outline'
import { boundsOf, type Outline } from '../geometry/point'
import { isBowTie } from '../geometry/simple'
import { readDxf } from './dxf'
import { type Gap, joinTraces, MEND_MM, regionsOf } from './loops'
import { readSvg } from './svg'
import { type DrawnLines, DrawnUnread } from './trace'

/** A file's text beyond this is not read, characters. */
const MOST_TEXT = 12_000_000

export interface DrawnQuestion {
  /** Longest side of all that is drawn, as it is to be; scales the whole. */
  readonly longestMm?: number | undefined
}

export interface DrawnAnswer {
  readonly ok: true
  readonly format: 'svg' | 'dxf'
  /** Whether the size is known: the file says its unit, or a length was given. */
  readonly isSizeKnown: boolean
  readonly regions: readonly Region[]
  readonly lengthMm: number
  readonly widthMm: number
  readonly areaMm2: number
  readonly mended: readonly Gap[]
  readonly notes: readonly string[]
}

export interface DrawnRefused {
  readonly ok: false
  readonly code: string
  readonly message: string
  /** What was drawn, and where it is open. */
  readonly lines: readonly Outline[]
  readonly open: readonly Gap[]
}

const refused = (code: string, message: string, lines: readonly Outline[] = [], open: readonly Gap[] = []): DrawnRefused => ({
  ok: false,
  code,
  message,
  lines,
  open,
})

/** Which of the two formats a text is. */
const formatOf = (text: string): 'svg' | 'dxf' => (/^\s*(?:\uFEFF)?\s*</.test(text) ? 'svg' : 'dxf')

const scaled = (outline: Outline, by: number): Outline => outline.map(([x, y]) => [x * by, y * by])

/** Outlines of metal from the text of an SVG or a DXF, in millimetres; or why they cannot be told, and where. */
export function readDrawn(text: string, { longestMm }: DrawnQuestion = {}): DrawnAnswer | DrawnRefused {
  if (text.length > MOST_TEXT) return refused('too-large', `the file is larger than ${MOST_TEXT / 1e6} MB`)
  const format = formatOf(text)
  try {
    return answerFrom(format, format === 'svg' ? readSvg(text) : readDxf(text), longestMm)
  } catch (error) {
    if (error instanceof DrawnUnread) return refused(error.code, error.message)
    throw error
  }
}

function answerFrom(
  format: 'svg' | 'dxf',
  { traces, isUnitKnown, notes }: DrawnLines,
  longestMm: number | undefined,
): DrawnAnswer | DrawnRefused {
  const lines = traces.map((trace) => trace.points)
  if (lines.flat().some(([x, y]) => !Number.isFinite(x) || !Number.isFinite(y) || Math.abs(x) > 1e7 || Math.abs(y) > 1e7))
    return refused('no-numbers', 'the drawing has places that are no numbers, or lie kilometres away')
  const { loops, mended, open } = joinTraces(traces)
  const [worst] = [...open].sort((a, b) => b.mm - a.mm)
  if (worst)
    return refused(
      'open',
      `${open.length === 1 ? 'a line stays' : `${open.length} lines stay`} open: the widest gap is ${worst.mm.toFixed(2)} mm, and only gaps up to ${MEND_MM} mm are closed`,
      lines,
      open,
    )
  if (loops.length === 0) return refused('nothing', 'nothing is drawn that encloses metal', lines)
  if (loops.some(isBowTie)) return refused('crosses', 'a line crosses itself, so that inside and outside cannot be told', lines)
  const box = boundsOf(loops.flat())
  const scale = longestMm === undefined ? 1 : longestMm / Math.max(box.maxX - box.minX, box.maxY - box.minY)
  const regions = regionsOf(loops).map(({ outer, holes }) => ({
    outer: scaled(outer, scale),
    holes: holes.map((hole) => scaled(hole, scale)),
  }))
  const said = [
    ...notes,
    ...mended.map((gap) => `closed a gap of ${gap.mm.toFixed(2)} mm at ${gap.from[0].toFixed(1)}, ${gap.from[1].toFixed(1)}`),
    ...(isUnitKnown || longestMm !== undefined ? [] : ['the file does not say its unit: check one length and enter it']),
  ]
  return {
    ok: true,
    format,
    isSizeKnown: isUnitKnown || longestMm !== undefined,
    regions,
    lengthMm: (box.maxX - box.minX) * scale,
    widthMm: (box.maxY - box.minY) * scale,
    areaMm2: regions.reduce((sum, { outer, holes }) => sum + netAreaMm2(outer, holes), 0),
    mended,
    notes: said,
  }
}
