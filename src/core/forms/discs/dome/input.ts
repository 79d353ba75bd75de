import * as z from 'zod'
import { choice, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { BLANK_SCHOOLS } from '../../common/dome-blank'
import { commonFields } from '../../common/fields'
import { schoolsField } from '../../define-form'

export const MEASURED = ['outside', 'inside', 'middle'] as const

interface Sized {
  readonly widthMm: number
  readonly heightMm: number
  readonly thicknessMm: number
  readonly measured: (typeof MEASURED)[number]
}

/** Base radius and height of the middle of the metal, from the dome as it was measured. */
export function middleOf({ widthMm, heightMm, thicknessMm, measured }: Sized) {
  const half = measured === 'middle' ? 0 : measured === 'outside' ? -thicknessMm / 2 : thicknessMm / 2
  return { baseRadiusMm: widthMm / 2 + half, heightMm: heightMm + half }
}

/** In the order a smith measures: across the rim, the height, the metal, then the allowances. */
export const domeInput = () =>
  z
    .strictObject({
      widthMm: lengthMm({ label: 'Across the rim', min: 1, max: 400 }),
      heightMm: lengthMm({ label: 'Dome height', min: 0.1, max: 200 }),
      measured: choice('Measured', { outside: 'Outside', inside: 'Inside', middle: 'Middle of the metal' }).default('outside'),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      cleanUpMm: commonFields.cleanUp(0.25),
      trimMm: lengthMm({ label: 'Trim on the diameter', min: 0, max: 20, help: 'To file the rim level after doming.' }).default(0),
      roundUpMm: commonFields.roundUp(0.1),
      allowanceMm: commonFields.allowance(),
      fromDiscMm: lengthMm({
        label: 'I already have a disc',
        min: 1,
        max: 500,
        help: 'What dome of this shape would a disc of this size give?',
      }).optional(),
      qty: commonFields.qty(),
      schools: schoolsField({ blank: BLANK_SCHOOLS }),
    })
    .superRefine((input, context) => {
      const { baseRadiusMm, heightMm } = middleOf(input)
      const shift = input.heightMm - heightMm
      if (baseRadiusMm <= 0 || heightMm <= 0) {
        context.addIssue({
          code: 'custom',
          path: ['thicknessMm'],
          message: `Thickness: ${formatPlain(input.thicknessMm, 3)} mm leaves no dome of ${formatPlain(input.widthMm, 2)} by ${formatPlain(input.heightMm, 2)} mm; it can be less than ${formatPlain(Math.min(input.widthMm, 2 * input.heightMm), 2)} mm`,
        })
      } else if (heightMm > baseRadiusMm + 1e-9) {
        context.addIssue({
          code: 'custom',
          path: ['heightMm'],
          message: `Dome height: ${formatPlain(input.heightMm, 2)} mm was given; a dome ${formatPlain(input.widthMm, 2)} mm across is a hemisphere at ${formatPlain(baseRadiusMm + shift, 2)} mm, and deeper has to be raised, not domed`,
        })
      }
    })

export type DomeInput = z.output<ReturnType<typeof domeInput>>
