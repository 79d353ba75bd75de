import * as z from 'zod'
import { ALLOY_IDS } from '../metals/alloys'
import { OPERATIONS } from '../operations/catalogue'
import { ownFiguresField } from '../tables/figures'
import { lengthMm, thicknessMm } from '../units/fields'

const OPERATION_IDS = OPERATIONS.map((operation) => operation.id) as [string, ...string[]]

/** The `temper` command's input. */
export const temperInput = z.strictObject({
  alloy: z.enum(ALLOY_IDS),
  thicknessMm: thicknessMm({ label: 'Thickness', min: 0.05, max: 12 }),
  widthMm: lengthMm({ label: 'Width', min: 0.1, max: 1000 }).optional(),
  figures: ownFiguresField(),
  bought: z.enum(['annealed', 'quarter-hard', 'half-hard', 'hard', 'unknown']).default('annealed'),
  regions: z
    .array(
      z.union([
        z.string().min(1),
        z.strictObject({
          region: z.string().min(1),
          thicknessMm: thicknessMm({ label: 'Thickness', min: 0.05, max: 12 }).optional(),
          widthMm: lengthMm({ label: 'Width', min: 0.1, max: 1000 }).optional(),
        }),
      ]),
    )
    .max(12)
    .optional(),
  steps: z.array(z.strictObject({ op: z.enum(OPERATION_IDS), params: z.record(z.string(), z.unknown()).optional() })).max(200),
})
