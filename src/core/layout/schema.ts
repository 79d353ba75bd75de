import * as z from 'zod'
import { isInsideOutline } from '../geometry/simple'
import { coordinate, MOST_MM, outline } from './outline-field'

/** Holes lie inside their outline, and not in one another. */
function holesFault({
  outer,
  holes,
}: {
  outer?: [number, number][] | undefined
  holes: readonly [number, number][][]
}): string | undefined {
  if (!outer) return holes.length > 0 ? 'a circle has no holes here; give its outline' : undefined
  if (holes.some((hole) => !isInsideOutline(hole, outer))) return 'a hole lies outside its outline'
  const nested = holes.some((hole, i) => holes.some((other, j) => i !== j && isInsideOutline(hole, other)))
  return nested ? 'two holes lie in one another' : undefined
}
const angles = z.union([z.literal('free'), z.array(z.number()).min(1)])

const radiusMm = z.number().min(0.05, { error: 'a radius of 0.05 mm or more' }).max(MOST_MM)
const lyingCircle = z.strictObject({ centre: z.tuple([coordinate, coordinate]), radiusMm })

const sheet = z.strictObject({
  id: z.string().min(1),
  outer: outline,
  holes: z.array(outline).default([]),
  alloy: z.string().default(''),
  thicknessMm: z.number().min(0).default(0),
  rollingDirectionDeg: z.number().nullable().default(null),
  costRank: z.number().default(0),
  /** What lies there already and stays: other jobs’ blanks, a disc with the circle it is. */
  taken: z.array(z.strictObject({ outer: outline, holes: z.array(outline).default([]), circle: lyingCircle.optional() })).default([]),
})

const checkedSheet = sheet.superRefine((value, context) => {
  const fault = holesFault(value)
  if (fault) context.addIssue({ code: 'custom', path: ['holes'], message: fault })
})

const item = z
  .strictObject({
    id: z.string().min(1),
    qty: z.int().min(0).max(2000).default(1),
    outer: outline.optional(),
    holes: z.array(outline).default([]),
    circle: z.strictObject({ radiusMm }).optional(),
    alloy: z.string().default(''),
    thicknessMm: z.number().min(0).default(0),
    rotations: angles.default('free'),
  })
  .refine((value) => (value.circle === undefined) !== (value.outer === undefined), { error: 'an item is either a circle or an outline' })
  .superRefine((value, context) => {
    const fault = holesFault(value)
    if (fault) context.addIssue({ code: 'custom', path: ['holes'], message: fault })
  })

/** Ids that come twice in a list. */
function twice(list: readonly { readonly id: string }[]): string | undefined {
  return list.find((one, i) => list.findIndex((other) => other.id === one.id) !== i)?.id
}

/** The layout instance of the contract: blanks to nest on sheets. */
export const layoutInput = z
  .strictObject({
    name: z.string().default(''),
    objective: z
      .enum(['place', 'length', 'value'], {
        error: '"place", all of them on the least and smallest sheets; "length", the least of it along x; "value", the most metal',
      })
      .default('place'),
    kerfMm: z.number().min(0).max(10).default(0.3),
    marginMm: z.number().min(0).max(100).default(1),
    seconds: z.number().positive().max(3600).default(10),
    iterations: z.int().positive().nullable().default(null),
    seed: z.int().default(1),
    sheets: z.array(checkedSheet).max(200).optional(),
    container: sheet
      .partial({ id: true })
      .superRefine((value, context) => {
        const fault = holesFault(value)
        if (fault) context.addIssue({ code: 'custom', path: ['holes'], message: fault })
      })
      .optional(),
    items: z.array(item).max(500),
  })
  .refine((value) => (value.sheets === undefined) !== (value.container === undefined), {
    path: ['sheets'],
    error: 'give either sheets or one container',
  })
  .superRefine((value, context) => {
    for (const list of ['sheets', 'items'] as const) {
      const id = twice(value[list] ?? [])
      if (id !== undefined) context.addIssue({ code: 'custom', path: [list], message: `the id "${id}" comes twice; give each its own` })
    }
  })

type Input = z.output<typeof layoutInput>
export type LayoutInput = Omit<Input, 'sheets' | 'container'> & {
  readonly sheets?: readonly LayoutSheet[] | undefined
  readonly container?: (Omit<LayoutSheet, 'id'> & { readonly id?: string | undefined }) | undefined
}
/** What others have lying on a sheet. */
export type Taken = z.output<typeof sheet>['taken'][number]
/** A sheet as it is packed; what others have on it may be left out. */
export type LayoutSheet = Omit<z.output<typeof sheet>, 'taken'> & { readonly taken?: readonly Taken[] | undefined }
export type LayoutItem = z.output<typeof item>
