import * as z from 'zod'

const routeStep = z.object({
  id: z.string(),
  op: z.string(),
  params: z.record(z.string(), z.unknown()).default({}),
  target: z.object({ dimension: z.string(), label: z.string(), valueMm: z.number(), plusMinusMm: z.number() }).optional(),
})

/** One part of a piece: a form and what was typed into it. */
const part = z.object({ form: z.string(), inputVersion: z.number(), input: z.record(z.string(), z.unknown()) })

/** What a revision holds. Without `route` the form's own steps are used and follow the input. */
export const designSchema = z.object({
  parts: z.array(part).min(1),
  bought: z.enum(['annealed', 'quarter-hard', 'half-hard', 'hard', 'unknown']).default('unknown'),
  route: z.array(routeStep).optional(),
  orderNote: z.string().optional(),
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

/** The plan as it was when a tray started: what the pieces are held against, whatever the design becomes later. */
export const frozenPlanSchema = z.object({
  coreVersion: z.string(),
  form: z.string(),
  pieceName: z.string(),
  alloy: z.string(),
  thicknessMm: z.number(),
  widthMm: z.number().optional(),
  method: z.string(),
  answer: z.object({ name: z.string(), value: z.number(), unit: z.string(), markAt: z.number() }),
  allowanceMm: z.number(),
  bought: designSchema.shape.bought,
  regions: z.array(z.string()),
  outcomes: z.array(outcome),
  steps: z.array(routeStep),
})
export type FrozenPlan = z.output<typeof frozenPlanSchema>
