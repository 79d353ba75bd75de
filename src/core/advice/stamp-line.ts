import * as z from 'zod'
import type { Drawing, DrawingShape } from '../drawing/drawing'
import type { Check } from '../forms/contract'
import { rectangleOutline } from '../geometry/outline'
import type { Point } from '../geometry/point'
import { stampedLineMm } from '../tables/tools/tool-data'
import { usable } from '../toolwall/tools'
import { lengthMm, words } from '../units/fields'
import { formatPlain } from '../units/format'
import { note, type WorkingLog } from '../working/derive'
import { benchFields, defineAdviser } from './define-adviser'

const input = z.strictObject({
  text: words('Words', 60, 'As they will be stamped.').refine((text) => text.trim().length > 0, { error: 'Words: write what is stamped' }),
  heightMm: lengthMm({ label: 'Letter height', min: 0.5, max: 20 }).default(2),
  roomMm: lengthMm({ label: 'Room along the line', min: 1, max: 2000 }),
  ...benchFields(),
})
type Input = z.output<typeof input>

/** The smith's stamp set of this height, where its characters were measured. */
function widthsOf(input: Input): Readonly<Record<string, number>> {
  return usable(input.owned, 'stamp').find((tool) => Math.abs(tool.size - input.heightMm) < 0.05)?.facts?.widths ?? {}
}

interface Letter {
  readonly shape: DrawingShape
  readonly note: { readonly at: Point; readonly text: string }
}

/** Each character's room along the line, with the character in it. */
function lettersOf(input: Input, widths: Readonly<Record<string, number>>, start: number): Letter[] {
  const h = input.heightMm
  let at = start
  return [...input.text.toUpperCase()].flatMap((character): Letter[] => {
    const wide = stampedLineMm(character, h, widths)
    const left = at
    at += wide
    if (character === ' ') return []
    const box = rectangleOutline(wide * 0.9, h).map(([x, y]): Point => [x + left + wide * 0.05, y + h])
    return [
      {
        shape: { kind: 'line', layer: 'tool', points: [...box, box[0] ?? [0, 0]] },
        note: { at: [left + wide / 2, 1.5 * h], text: character },
      },
    ]
  })
}

function draw(input: Input, widths: Readonly<Record<string, number>>, lineMm: number): Drawing {
  const h = input.heightMm
  const start = (input.roomMm - lineMm) / 2
  const letters = lettersOf(input, widths, start)
  return {
    views: [
      {
        id: 'line',
        title: 'The line',
        shapes: [
          { kind: 'region', layer: 'metal', outer: rectangleOutline(input.roomMm, 3 * h), holes: [] },
          ...letters.map((letter) => letter.shape),
        ],
        dimensions: [
          { from: [0, 0], to: [input.roomMm, 0], offset: -1.4, text: `room ${formatPlain(input.roomMm, 1)}` },
          { from: [start, 3 * h], to: [start + lineMm, 3 * h], offset: 1.2, text: `line ${formatPlain(lineMm, 1)}` },
        ],
        handles: [],
        notes: letters.map((letter) => letter.note),
      },
    ],
  }
}

function fitCheck(lineMm: number, input: Input): Check {
  const left = (input.roomMm - lineMm) / 2
  const facts = {
    actual: { value: left, unit: 'mm' as const },
    limit: { value: input.heightMm, unit: 'mm' as const },
    source: 'house-default' as const,
  }
  if (left < 0)
    return {
      level: 'stop',
      code: 'line-too-long',
      field: 'text',
      ...facts,
      message: `The line is ${formatPlain(lineMm, 1)} mm and there are ${formatPlain(input.roomMm, 1)}: smaller letters, fewer words or two lines.`,
    }
  return left < input.heightMm
    ? {
        level: 'warn',
        code: 'narrow-margin',
        field: 'roomMm',
        ...facts,
        message: `Only ${formatPlain(left, 1)} mm is left at each end; a letter’s height looks right.`,
      }
    : { level: 'ok', code: 'line-fits', ...facts, message: `It fits with ${formatPlain(left, 1)} mm at each end.` }
}

export const stampLineAdviser = defineAdviser({
  id: 'stamp-line',
  title: 'A line of stamped letters',
  question: 'Does it fit, and where does it begin?',
  input,
  example: { text: 'NIGHT MAIL', heightMm: 2, roomMm: 28 },
  advise: (input) => {
    const widths = widthsOf(input)
    const lineMm = stampedLineMm(input.text, input.heightMm, widths)
    const measured = [...new Set(input.text.toUpperCase().replace(/\s/g, ''))].filter((character) => widths[character] !== undefined)
    const log: WorkingLog = []
    note(log, {
      kind: 'lookup',
      label: 'Length of the line',
      formula: 'sum of each character’s advance',
      value: lineMm,
      unit: 'mm',
      source: measured.length > 0 ? 'own-choice' : 'house-default',
      note:
        measured.length > 0
          ? `${measured.length} characters as you measured them`
          : 'shares of the letter height; stamp an alphabet and measure your own',
    })
    return {
      answer:
        lineMm <= input.roomMm
          ? `${formatPlain(lineMm, 1)} mm long, begin ${formatPlain((input.roomMm - lineMm) / 2, 1)} mm in`
          : `${formatPlain(lineMm, 1)} mm long, ${formatPlain(lineMm - input.roomMm, 1)} mm too long`,
      reason: 'Stamp the middle letter first and work outward. Anneal, tape the sheet to a steel block, one firm blow each.',
      picks: [],
      missing: null,
      checks: [fitCheck(lineMm, input)],
      working: log,
      picture: { kind: 'drawing', drawing: draw(input, widths, lineMm) },
    }
  },
})
