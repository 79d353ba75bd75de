import * as z from 'zod'
import { weightCheckSchema } from '../instruments/check-weight'
import { ALLOY_IDS } from '../metals'
import { ASKED_SYSTEMS, RING_SYSTEMS } from '../tables'
import { clockTime, typedMm, typedWhole } from './typed'

/** How a workshop works, as it is kept and as it is typed. Whatever is not entered has a sensible value. */
const fields = z.object({
  workshopName: z.string().max(80, { error: 'Name: at most 80 characters' }).default(''),
  units: z.enum(['mm', 'inch', 'both']).default('both'),
  ringSystem: z.enum(RING_SYSTEMS).default('US'),
  /** The scale that a bare gauge number belongs to where metal is put into the drawer. */
  gaugeSystem: z.enum(ASKED_SYSTEMS).default('B&S'),
  defaultAlloy: z.enum(ALLOY_IDS).default('sterling-925'),
  /** The currency of the prices, ISO 4217. */
  currency: z
    .string()
    .trim()
    .toUpperCase()
    .regex(/^[A-Z]{3}$/, { error: 'Currency of prices: three letters, such as EUR' })
    .default('EUR'),
  paper: z.enum(['A4', 'Letter']).default('A4'),
  /** What the 50 mm check bar measured on paper. */
  checkBarMm: typedMm('The check bar measured', 45, 55).default(50),
  kerfMm: typedMm('Saw kerf', 0, 2).default(0.3),
  marginMm: typedMm('Margin to the sheet’s edge', 0, 20).default(1),
  /** The simulated instruments, to practise with; what they read is never counted. The demonstration has them always. */
  practice: z.preprocess((typed) => (typed === 'true' ? true : typed === 'false' ? false : typed), z.boolean()).default(false),
  /** Own figures beside the presets of the bench, by their id. */
  figures: z.record(z.string(), z.number()).default({}),
  /** The day whose prices of metal were taken from the feed; empty where none were. */
  pricesOn: z.string().default(''),
  /** What was measured of metals, by the id of the figure it tells. */
  trials: z.record(z.string(), z.array(z.number())).default({}),
  /** What was answered where the record asked, by form, metal and method. */
  recordAnswers: z.record(z.string(), z.object({ since: z.string(), right: z.array(z.string()).readonly() })).default({}),
  /** The workshop's own methods: by the id of a choice, the way that a new piece starts with. */
  methods: z.record(z.string(), z.string()).default({}),
  /** What the torch brings into the work, W. */
  torchW: z.coerce
    .number({ error: 'Torch: so many watts, such as 150' })
    .min(10, { error: 'Torch: at least 10 W' })
    .max(5000, { error: 'Torch: at most 5000 W' })
    .default(150),
  flux: z.enum(['white-paste', 'borax', 'liquid']).default('white-paste'),
  /** The workshop's answers to questions of the order of work, where they are not the usual ones. */
  orderSchools: z.record(z.string(), z.string()).default({}),
  /** When the workshop works, on its own clock. */
  workFrom: clockTime('Work from').default('08:00'),
  workTo: clockTime('Work until').default('17:00'),
  /** The break in the middle of the day; both empty where there is none. */
  breakFrom: clockTime('Break from').or(z.literal('')).default('12:00'),
  breakTo: clockTime('Break until').or(z.literal('')).default('12:45'),
  workDays: z.enum(['mon-fri', 'mon-sat', 'tue-sat', 'every-day']).default('mon-fri'),
  /** How many of each there are, and how many trays the pot and the tumbler take at once. */
  torches: typedWhole('Torches', 1, 8).default(1),
  potTrays: typedWhole('Trays in the pickle pot at once', 1, 12).default(3),
  tumblerTrays: typedWhole('Trays in the tumbler at once', 1, 12).default(1),
  /** What the scale showed of its check weight, the last time it was tried. */
  scaleCheck: weightCheckSchema.nullable().default(null),
  /** Whether the questions of the first start were answered or put aside. */
  greeted: z.boolean().default(false),
  /** The job that was made for practice things out, as long as it is there. */
  trialJobId: z.number().nullable().default(null),
})
/** The same, its times in their order: a day that ends before it begins could never be planned. */
export const settingsSchema = fields
  .refine(({ workFrom, workTo }) => workFrom < workTo, { path: ['workTo'], error: 'Work until: later than work from' })
  .refine(({ breakFrom, breakTo }) => (breakFrom === '') === (breakTo === '') && breakFrom <= breakTo, {
    path: ['breakTo'],
    error: 'Break until: later than break from, or both empty',
  })
export type Settings = z.output<typeof settingsSchema>
