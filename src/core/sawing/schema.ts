import * as z from 'zod'
import { outline } from '../layout/outline-field'
import { ownFiguresField } from '../tables/figures'
import { ownToolSchema } from '../toolwall/tools'
import { CUT_WAYS } from './ways'

export const CUT_SIDES = ['outside', 'inside', 'on'] as const

/** What is chosen for a line of a blank, for each of its copies; what is left out is as usual. */
export const lineChoice = z.strictObject({
  side: z.enum(CUT_SIDES).optional(),
  /** The blade keeps so far off the line, on the waste side, mm: to be filed away. */
  setOffMm: z.number().min(0, { error: 'a set-off of 0 to 5 mm' }).max(5, { error: 'a set-off of 0 to 5 mm' }).optional(),
  way: z.enum(CUT_WAYS).optional(),
})
export type LineChoice = z.output<typeof lineChoice>

/** Choices by line: the blank’s id and `#outline`, or `#window-1` and on. */
export const lineChoices = z.record(z.string().max(240), lineChoice)
export type LineChoices = z.output<typeof lineChoices>

/** Gives each blank that has no number the next one that is free among those of its id. */
function numbered<T extends { readonly id: string; readonly copy?: number | undefined }>(blanks: readonly T[]) {
  const taken = new Set(blanks.map(({ id, copy }) => `${id} ${copy}`))
  return blanks.map((blank) => {
    let copy = blank.copy ?? 0
    if (blank.copy === undefined) while (taken.has(`${blank.id} ${copy}`)) copy++
    taken.add(`${blank.id} ${copy}`)
    return { ...blank, copy }
  })
}

/** Blanks where they lie on a sheet, to be cut in a good order. */
export const sawPlanInput = z.strictObject({
  sheet: z.strictObject({ outer: outline, holes: z.array(outline).default([]) }),
  thicknessMm: z.number().min(0.05, { error: 'a thickness of 0.05 to 10 mm' }).max(10, { error: 'a thickness of 0.05 to 10 mm' }),
  kerfMm: z.number().min(0).max(3, { error: 'a kerf of 0 to 3 mm' }).optional(),
  blanks: z
    .array(
      z.strictObject({
        id: z.string().min(1).max(200),
        /** Told apart from others of its id by this; in their order where it is left out. */
        copy: z.int().min(0).optional(),
        name: z.string().max(200).default(''),
        outer: outline,
        holes: z.array(outline).default([]),
      }),
    )
    .max(500)
    .superRefine((blanks, context) => {
      const given = blanks.flatMap(({ id, copy }) => (copy === undefined ? [] : [`${id} ${copy}`]))
      const twice = given.find((key, i) => given.indexOf(key) !== i)
      if (twice !== undefined)
        context.addIssue({ code: 'custom', message: `the blank "${twice}" comes twice; give each copy its own number` })
    })
    .transform(numbered),
  lines: lineChoices.default({}),
  tools: z.array(ownToolSchema).max(500).default([]),
  /** What was sawn so far, and the blades that broke over it. */
  bladesBroken: z.strictObject({ sawnMm2: z.number().min(0).max(1e9), blades: z.int().min(0).max(100_000) }).optional(),
  figures: ownFiguresField(),
})
