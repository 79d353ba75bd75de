import * as z from 'zod'
import { parseSize } from '@/core/sizes'
import { findBlade, gritsNamed } from '@/core/tables'
import {
  findStartingSet,
  type OwnTool,
  sizeOfTool,
  TOOL_KIND_INFO,
  TOOL_KINDS,
  type ToolFacts,
  type ToolKind,
  toolFacts,
} from '@/core/toolwall'
import { formatPlain, readPlainNumber } from '@/core/units'
import { type Repositories, TOOL_REASONS, type WallTool } from '../db/repositories'
import { type ActionIssue, type ActionResult, type Against, linesOf, ownAction, refuse } from './action'

type Size =
  | { readonly ok: true; readonly value: number | undefined; readonly facts?: ToolFacts }
  | { readonly ok: false; readonly message: string }

function inRange(kind: ToolKind, value: number): Size {
  const size = TOOL_KIND_INFO[kind].size
  if (!size) return { ok: true, value: undefined }
  if (value >= size.min && value <= size.max) return { ok: true, value }
  return {
    ok: false,
    message: `${size.label}: ${formatPlain(value)} ${size.unit} was given; possible is ${formatPlain(size.min)} to ${formatPlain(size.max)} ${size.unit}`,
  }
}

function readNumber(kind: ToolKind, typed: string): Size {
  const label = TOOL_KIND_INFO[kind].size?.label ?? ''
  const number = readPlainNumber(typed.replace(/\s*(µm|um|°?c|hrc)$/i, ''))
  return Number.isFinite(number) ? inRange(kind, number) : { ok: false, message: `${label}: "${typed}" is not a number` }
}

/** A tool's size as a smith writes it: a drill or a length, a grade of paper, a blade by name. Empty is not known. */
function readSize(kind: ToolKind, raw: string): Size {
  const typed = raw.trim()
  const size = TOOL_KIND_INFO[kind].size
  if (typed === '' || !size) return { ok: true, value: undefined }
  if (kind === 'blade') {
    const blade = findBlade(typed.replace(/\s*blade\s*/i, ''))
    if (blade) return { ok: true, value: blade.thicknessMm, facts: { widthMm: blade.widthMm, teethPerCm: blade.teethPerCm } }
  }
  if (kind === 'abrasive') {
    const grits = gritsNamed(typed)
    const [only] = grits
    if (only && grits.length === 1) return { ok: true, value: only.micron, facts: { scale: only.scale } }
    if (grits.length > 1)
      return {
        ok: false,
        message: `Which ${typed}? ${grits.map((grit) => `${grit.scale} is ${formatPlain(grit.micron)} µm`).join(', ')}. Write the scale before it.`,
      }
  }
  if (size.unit !== 'mm') return readNumber(kind, typed)
  const reading = parseSize(typed, { gaugeSystem: 'B&S' })
  if (!('mm' in reading)) return { ok: false, message: `${size.label}: ${reading.kind === 'unknown' ? reading.message : reading.question}` }
  return inRange(kind, reading.mm)
}

const newTool = z.object({
  kind: z.enum(TOOL_KINDS, { error: 'What it is: choose one' }),
  label: z.string().trim().min(1, { error: 'Name: what do you call it?' }).max(80, { error: 'Name: at most 80 characters' }),
  size: z.string().default(''),
  measured: z.string().default(''),
  count: z.string().default(''),
  facts: toolFacts.default({}),
})

/** Hangs one tool on the wall. A maker's label is a name: without a size the tool is kept, and picked for nothing. */
export const addTool = ownAction({
  input: newTool,
  against: 'new',
  run: ({ tools }, { kind, label, facts, ...typed }) => {
    const [nominal, measured] = [readSize(kind, typed.size), readSize(kind, typed.measured)]
    const issues: ActionIssue[] = []
    if (!nominal.ok) issues.push({ path: 'size', message: nominal.message })
    if (!measured.ok) issues.push({ path: 'measured', message: measured.message })
    const count = typed.count.trim() === '' ? 1 : readPlainNumber(typed.count)
    if (!Number.isInteger(count) || count < 0 || count > 100000)
      issues.push({ path: 'count', message: 'How many: a whole number from 0 to 100000' })
    if (!nominal.ok || !measured.ok || issues.length > 0) return refuse(issues.map((issue) => issue.message).join('. '), issues)
    const tool: OwnTool = { kind, label, nominal: nominal.value, measured: measured.value, count, facts: { ...nominal.facts, ...facts } }
    return { ok: true, id: tools.add(tool) }
  },
})

/** Hangs whole starting sets; a tool of the same kind and name that hangs there already is left alone. */
export const addStartingSets = ownAction({
  input: z.object({ ids: z.array(z.string()).max(60) }),
  against: 'new',
  run: ({ tools, transaction }, { ids }) =>
    transaction(() => {
      const known = new Set(tools.all().map((tool) => `${tool.kind}/${tool.label}`))
      const wanted = ids.flatMap((id) => findStartingSet(id)?.tools ?? []).filter((tool) => !known.has(`${tool.kind}/${tool.label}`))
      for (const tool of wanted) tools.add(tool)
      return { ok: true as const, added: wanted.length }
    }),
})

const GONE = 'This tool is no longer on the wall.'
const gone = () => refuse(GONE, [], 'gone')

function againstTool({ tools }: Repositories, id: number, lines: (tool: WallTool) => Against['lines'] = () => null): Against | undefined {
  const tool = tools.one(id)
  return tool && { revision: tool.revision, lines: lines(tool) }
}

/** Keeps what a tool measured; it wins over the size it was sold as. Empty takes the measurement back. */
export const measureTool = ownAction({
  input: z.object({ id: z.number(), typed: z.string().max(60) }),
  against: (to, { id, typed }) =>
    againstTool(to, id, (tool) => linesOf({ measured: 'As measured' }, { measured: tool.measured }, { measured: typed.trim() })),
  run: ({ tools }, { id, typed }) => {
    const tool = tools.one(id)
    if (!tool) return gone()
    const size = readSize(tool.kind, typed)
    if (!size.ok) return refuse(size.message)
    tools.setMeasured(id, size.value ?? null)
    return { ok: true }
  },
})

/** Logs blades broken, papers worn out, more bought. */
export const countTool = ownAction({
  input: z.object({ id: z.number(), change: z.int().min(-100000).max(100000), reason: z.enum(TOOL_REASONS) }),
  against: (to, { id }) => againstTool(to, id),
  run: ({ tools }, { id, change, reason }) => {
    const onHand = tools.change(id, change, reason)
    return onHand === undefined ? gone() : { ok: true, onHand }
  },
})

function keepFacts({ tools }: Repositories, tool: WallTool, facts: ToolFacts): ActionResult {
  tools.setFacts(tool.id, facts)
  return { ok: true }
}

/** Keeps the diameter measured at a mark of a mandrel; empty takes the mark off. */
export const markMandrel = ownAction({
  input: z.object({ id: z.number(), mark: z.string(), typed: z.string().max(60) }),
  against: (to, { id, mark, typed }) =>
    againstTool(to, id, (tool) => {
      const now = tool.facts.marks?.find((item) => item.mark === mark.trim())?.diameterMm
      return linesOf({ mark: `At ${mark}, mm` }, { mark: now }, { mark: typed.trim() })
    }),
  run: (to, { id, mark, typed }) => {
    const tool = to.tools.one(id)
    if (tool?.kind !== 'mandrel') return gone()
    const name = mark.trim()
    if (name === '' || name.length > 20) return refuse('Mark: what stands on the mandrel there, such as US 7')
    const others = (tool.facts.marks ?? []).filter((item) => item.mark !== name)
    if (typed.trim() === '') return keepFacts(to, tool, { ...tool.facts, marks: others })
    const reading = parseSize(typed)
    if (!('mm' in reading)) return refuse(`Diameter: ${reading.kind === 'unknown' ? reading.message : reading.question}`)
    if (reading.mm < 2 || reading.mm > 300) return refuse(`Diameter: ${formatPlain(reading.mm, 2)} mm was given; possible is 2 to 300 mm`)
    const marks = [...others, { mark: name, diameterMm: reading.mm }].sort((a, b) => a.diameterMm - b.diameterMm)
    return keepFacts(to, tool, { ...tool.facts, marks })
  },
})

/** Keeps the measured width of one stamped character. */
export const measureStamp = ownAction({
  input: z.object({ id: z.number(), character: z.string(), typed: z.string().max(60) }),
  against: (to, { id, character, typed }) =>
    againstTool(to, id, (tool) => {
      const now = tool.facts.widths?.[character.trim().toUpperCase()]
      return linesOf({ width: `Width of ${character}, mm` }, { width: now }, { width: typed.trim() })
    }),
  run: (to, { id, character, typed }) => {
    const tool = to.tools.one(id)
    if (tool?.kind !== 'stamp') return gone()
    const letter = character.trim().toUpperCase()
    if ([...letter].length !== 1) return refuse('Character: one letter or figure')
    const reading = parseSize(typed)
    if (!('mm' in reading)) return refuse(`Width: ${reading.kind === 'unknown' ? reading.message : reading.question}`)
    const height = sizeOfTool(tool) ?? 5
    if (reading.mm <= 0 || reading.mm > 3 * height)
      return refuse(
        `Width: ${formatPlain(reading.mm, 2)} mm was given for letters ${formatPlain(height, 2)} mm high; possible is up to ${formatPlain(3 * height, 1)} mm`,
      )
    return keepFacts(to, tool, { ...tool.facts, widths: { ...tool.facts.widths, [letter]: reading.mm } })
  },
})
