import * as z from 'zod'
import { jobEntry, KIT_PREFIX, pieceEntry, type Settings } from '@/core/entries'
import { findForm, startingMethods } from '@/core/forms'
import { findKit } from '@/core/kits'
import { designFromKit, onePart } from '@/core/piece'
import { type Design, designSchema } from '../db/repositories'
import { linesOf, ownAction, refuse } from './action'

const JOB_LABELS = {
  title: 'Job',
  customer: 'For',
  dueOn: 'Due',
  status: 'Status',
  note: 'Note',
  sizes: 'Sizes',
  agreed: 'Agreed',
  deposit: 'Deposit',
}
const JOB_GONE = 'This job is no longer there.'

/** Adds a job, or changes the one with the id. */
export const saveJob = ownAction({
  input: jobEntry.extend({ id: z.number().optional() }),
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

/** A second job with the same pieces, asked for and without a date. */
export const duplicateJob = ownAction({
  input: z.object({ id: z.number() }),
  against: 'new',
  run: ({ jobs, transaction }, { id }) => {
    const job = jobs.job(id)
    if (!job) return refuse(JOB_GONE, [], 'gone')
    const { title, customer, note, sizes } = job
    return transaction(() => {
      const copy = jobs.addJob({ title: `${title}, again`.slice(0, 120), customer, note, sizes, dueOn: null, status: 'asked' })
      for (const { name, quantity, spares, design } of jobs.pieces(id)) jobs.addPiece({ jobId: copy, name, quantity, spares, design })
      return { ok: true as const, id: copy }
    })
  },
})

const newPiece = pieceEntry.extend({
  jobId: z.number().optional(),
  jobTitle: z.string().trim().max(120).optional(),
  input: z.record(z.string(), z.unknown()).optional(),
})

/** The design a new piece starts with: a kit's with its sizes open, or a form's with what was typed, else its example. */
function startingDesign(id: string, input: Readonly<Record<string, unknown>> | undefined, own: Settings['methods']): Design | undefined {
  if (id.startsWith(KIT_PREFIX)) {
    const kit = findKit(id.slice(KIT_PREFIX.length))
    return kit && designSchema.parse(designFromKit(kit))
  }
  const form = findForm(id)
  if (!form) return undefined
  const { schools, ...sizes } = input ?? { ...form.example }
  const methods = { ...startingMethods(form.id, own), ...(schools ?? {}) }
  const typed = { ...sizes, ...(Object.keys(methods).length > 0 ? { schools: methods } : {}) }
  return designSchema.parse(onePart({ form: form.id, inputVersion: form.inputVersion, input: typed }))
}

/** Adds a piece to a job; without a job, one of the same name is made for it. Starts from the form's example where nothing was typed. */
export const addPiece = ownAction({
  input: newPiece,
  against: 'new',
  run: ({ jobs, settings, transaction }, { name, quantity, spares, input, jobId, jobTitle, form: formId }) => {
    const design = startingDesign(formId, input, settings.read().methods)
    if (!design) return refuse(`There is no form "${formId}".`)
    if (jobId !== undefined && !jobs.job(jobId)) return refuse(JOB_GONE, [], 'gone')
    return transaction(() => {
      const job = jobId ?? jobs.addJob({ title: jobTitle || name, customer: '', dueOn: null, status: 'asked', note: '' })
      const id = jobs.addPiece({ jobId: job, name, quantity, spares, design })
      return { ok: true as const, id, jobId: job }
    })
  },
})
