'use server'
import { revalidatePath } from 'next/cache'
import * as z from 'zod'
import { cutLayout as cut } from '../services/cut-layout'
import { workshop } from '../workshop'
import { type ActionResult, readAction, refuse } from './result'

const layoutSchema = z.object({
  jobId: z.number(),
  sheetId: z.number(),
  kerfMm: z.number({ error: 'Kerf: a width, 0 to 2 mm' }).min(0, { error: 'Kerf: 0 to 2 mm' }).max(2, { error: 'Kerf: 0 to 2 mm' }),
  marginMm: z.number({ error: 'Margin: 0 to 20 mm' }).min(0, { error: 'Margin: 0 to 20 mm' }).max(20, { error: 'Margin: 0 to 20 mm' }),
  placements: z
    .array(z.object({ id: z.string(), copy: z.number(), sheet: z.string(), x: z.number(), y: z.number(), rotationDeg: z.number() }))
    .max(2000),
})

/** Keeps the layout of a job; its draft is replaced. */
export async function saveLayout(raw: unknown): Promise<ActionResult<{ id: number }>> {
  const read = readAction(layoutSchema, raw)
  if (!read.ok) return read
  const { layouts, jobs, drawer } = workshop()
  if (!jobs.job(read.data.jobId)) return refuse('This job is no longer there.')
  if (!drawer.one(read.data.sheetId)) return refuse('This sheet is no longer in the drawer.')
  const draft = layouts.draftOf(read.data.jobId)
  const id = draft && layouts.change(draft.id, read.data) ? draft.id : layouts.add(read.data)
  return { ok: true, id }
}

/** Takes the placed blanks off the sheet and puts what is left back into the drawer. */
export async function cutLayout(id: number): Promise<ActionResult<{ remnants: readonly string[] }>> {
  const result = cut(workshop(), id)
  if (!result.ok) return refuse(result.message)
  revalidatePath('/', 'layout')
  return result
}
