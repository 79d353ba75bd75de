import * as z from 'zod'
import { typedMoney, typedWhole } from './typed'

/** Where a job stands between the asking and the handing over. */
export const JOB_STATUSES = ['asked', 'promised', 'in-work', 'done', 'handed-over'] as const
export type JobStatus = (typeof JOB_STATUSES)[number]

/** Whether there is still work in it. */
export const isOpenJob = ({ status }: { readonly status: JobStatus }): boolean => status !== 'done' && status !== 'handed-over'

const isDay = (text: string) => !Number.isNaN(Date.parse(text)) && new Date(text).toISOString().startsWith(text)

/** What is entered of a job: its title, whom it is for, the day it was promised for, where it stands, a note. */
export const jobEntry = z.object({
  title: z
    .string()
    .trim()
    .min(1, { error: 'Job: give it a name, such as what is made' })
    .max(120, { error: 'Job: at most 120 characters' }),
  customer: z.string().trim().max(120, { error: 'For: at most 120 characters' }).default(''),
  dueOn: z
    .string()
    .regex(/^\d{4}-\d{2}-\d{2}$/, { error: 'Due: a date such as 2027-03-01' })
    .refine(isDay, { error: 'Due: there is no such day' })
    .nullable()
    .default(null),
  status: z.enum(JOB_STATUSES).default('asked'),
  note: z.string().max(2000, { error: 'Note: at most 2000 characters' }).default(''),
  /** Sizes the customer gave: a finger, a wrist, a stone. */
  sizes: z.string().max(500, { error: 'Sizes: at most 500 characters' }).default(''),
  agreed: typedMoney('Price agreed').default(null),
  deposit: typedMoney('Deposit paid').default(null),
})

const name = z.string().trim().min(1, { error: 'Piece: give it a name' }).max(120, { error: 'Piece: at most 120 characters' })
const quantity = typedWhole('How many', 1, 5000)
const spares = typedWhole('Spares', 0, 5000)

/** What is entered of a piece beside its sizes: its name, how many are wanted, how many more are cut against losses. */
export const pieceWords = z.object({ name, quantity, spares })

/** Before the id of a kit where a form's could stand: a piece may start from either. */
export const KIT_PREFIX = 'kit/'

/** A piece that is added: of which form or kit, named after it where nothing else was entered. */
export const pieceEntry = z.object({
  name,
  quantity: quantity.default(1),
  spares: spares.default(0),
  form: z.string(),
})
