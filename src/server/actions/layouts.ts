import * as z from 'zod'
import { isSameContent } from '@/core/content'
import { lineChoices } from '@/core/sawing'
import { cutLayout as cut, putBackCut as putBack, sayCut } from '../services/cut-layout'
import { linesOf, ownAction, refuse } from './action'

const kerf = { error: 'Kerf: a width, 0 to 2 mm' }
const margin = { error: 'Margin: 0 to 20 mm' }
const place = z.number().min(-20000).max(20000)
const layoutSchema = z.object({
  jobId: z.number(),
  sheetId: z.number(),
  kerfMm: z.number(kerf).min(0, kerf).max(2, kerf),
  marginMm: z.number(margin).min(0, margin).max(20, margin),
  placements: z
    .array(
      z.object({
        id: z.string().max(200),
        copy: z.int().min(0),
        sheet: z.string().max(40),
        x: place,
        y: place,
        rotationDeg: z.number().min(-3600).max(3600),
        pinned: z.boolean().optional(),
      }),
    )
    .max(5000),
})

const placed = (count: number, label: string) => `${count} placed on ${label}`

/** Keeps the layout of a job; its draft is replaced. */
export const saveLayout = ownAction({
  input: layoutSchema,
  against: ({ layouts, drawer }, input) => {
    const draft = layouts.draftOf(input.jobId)
    if (!draft) return { revision: 0, lines: null }
    const label = (id: number) => drawer.one(id)?.label ?? ''
    const [now, yours] = [placed(draft.placements.length, label(draft.sheetId)), placed(input.placements.length, label(input.sheetId))]
    const lines = linesOf({ kerfMm: 'Kerf, mm', marginMm: 'Margin, mm' }, draft, input)
    if (draft.sheetId === input.sheetId && isSameContent(draft.placements, input.placements)) return { revision: draft.revision, lines }
    const lie = { label: 'Layout', now, yours: now === yours ? `${yours}, elsewhere` : yours }
    return { revision: draft.revision, lines: [lie, ...lines] }
  },
  run: ({ layouts, jobs, drawer }, input) => {
    if (!jobs.job(input.jobId)) return refuse('This job is no longer there.', [], 'gone')
    const stock = drawer.one(input.sheetId)
    if (!stock) return refuse('This sheet is no longer in the drawer.', [], 'gone')
    if (stock.status === 'cut-up' && input.placements.length > 0)
      return refuse(`${sayCut(stock, layouts.lastCutOf(stock.id), drawer.remnantsOf(stock.id))} Choose another sheet.`, [], 'gone')
    const draft = layouts.draftOf(input.jobId)
    const id = draft && layouts.change(draft.id, input) ? draft.id : layouts.add(input)
    return { ok: true, id, revision: layouts.one(id)?.revision ?? 1 }
  },
  already: ({ layouts }, input) => {
    const draft = layouts.draftOf(input.jobId)
    return draft ? { ok: true, id: draft.id, revision: draft.revision } : refuse('This layout is no longer there.', [], 'gone')
  },
})

/** Keeps what is chosen for the lines of a layout: the side the blade keeps to, the way they are cut. */
export const chooseCuts = ownAction({
  input: z.object({ id: z.number(), lines: lineChoices }),
  against: ({ layouts }, { id, lines }) => {
    const layout = layouts.one(id)
    return layout && { revision: layout.revision, lines: isSameContent(layout.lines, lines) ? [] : null }
  },
  run: ({ layouts }, { id, lines }) =>
    layouts.chooseLines(id, lines)
      ? { ok: true, revision: layouts.one(id)?.revision ?? 1 }
      : refuse('This layout has been cut: its lines are as they were cut.', [], 'gone'),
  already: ({ layouts }, { id }) => {
    const layout = layouts.one(id)
    return layout ? { ok: true, revision: layout.revision } : refuse('This layout is no longer there.', [], 'gone')
  },
})

/** Takes the placed blanks off the sheet and puts what is left back into the drawer. */
export const cutLayout = ownAction({
  input: z.object({ id: z.number() }),
  against: ({ layouts }, { id }) => {
    const layout = layouts.one(id)
    return layout && { revision: layout.revision, lines: null }
  },
  run: async (repositories, { id }) => {
    const result = await cut(repositories, id)
    return result.ok ? result : refuse(result.message)
  },
})

/** Puts a cut back, as long as no remnant of it has been used. */
export const putBackCut = ownAction({
  input: z.object({ id: z.number() }),
  against: ({ layouts }, { id }) => {
    const layout = layouts.one(id)
    return layout && { revision: layout.revision, lines: null }
  },
  run: (repositories, { id }) => {
    const result = putBack(repositories, id)
    return result.ok ? result : refuse(result.message)
  },
})
