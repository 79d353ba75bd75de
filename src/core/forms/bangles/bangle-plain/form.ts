import * as z from 'zod'
import { BAND_LENGTH_SCHOOLS, PI_SCHOOLS } from '../../../forming/band-length'
import { bangleSizeName } from '../../../tables/worn/bangles'
import { bangleDiameterMm, choice, lengthMm, ratio } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { bandAnswer, bandOutcome, type ClosedBand, planClosedBand } from '../../common/closed-band'
import { commonFields, type OutputOf } from '../../common/fields'
import { limitCheck } from '../../common/plan-kit'
import type { Check } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

/** In the order a smith measures: hand, metal, stock, then the allowances. */
const banglePlainInput = () =>
  z.strictObject({
    insideDiameterMm: bangleDiameterMm({ label: 'Inside', min: 35, max: 110, help: 'Inside diameter, or a bangle size such as 2-6.' }),
    alloy: commonFields.alloy(),
    stock: choice('Stock', { strip: 'Flat strip', 'round-wire': 'Round wire' }).default('strip'),
    thicknessMm: commonFields.thickness(),
    widthMm: lengthMm({ label: 'Width', min: 0.5, max: 60 }).default(8),
    handMm: lengthMm({
      label: 'Round the hand',
      min: 100,
      max: 350,
      help: 'Thumb folded in, over the knuckles: the bangle has to pass it.',
    }).optional(),
    jointAllowanceMm: lengthMm({ label: 'Joint and filing', min: 0, max: 5, help: 'What you file off the two ends together.' }).default(0),
    neutralAxisRatio: ratio({ label: 'Bend factor', min: 0, max: 0.5, help: '0.5 is the middle of the metal.' }).default(0.5),
    roundUpMm: commonFields.roundUp(0.5),
    allowanceMm: commonFields.allowance(),
    qty: commonFields.qty(),
    schools: schoolsField({ length: BAND_LENGTH_SCHOOLS, pi: PI_SCHOOLS }),
  })

function widthCheck(widthMm: number, stock: string): Check[] {
  if (stock !== 'strip' || widthMm <= 20) return []
  return [
    {
      level: 'note',
      code: 'wide-bangle',
      field: 'widthMm',
      source: 'house-default',
      message: `Over 20 mm wide it passes the hand less easily: 2 to 3 mm more inside is usual. This one is ${formatPlain(widthMm, 1)} mm.`,
    },
  ]
}

/** Whether a closed bangle passes the hand, flesh giving way by a few millimetres of its round. */
function handCheck({ handMm, insideDiameterMm }: { readonly handMm?: number | undefined; readonly insideDiameterMm: number }): Check[] {
  if (handMm === undefined) return []
  const need = handMm / Math.PI
  return [
    limitCheck({
      code: 'passes-hand',
      ok: insideDiameterMm >= need - 1,
      level: 'stop',
      field: 'insideDiameterMm',
      source: 'bench-practice',
      actual: insideDiameterMm,
      limit: need,
      good: `The hand measures ${formatPlain(need, 1)} mm as a round: it passes.`,
      bad: `The hand measures ${formatPlain(need, 1)} mm as a round: a closed bangle of ${formatPlain(insideDiameterMm, 1)} mm does not pass it.`,
    }),
  ]
}

const bandOf = (input: OutputOf<typeof banglePlainInput>): ClosedBand => ({ ...input, name: 'bangle', fitMm: 0 })

export const banglePlain = defineForm({
  id: 'bangle-plain',
  title: 'Plain bangle',
  summary: 'A round bangle bent from flat strip or round wire and soldered shut: how long to cut.',
  input: banglePlainInput,
  example: { insideDiameterMm: 'bangle 2-6', alloy: 'red-brass-c230', stock: 'strip', thicknessMm: '15 ga', widthMm: 9 },
  ask: { words: ['bangle'], sizes: ['insideDiameterMm', 'widthMm'] },
  answer: (log, input) => bandAnswer(log, bandOf(input)),
  outcomes: (input) => [bandOutcome(bandOf(input))],
  measured: ['insideDiameterMm'],
  plan: (input, bench) => {
    const plan = planClosedBand([], bandOf(input), bench)
    const size: Check = {
      level: 'ok',
      code: 'size',
      source: 'bangle-scale',
      message: `Nearest bangle size is ${bangleSizeName(input.insideDiameterMm)}. Names such as medium differ between makers; the millimetres do not.`,
    }
    return { ...plan, checks: [size, ...plan.checks, ...handCheck(input), ...widthCheck(input.widthMm, input.stock)] }
  },
})
