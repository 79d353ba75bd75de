import * as z from 'zod'
import { readToolSize, toolEntry, toolLabel } from '@/core/entries'
import { parseSize } from '@/core/sizes'
import { findStartingSet, sizeOfTool, type ToolFacts } from '@/core/toolwall'
import { formatPlain } from '@/core/units'
import { type Repositories, TOOL_REASONS, type WallTool } from '../db/repositories'
import { type ActionResult, type Against, linesOf, ownAction, refuse } from './action'

/** Hangs one tool on the wall. */
export const addTool = ownAction({
  input: toolEntry,
  against: 'new',
  run: ({ tools }, { kind, label, facts, size, measured, count }) => {
    const [nominal, real] = [readToolSize(kind, size), readToolSize(kind, measured)]
    if (!nominal.ok) return refuse(nominal.message)
    if (!real.ok) return refuse(real.message)
    return {
      ok: true,
      id: tools.add({ kind, label, nominal: nominal.value, measured: real.value, count, facts: { ...nominal.facts, ...facts } }),
    }
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

/** Renames a tool, or corrects the size it was sold as; empty leaves the size not known. */
export const correctTool = ownAction({
  input: z.object({ id: z.number(), label: toolLabel, size: z.string().max(60) }),
  against: (to, { id, label, size }) =>
    againstTool(to, id, (tool) =>
      linesOf({ label: 'Name', size: 'Size as sold' }, { label: tool.label, size: tool.nominal }, { label, size: size.trim() }),
    ),
  run: ({ tools }, { id, label, size }) => {
    const tool = tools.one(id)
    if (!tool) return gone()
    const read = readToolSize(tool.kind, size)
    if (!read.ok) return refuse(read.message, [{ path: 'size', message: read.message }])
    tools.describe(id, { label, nominal: read.value ?? null, facts: { ...tool.facts, ...read.facts } })
    return { ok: true, revision: tools.one(id)?.revision ?? tool.revision }
  },
})

/** Keeps what a tool measured; it wins over the size it was sold as. Empty takes the measurement back. */
export const measureTool = ownAction({
  input: z.object({ id: z.number(), typed: z.string().max(60) }),
  against: (to, { id, typed }) =>
    againstTool(to, id, (tool) => linesOf({ measured: 'As measured' }, { measured: tool.measured }, { measured: typed.trim() })),
  run: ({ tools }, { id, typed }) => {
    const tool = tools.one(id)
    if (!tool) return gone()
    const size = readToolSize(tool.kind, typed)
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
    if (reading.mm < 2 || reading.mm > 300) return refuse(`Diameter: ${formatPlain(reading.mm, 2)} mm was given; allowed: 2 to 300 mm`)
    const marks = [...others, { mark: name, diameterMm: reading.mm }].sort((a, b) => a.diameterMm - b.diameterMm)
    return keepFacts(to, tool, { ...tool.facts, marks })
  },
})

/** Keeps the measured width of one stamped character; empty takes it off. */
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
    const { [letter]: _, ...others } = tool.facts.widths ?? {}
    if (typed.trim() === '') return keepFacts(to, tool, { ...tool.facts, widths: others })
    const reading = parseSize(typed)
    if (!('mm' in reading)) return refuse(`Width: ${reading.kind === 'unknown' ? reading.message : reading.question}`)
    const height = sizeOfTool(tool) ?? 5
    if (reading.mm <= 0 || reading.mm > 3 * height)
      return refuse(
        `Width: ${formatPlain(reading.mm, 2)} mm was given for letters ${formatPlain(height, 2)} mm high; allowed: up to ${formatPlain(3 * height, 1)} mm`,
      )
    return keepFacts(to, tool, { ...tool.facts, widths: { ...others, [letter]: reading.mm } })
  },
})
