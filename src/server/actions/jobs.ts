import * as z from 'zod'
import { findForm } from '@/core/forms'
import { JOB_STATUSES } from '../db/repositories'
import { linesOf, ownAction, refuse } from './action'

const jobSchema = z.object({
  id: z.number().optional(),
  title: z.string().trim().min(1, { error: 'Job: give it a name, such as what is made' }).max(120),
  customer: z.string().trim().max(120).default(''),
  dueOn: z
    .string()
    .regex(/^\d{4}-\d{2}-\d{2}$/, { error: 'Due: a date such as 2027-03-01' })
    .refine((text) => !Number.isNaN(Date.parse(text)) && new Date(text).toISOString().startsWith(text), {
      error: 'Due: there is no such day',
    })
    .nullable()
    .default(null),
  status: z.enum(JOB_STATUSES).default('asked'),
  note: z.string().max(2000).default(''),
})
const JOB_LABELS = { title: 'Job', customer: 'For', dueOn: 'Due', status: 'Status', note: 'Note' }
const JOB_GONE = 'This job is no longer there.'

/** Adds a job, or changes the one with the id. */
export const saveJob = ownAction({
  input: jobSchema,
  against: ({ jobs }, { id, ...job }) => {
    if (id === undefined) return { revision: 0, lines: [] }
    const now = jobs.job(id)
    return now && { revision: now.revision, lines: linesOf(JOB_LABELS, now, job) }
  },
  run: ({ jobs }, { id, ...job }) => {
    if (id !== undefined && !jobs.changeJob(id, job)) return refuse(JOB_GONE, [], 'gone')
    return { ok: true, id: id ?? jobs.addJob(job) }
  },
})

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
export const addPiece = ownAction({
  input: pieceSchema,
  against: 'new',
  run: ({ jobs, transaction }, { name, quantity, spares, input, jobId, jobTitle, form: formId }) => {
    const form = findForm(formId)
    if (!form) return refuse(`There is no form "${formId}".`)
    if (jobId !== undefined && !jobs.job(jobId)) return refuse(JOB_GONE, [], 'gone')
    return transaction(() => {
      const job = jobId ?? jobs.addJob({ title: jobTitle || name, customer: '', dueOn: null, status: 'asked', note: '' })
      const part = { id: 'part-1', form: form.id, inputVersion: form.inputVersion, input: input ?? { ...form.example } }
      const id = jobs.addPiece({ jobId: job, name, quantity, spares, design: { parts: [part], bought: 'unknown' } })
      return { ok: true as const, id, jobId: job }
    })
  },
})
