import { BAND_LENGTH_TEXTS, type BandLengthInput, type BandLengthSchool, bandLengthMm } from '../../forming/band-length'
import { derive, given, type WorkingLog } from '../../working/derive'
import type { Answer, OutcomeSpec, SchoolChoice } from '../contract'
import { answerOf, asked, type CommonInput, jointOf, schoolChoice } from './plan-kit'

/** The round a ring is made to when it wears wider than it measures: the size asked for and the room its width wants. */
export function fittedBand(
  log: WorkingLog,
  input: { readonly insideDiameterMm: number; readonly thicknessMm: number },
  fitMm: number,
): BandLengthInput {
  const insideDiameterMm = derive(log, {
    label: 'Inside it is made to',
    formula: 'd + f',
    unit: 'mm',
    source: 'house-default',
    given: [given('d', 'inside diameter', input.insideDiameterMm), given('f', 'room for its width', fitMm)],
  })
  return { insideDiameterMm, thicknessMm: input.thicknessMm, neutralAxisRatio: 0.5, pi: 'full' }
}

/** What each way to calculate a closed band comes to. */
export function bandLengthChoice(school: BandLengthSchool, band: BandLengthInput): SchoolChoice {
  return schoolChoice('length', 'Calculation', school, BAND_LENGTH_TEXTS, (id) => bandLengthMm([], id, band))
}

interface FittedInput extends CommonInput {
  readonly insideDiameterMm: number
  readonly jointAllowanceMm: number
  readonly schools: { readonly length: BandLengthSchool }
}

/** The length to cut of a ring that is made so much larger than its size. */
export function fittedAnswer(log: WorkingLog, input: FittedInput, fitMm: number, name: string): Answer {
  return answerOf(log, input, name, bandLengthMm(log, input.schools.length, fittedBand(log, input, fitMm)), jointOf(input))
}

/** The inside that such a ring is made to. */
export function fittedOutcome(input: FittedInput, fitMm: number): OutcomeSpec {
  return asked('insideDiameterMm', 'Inside diameter', fittedBand([], input, fitMm).insideDiameterMm, 0.1)
}
