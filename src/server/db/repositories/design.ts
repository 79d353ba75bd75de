import * as z from 'zod'

const params = z.record(z.string(), z.unknown())

export const stepContentSchema = z.object({
  version: z.literal(1).default(1),
  op: z.string(),
  params: params.default({}),
  target: z.object({ dimension: z.string(), label: z.string(), valueMm: z.number(), plusMinusMm: z.number() }).optional(),
})

/** One part of a piece: a form and what was typed into it. Its id is given once. */
const part = z.object({
  id: z.string().min(1).max(60),
  form: z.string(),
  inputVersion: z.number(),
  input: z.record(z.string(), z.unknown()),
})

const routeEdits = z.object({
  removed: z.array(z.string()).max(200).readonly(),
  placed: z
    .array(
      z.object({
        id: z.string(),
        after: z.string().nullable(),
        before: z.string().nullable(),
        own: z.object({ op: z.string(), params }).optional(),
      }),
    )
    .max(200)
    .readonly(),
  changed: z
    .array(z.object({ id: z.string(), params }))
    .max(200)
    .readonly(),
})

/** What a revision holds. `route` is what was changed on the form's own route; the numbers always follow the input. */
export const designSchema = z.object({
  parts: z.array(part).min(1).max(1, { error: 'a piece has one part' }),
  bought: z.enum(['annealed', 'quarter-hard', 'half-hard', 'hard', 'unknown']).default('unknown'),
  route: routeEdits.optional(),
  orderNote: z.string().max(500).optional(),
})
export type Design = z.output<typeof designSchema>

const outcome = z.object({
  dimension: z.string(),
  label: z.string(),
  valueMm: z.number(),
  plusMinusMm: z.number(),
  blankPerMm: z.number(),
  primary: z.boolean(),
})

/** The plan as it was when a tray started: what the pieces are held against, whatever the design becomes later. Its steps are rows of their own. */
export const frozenPlanSchema = z.object({
  coreVersion: z.string(),
  part: z.string(),
  form: z.string(),
  pieceName: z.string(),
  alloy: z.string(),
  thicknessMm: z.number(),
  method: z.string(),
  answer: z.object({ name: z.string(), value: z.number(), unit: z.string(), markAt: z.number() }),
  bought: designSchema.shape.bought,
  /** How wide the metal is along its bends; plans frozen before it was known have none. */
  widthMm: z.number().optional(),
  regions: z.array(
    z.union([z.string(), z.object({ region: z.string(), thicknessMm: z.number().optional(), widthMm: z.number().optional() })]),
  ),
  outcomes: z.array(outcome),
})

/** A frozen step: its id, and what it held when the tray started. */
export type FrozenStep = Omit<z.output<typeof stepContentSchema>, 'version'> & { readonly id: string }
export type FrozenPlan = z.output<typeof frozenPlanSchema> & { readonly steps: readonly FrozenStep[] }
