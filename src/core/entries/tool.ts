import * as z from 'zod'
import { parseSize } from '../sizes'
import { findBlade, gritsNamed } from '../tables'
import { TOOL_KIND_INFO, TOOL_KINDS, type ToolFacts, type ToolKind, toolFacts } from '../toolwall'
import { formatPlain, readPlainNumber } from '../units'
import { typedWhole } from './typed'

/** A tool's size as read: nothing where it is not known, or why it cannot be one. */
export type ToolSize =
  | { readonly ok: true; readonly value: number | undefined; readonly facts?: ToolFacts }
  | { readonly ok: false; readonly message: string }

function inRange(kind: ToolKind, value: number): ToolSize {
  const size = TOOL_KIND_INFO[kind].size
  if (!size) return { ok: true, value: undefined }
  if (value >= size.min && value <= size.max) return { ok: true, value }
  return {
    ok: false,
    message: `${size.label}: ${formatPlain(value)} ${size.unit} was given; allowed: ${formatPlain(size.min)} to ${formatPlain(size.max)} ${size.unit}`,
  }
}

function readNumber(kind: ToolKind, typed: string): ToolSize {
  const label = TOOL_KIND_INFO[kind].size?.label ?? ''
  const number = readPlainNumber(typed.replace(/\s*(µm|um|°?c|hrc)$/i, ''))
  return Number.isFinite(number) ? inRange(kind, number) : { ok: false, message: `${label}: "${typed}" is not a number` }
}

function readGrit(typed: string): ToolSize | undefined {
  const grits = gritsNamed(typed)
  const [only] = grits
  if (only && grits.length === 1) return { ok: true, value: only.micron, facts: { scale: only.scale } }
  if (grits.length === 0) return undefined
  return {
    ok: false,
    message: `Which ${typed}? ${grits.map((grit) => `${grit.scale} is ${formatPlain(grit.micron)} µm`).join(', ')}. Write the scale before it.`,
  }
}

/** A tool's size as a smith writes it: a drill or a length, a grade of paper, a blade by name. Empty is not known. */
export function readToolSize(kind: ToolKind, raw: string): ToolSize {
  const typed = raw.trim()
  const size = TOOL_KIND_INFO[kind].size
  if (typed === '' || !size) return { ok: true, value: undefined }
  if (kind === 'blade') {
    const blade = findBlade(typed.replace(/\s*blade\s*/i, ''))
    if (blade) return { ok: true, value: blade.thicknessMm, facts: { widthMm: blade.widthMm, teethPerCm: blade.teethPerCm } }
  }
  const grit = kind === 'abrasive' ? readGrit(typed) : undefined
  if (grit) return grit
  if (size.unit !== 'mm') return readNumber(kind, typed)
  const reading = parseSize(typed, { gaugeSystem: 'B&S' })
  if (!('mm' in reading)) return { ok: false, message: `${size.label}: ${reading.kind === 'unknown' ? reading.message : reading.question}` }
  return inRange(kind, reading.mm)
}

/** What a tool is called. */
export const toolLabel = z.string().trim().min(1, { error: 'Name: what do you call it?' }).max(80, { error: 'Name: at most 80 characters' })

/** A tool for the wall, as it is typed. A maker's label is a name: without a size the tool is kept, and picked for nothing. */
export const toolEntry = z
  .object({
    kind: z.enum(TOOL_KINDS, { error: 'What it is: choose one' }),
    label: toolLabel,
    size: z.string().default(''),
    measured: z.string().default(''),
    count: z
      .preprocess((typed) => (typeof typed === 'string' && typed.trim() === '' ? 1 : typed), typedWhole('How many', 0, 100000))
      .default(1),
    facts: toolFacts.default({}),
  })
  .superRefine(({ kind, size, measured }, context) => {
    for (const [path, typed] of [
      ['size', size],
      ['measured', measured],
    ] as const) {
      const read = readToolSize(kind, typed)
      if (!read.ok) context.addIssue({ code: 'custom', path: [path], message: read.message })
    }
  })
