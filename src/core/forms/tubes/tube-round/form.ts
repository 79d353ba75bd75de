import * as z from 'zod'
import { BAND_LENGTH_SCHOOLS, PI_SCHOOLS } from '../../../forming/band-length'
import { lengthMm, ratio } from '../../../units/fields'
import { bandAnswer, bandOutcome, type ClosedBand, planClosedBand } from '../../common/closed-band'
import { commonFields, type OutputOf } from '../../common/fields'
import { defineForm, schoolsField } from '../../define-form'

/** In the order a smith measures: what it goes over or into, how long, the metal. */
const input = () =>
  z
    .strictObject({
      outsideDiameterMm: lengthMm({ label: 'Outside', min: 2, max: 200 }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness('Wall'),
      widthMm: lengthMm({ label: 'Length of the tube', min: 0.5, max: 300 }).default(20),
      jointAllowanceMm: lengthMm({ label: 'Joint and filing', min: 0, max: 5 }).default(0),
      neutralAxisRatio: ratio({ label: 'Bend factor', min: 0, max: 0.5, help: '0.5 is the middle of the metal.' }).default(0.5),
      roundUpMm: commonFields.roundUp(0.1),
      allowanceMm: commonFields.allowance(),
      qty: commonFields.qty(),
      schools: schoolsField({ length: BAND_LENGTH_SCHOOLS, pi: PI_SCHOOLS }),
    })
    .refine((value) => value.outsideDiameterMm > 2.2 * value.thicknessMm, {
      path: ['thicknessMm'],
      error: 'Wall: it leaves no bore; it can be a little under half the outside at most',
    })

const bandOf = (value: OutputOf<typeof input>): ClosedBand => ({
  ...value,
  name: 'tube',
  stock: 'strip',
  insideDiameterMm: value.outsideDiameterMm - 2 * value.thicknessMm,
  fitMm: 0,
})

export const tubeRound = defineForm({
  id: 'tube-round',
  title: 'Round tube, ferrule',
  summary: 'A seamed tube or ferrule rolled from sheet to an outside diameter: the strip to cut.',
  input,
  example: { outsideDiameterMm: 11.5, alloy: 'copper-c110', thicknessMm: '23 ga', widthMm: 26 },
  ask: { words: ['tube', 'ferrule'], sizes: ['outsideDiameterMm', 'widthMm'] },
  answer: (log, input) => bandAnswer(log, bandOf(input)),
  outcomes: (input) => [bandOutcome(bandOf(input))],
  measured: ['outsideDiameterMm'],
  plan: (input, bench) => {
    const plan = planClosedBand([], bandOf(input), bench)
    const inside = 'insideDiameterMm'
    return {
      ...plan,
      drawing: {
        views: plan.drawing.views.map((view) => ({
          ...view,
          handles: view.handles.map((handle) =>
            handle.field === inside ? { ...handle, field: 'outsideDiameterMm', label: 'outside' } : handle,
          ),
        })),
      },
      checks: plan.checks.filter((check) => check.code !== 'thin-for-size'),
    }
  },
})
