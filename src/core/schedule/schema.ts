import * as z from 'zod'
import { findOperation } from '../operations'

/** What trays wait for at the bench, beside the two hands. */
export const SHARED = ['torch', 'pickle-pot', 'bath', 'press', 'mill', 'etching-pan', 'tumbler', 'drill'] as const
export type Shared = (typeof SHARED)[number]

const minutes = (what: string, most: number) =>
  z
    .number({ error: `${what}: minutes` })
    .min(0, { error: `${what}: 0 minutes or more` })
    .max(most, { error: `${what}: at most ${most} minutes` })
const when = z.iso.datetime({ error: 'a time such as 2027-03-01T08:00:00Z' })

const step = z.strictObject({
  op: z.string().refine((op) => findOperation(op) !== undefined, { error: 'an operation that there is, such as pickle' }),
  params: z.record(z.string(), z.unknown()).default({}),
  /** The smith's own averages, where they are known: of the whole tray. */
  handsOnMin: minutes('Hands-on', 600).optional(),
  waitMin: minutes('Wait', 10_000).optional(),
  /** How far the hands’ minutes scatter, as a share of them: one standard deviation of their logarithm. */
  handsSpread: z.number().min(0, { error: 'Spread: 0 to 2' }).max(2, { error: 'Spread: 0 to 2' }).optional(),
})

const tray = z.strictObject({
  id: z.string().min(1, { error: 'what the tray is called' }).max(80),
  /** Pieces in it: each is done by itself where they do not go together. */
  size: z.int().min(1, { error: '1 to 500 pieces' }).max(500, { error: '1 to 500 pieces' }).default(1),
  dueAt: when.optional(),
  /** Not begun before this: metal that arrives, a wait that is running. */
  notBefore: when.optional(),
  steps: z.array(step).min(1, { error: 'at least one step' }).max(400),
})

export const scheduleInput = z
  .strictObject({
    startsAt: when,
    /** How many of each there are; of a pot, a bath, a pan or a tumbler how many trays go in at once. One where nothing is said. */
    resources: z.partialRecord(z.enum(SHARED), z.int().min(1, { error: '1 to 20' }).max(20, { error: '1 to 20' })).default({}),
    /** How long each takes to be hot once the hands are back after hours of rest: nothing goes in before. */
    warmUps: z.partialRecord(z.enum(SHARED), minutes('Warm-up', 240)).default({}),
    /** When the hands rest. */
    breaks: z
      .array(z.strictObject({ from: when, to: when }))
      .max(400)
      .default([]),
    trays: z.array(tray).min(1, { error: 'at least one tray' }).max(60),
    seconds: z.number().min(0, { error: '0 to 60 s' }).max(60, { error: '0 to 60 s' }).default(3),
    /** Tries of the search; the same seed and tries give the same day. */
    tries: z.int().min(1).max(1_000_000).optional(),
    seed: z
      .int()
      .min(0)
      .max(2 ** 31)
      .default(1),
  })
  .refine(({ trays }) => new Set(trays.map(({ id }) => id)).size === trays.length, {
    path: ['trays'],
    error: 'two trays have the same id',
  })
  .refine(({ breaks }) => breaks.every(({ from, to }) => from < to), { path: ['breaks'], error: 'a break ends after it begins' })
export type ScheduleInput = z.output<typeof scheduleInput>
