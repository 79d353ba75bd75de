import * as z from 'zod'

const point = z.tuple([z.number(), z.number()])
const outline = z.array(point).min(3, { error: 'an outline needs at least three points' }).max(4000)
const angles = z.union([z.literal('free'), z.array(z.number()).min(1)])

const sheet = z.strictObject({
  id: z.string().min(1),
  outer: outline,
  holes: z.array(outline).default([]),
  alloy: z.string().default(''),
  thicknessMm: z.number().min(0).default(0),
  rollingDirectionDeg: z.number().nullable().default(null),
  costRank: z.number().default(0),
})

const item = z
  .strictObject({
    id: z.string().min(1),
    qty: z.int().min(0).max(2000).default(1),
    outer: outline.optional(),
    holes: z.array(outline).default([]),
    circle: z.strictObject({ radiusMm: z.number().positive() }).optional(),
    alloy: z.string().default(''),
    thicknessMm: z.number().min(0).default(0),
    rotations: angles.default('free'),
  })
  .refine((value) => (value.circle === undefined) !== (value.outer === undefined), { error: 'an item is either a circle or an outline' })

/** The layout instance of the contract: blanks to nest on sheets. */
export const layoutInput = z
  .strictObject({
    name: z.string().default(''),
    objective: z.enum(['place', 'length', 'value']).default('place'),
    kerfMm: z.number().min(0).max(10).default(0.3),
    marginMm: z.number().min(0).max(100).default(1),
    seconds: z.number().positive().max(3600).default(10),
    iterations: z.int().positive().nullable().default(null),
    seed: z.int().default(1),
    sheets: z.array(sheet).max(200).optional(),
    container: sheet.partial({ id: true }).optional(),
    items: z.array(item).max(500),
  })
  .refine((value) => (value.sheets === undefined) !== (value.container === undefined), {
    path: ['sheets'],
    error: 'give either sheets or one container',
  })

export type LayoutInput = z.output<typeof layoutInput>
export type LayoutSheet = z.output<typeof sheet>
export type LayoutItem = z.output<typeof item>
