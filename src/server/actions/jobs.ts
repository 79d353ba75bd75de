'use server'
import { revalidatePath } from 'next/cache'
import * as z from 'zod'
import { findForm } from '@/core/forms'
import { JOB_STATUSES } from '../db/repositories'
import { workshop } from '../workshop'
import { type ActionResult, readAction, refuse } from './result'

const jobSchema = z.object({
  title: z.string().trim().min(1, { error: 'Job: give it a name, such as what is made' }).max(120),
  customer: z.string().trim().max(120).default(''),
  dueOn: z
    .string()
    .regex(/^\d{4}-\d{2}-\d{2}$/, { error: 'Due: a date such as 2027-03-01' })
    .nullable()
    .default(null),
  status: z.enum(JOB_STATUSES).default('asked'),
  note: z.string().max(2000).default(''),
})

/** Adds a job, or changes the one with the id. */
export async function saveJob(raw: unknown, id?: number): Promise<ActionResult<{ id: number }>> {
  const read = readAction(jobSchema, raw)
  if (!read.ok) return read
  const { jobs } = workshop()
  if (id !== undefined && !jobs.changeJob(id, read.data)) return refuse('This job is no longer there.')
  const saved = id ?? jobs.addJob(read.data)
  revalidatePath('/', 'layout')
  return { ok: true, id: saved }
}

const pieceSchema = z.object({
  jobId: z.number().optional(),
  jobTitle: z.string().trim().max(120).optional(),
  name: z.string().trim().min(1, { error: 'Piece: give it a name' }).max(120),
  quantity: z
    .number({ error: 'How many: a whole number, 1 to 5000' })
    .int({ error: 'How many: a whole number' })
    .min(1, { error: 'How many: at least 1' })
    .max(5000, { error: 'How many: at most 5000' })
    .default(1),
  spares: z.number().int().min(0).max(5000).default(0),
  form: z.string(),
  input: z.record(z.string(), z.unknown()).optional(),
})

/** Adds a piece to a job; without a job, one of the same name is made for it. Starts from the form's example where nothing was typed. */
export async function addPiece(raw: unknown): Promise<ActionResult<{ id: number; jobId: number }>> {
  const read = readAction(pieceSchema, raw)
  if (!read.ok) return read
  const { name, quantity, spares, input, jobId, jobTitle } = read.data
  const form = findForm(read.data.form)
  if (!form) return refuse(`There is no form "${read.data.form}".`)
  const { jobs } = workshop()
  if (jobId !== undefined && !jobs.job(jobId)) return refuse('This job is no longer there.')
  const job = jobId ?? jobs.addJob({ title: jobTitle || name, customer: '', dueOn: null, status: 'asked', note: '' })
  const id = jobs.addPiece({
    jobId: job,
    name,
    quantity,
    spares,
    design: { parts: [{ form: form.id, inputVersion: form.inputVersion, input: input ?? { ...form.example } }], bought: 'unknown' },
  })
  revalidatePath('/', 'layout')
  return { ok: true, id, jobId: job }
}
