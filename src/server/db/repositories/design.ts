import * as z from 'zod'
import { JOINT_KIND_IDS, JOINT_ROLES, OTHER_KIND_IDS, refObject } from '@/core/assembly'
import { etchChoices } from '@/core/etching'
import { markSchema } from '@/core/marks'
import { BOUGHT_TEMPER_IDS, SOLDER_IDS } from '@/core/metals'
import { surfaceChoices } from '@/core/surface'

const params = z.record(z.string(), z.unknown())
const id = z.string().min(1).max(80)
const refs = z.array(refObject).max(60).readonly()
const bought = z.enum(BOUGHT_TEMPER_IDS)

const reason = z.object({ rule: z.string().max(20), against: z.union([z.string(), z.number()]).optional(), reason: z.string().max(500) })
const target = z.object({
  dimension: z.string(),
  label: z.string(),
  valueMm: z.number(),
  plusMinusMm: z.number(),
  /** Of what the piece is made after. */
  original: z.object({ mm: z.number(), stronger: z.boolean() }).optional(),
})

const size = z.object({
  dimension: z.string(),
  label: z.string(),
  value: z.number(),
  plusMinus: z.number(),
  unit: z.enum(['mm', 'g']),
})

export const stepContentSchema = z.object({
  version: z.literal(1).default(1),
  op: z.string(),
  /** What it is done to; steps frozen before pieces had several parts have none, and are done to the only one. */
  on: refs.default([]),
  params: params.default({}),
  target: target.optional(),
  /** What is known of the part's sizes before it; steps frozen before sizes were followed have none. */
  sizes: z.array(size).readonly().optional(),
  overrides: z.array(reason).max(40).optional(),
  /** Of a heat that joins: where the flame goes, and what to keep it off; steps frozen before it was kept have none. */
  heat: z.object({ say: z.string(), warnings: z.array(z.string()).readonly(), fromBelow: z.boolean() }).optional(),
})

/** One part of a piece: a form and what was typed into it. Its id is given once. */
const part = z.object({
  id: z.string().min(1).max(60),
  name: z.string().max(120).default(''),
  form: z.string(),
  inputVersion: z.number(),
  input: z.record(z.string(), z.unknown()),
  bought: bought.default('unknown'),
  count: z.number().int().min(1).max(5000).optional(),
  marks: z.array(markSchema).max(40).readonly().optional(),
  etch: etchChoices.optional(),
  surface: surfaceChoices.optional(),
})

const other = z.object({
  id,
  name: z.string().max(120).default(''),
  kind: z.enum(OTHER_KIND_IDS),
  standsC: z.number().min(0).max(3000).optional(),
  note: z.string().max(500).optional(),
})

const pose = z.object({
  u: z.number().optional(),
  v: z.number().optional(),
  angleDeg: z.number().optional(),
  offsetMm: z.number().optional(),
})

const joint = z.object({
  id,
  kind: z.enum(JOINT_KIND_IDS),
  members: refs,
  role: z.enum(JOINT_ROLES).optional(),
  solder: z.enum(SOLDER_IDS).optional(),
  how: z.string().max(200).optional(),
  coil: z.boolean().optional(),
  jig: id.optional(),
  count: z.number().int().positive().max(5000).optional(),
  lengthMm: z.number().positive().max(100000).optional(),
  gapMm: z.number().min(0).max(2).optional(),
  poses: z.array(pose).max(500).readonly().optional(),
})

const routeEdits = z.object({
  removed: z.array(z.string()).max(200).readonly(),
  placed: z
    .array(
      z.object({
        id: z.string(),
        after: z.string().nullable(),
        before: z.string().nullable(),
        own: z.object({ op: z.string(), on: refs, params, unfolded: z.boolean().optional() }).optional(),
      }),
    )
    .max(200)
    .readonly(),
  changed: z
    .array(z.object({ id: z.string(), params }))
    .max(200)
    .readonly(),
  reasons: z
    .array(reason.extend({ id: z.string() }))
    .max(200)
    .readonly()
    .optional(),
  pinned: z.array(z.string()).max(200).readonly().optional(),
})

/** What a revision holds. `route` is what was changed on the usual route; the numbers always follow the input. */
export const designSchema = z.object({
  version: z.literal(2).default(2),
  kit: z.string().max(80).optional(),
  parts: z.array(part).min(1, { error: 'a piece has a part at least' }).max(100, { error: 'a piece has 100 parts at most' }),
  others: z.array(other).max(100).readonly().default([]),
  joints: z.array(joint).max(200).readonly().default([]),
  keep: z.array(z.string().max(80)).max(20).readonly().default([]),
  schools: z.record(z.string(), z.string()).default({}),
  route: routeEdits.optional(),
})
export type Design = z.output<typeof designSchema>

const outcome = target.extend({ blankPerMm: z.number(), primary: z.boolean() })

const point = z.tuple([z.number(), z.number()])

/** One part of the plan as it was when the tray started. */
const frozenPart = z.object({
  part: z.string(),
  name: z.string().default(''),
  form: z.string(),
  count: z.number().int().positive().default(1),
  alloy: z.string(),
  thicknessMm: z.number(),
  method: z.string(),
  answer: z.object({ name: z.string(), value: z.number(), unit: z.string(), markAt: z.number() }),
  bought,
  /** How wide the metal is along its bends; plans frozen before it was known have none. */
  widthMm: z.number().optional(),
  /** The smith's own figures of its metal, as they stood when the tray began. */
  figures: z.record(z.string(), z.number()).optional(),
  regions: z.array(
    z.union([z.string(), z.object({ region: z.string(), thicknessMm: z.number().optional(), widthMm: z.number().optional() })]),
  ),
  outcomes: z.array(outcome),
  /** Its blank with what is struck and drilled on it; none where nothing is, and in plans frozen before it was kept. */
  marked: z.object({ outer: z.array(point), holes: z.array(z.array(point)), marks: z.array(markSchema).max(40).readonly() }).optional(),
})
export type FrozenPart = z.output<typeof frozenPart>

/** The plan as it was when a tray started: what the pieces are held against, whatever the design becomes later. Its steps are rows of their own. */
export const frozenPlanSchema = z.object({
  version: z.literal(2),
  coreVersion: z.string(),
  pieceName: z.string(),
  parts: z.tuple([frozenPart], frozenPart),
  others: z.array(other).readonly().default([]),
  joints: z.array(joint).readonly().default([]),
  schools: z.record(z.string(), z.string()).default({}),
})

/** A frozen step: its id, and what it held when the tray started. */
export type FrozenStep = Omit<z.output<typeof stepContentSchema>, 'version'> & { readonly id: string }
export type FrozenPlan = z.output<typeof frozenPlanSchema> & { readonly steps: readonly FrozenStep[] }
