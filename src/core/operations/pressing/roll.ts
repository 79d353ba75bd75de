import * as z from 'zod'
import { rollingStrain } from '../../forming/strain'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation } from '../contract'

export const roll = defineOperation({
  id: 'roll',
  title: 'Roll',
  kind: 'cold',
  resource: 'mill',
  together: false,
  handsOnS: 180,
  waitS: 0,
  does: 'no measured; textured (pattern); temper +0.3',
  caution: 'Fingers, sleeves and hair away from the rolls.',
  params: z
    .object({
      fromMm: lengthMm({ label: 'From', min: 0.05, max: 12 }),
      toMm: lengthMm({ label: 'To', min: 0.05, max: 12 }),
      pattern: z.boolean().optional(),
    })
    .refine((p) => p.toMm < p.fromMm, { path: ['toMm'], error: 'rolling goes from thick to thin' }),
  refuses: ({ fromMm, toMm }, { thicknessMm }) => {
    if (Math.abs(fromMm - thicknessMm) > Math.max(0.02, 0.05 * thicknessMm))
      return `Roll: from ${formatPlain(fromMm, 2)} mm was given, and the metal is ${formatPlain(thicknessMm, 2)} mm here`
    return toMm < thicknessMm ? undefined : `Roll: to ${formatPlain(toMm, 2)} mm was given, and the metal is no thicker than that here`
  },
  effect: ({ toMm }, { thicknessMm }) => ({
    elsewhere: { strain: rollingStrain(thicknessMm, toMm), weight: 1 },
    thicknessRatio: toMm / thicknessMm,
  }),
  words: ({ fromMm, toMm }) => ({
    title: `Roll to ${formatPlain(toMm, 2)} mm`,
    say: 'Dry metal, a little at each pass, the same end first.',
    facts: [{ label: 'From / to', value: `${formatPlain(fromMm, 2)} / ${formatPlain(toMm, 2)} mm` }],
  }),
})
