import * as z from 'zod'
import { BAND_LENGTH_SCHOOLS, PI_SCHOOLS } from '../../../forming/band-length'
import { choice, lengthMm, ratio, ringDiameterMm } from '../../../units/fields'
import { commonFields } from '../../common/fields'
import { schoolsField } from '../../define-form'

export const FIT_SCHOOLS = ['as-measured', 'wide-band'] as const

/** In the order a smith measures: finger, metal, stock, then the allowances. */
export const ringBandInput = () =>
  z
    .strictObject({
      insideDiameterMm: ringDiameterMm({ label: 'Size', min: 8, max: 35, help: 'US, UK or ISO size, or the inside diameter.' }),
      alloy: commonFields.alloy(),
      stock: choice('Stock', { strip: 'Flat strip', 'round-wire': 'Round wire' }).default('strip'),
      thicknessMm: commonFields.thickness(),
      widthMm: lengthMm({ label: 'Width', min: 0.5, max: 40 }).default(4),
      jointAllowanceMm: lengthMm({ label: 'Joint and filing', min: 0, max: 5, help: 'What you file off the two ends together.' }).default(
        0,
      ),
      growthMm: lengthMm({
        label: 'Stretch from hammering',
        min: 0,
        max: 2,
        help: 'On the inside diameter: a quarter US size is 0.2 mm. It is made so much smaller.',
      }).default(0),
      hammeredToMm: lengthMm({
        label: 'Hammered down to',
        min: 0.2,
        max: 12,
        help: 'Thickness after texture or planishing: it grows by what the hammer moves, and is made so much smaller.',
      }).optional(),
      stripMm: lengthMm({
        label: 'I already have a strip',
        min: 15,
        max: 300,
        help: 'Which size would a strip of this length give?',
      }).optional(),
      formerMm: lengthMm({ label: 'Mandrel', min: 5, max: 60, help: 'Smaller than the size: the ends lap over.' }).optional(),
      neutralAxisRatio: ratio({
        label: 'Bend factor',
        min: 0,
        max: 0.5,
        help: '0.5 is the middle of the metal; 0.45 for tight bends.',
      }).default(0.5),
      roundUpMm: commonFields.roundUp(0.5),
      allowanceMm: commonFields.allowance(),
      qty: commonFields.qty(),
      schools: schoolsField({ length: BAND_LENGTH_SCHOOLS, pi: PI_SCHOOLS, fit: FIT_SCHOOLS }),
    })
    .refine(({ hammeredToMm = 0, thicknessMm, stock }) => stock !== 'strip' || hammeredToMm <= thicknessMm, {
      path: ['hammeredToMm'],
      error: 'Hammered down to: it is thicker than the strip; a hammer only makes it thinner',
    })
    .refine(({ hammeredToMm = Number.POSITIVE_INFINITY, thicknessMm, stock }) => stock !== 'strip' || hammeredToMm >= 0.6 * thicknessMm, {
      path: ['hammeredToMm'],
      error: 'Hammered down to: at least 0.6 of the strip; take thinner strip for less',
    })
