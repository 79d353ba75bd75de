import type { z } from 'zod'
import { ALLOY_TITLES } from '../../metals/alloys'
import { choice, count, lengthMm, thicknessMm } from '../../units/fields'

/** Fields that every form cut from sheet shares, in the words of the bench. */
export const commonFields = {
  alloy: () => choice('Metal', ALLOY_TITLES),
  thickness: (label = 'Thickness') => thicknessMm({ label, min: 0.05, max: 8 }),
  qty: () => count({ label: 'How many', min: 1, max: 5000 }).default(1),
  allowance: () =>
    lengthMm({
      label: 'My allowance',
      min: -20,
      max: 20,
      help: 'What you allow beside the textbook, by your readings or as you type it; 0 is the textbook.',
    }).default(0),
  roundUp: (stepMm: number) =>
    lengthMm({
      label: 'Round marks up to',
      min: 0.01,
      max: 5,
      help: 'As coarse as you mark; a finer step is taken where the size asks for it.',
    }).default(stepMm),
  measuredWith: (usual: 'calipers' | 'paper' = 'calipers') =>
    choice('Measured with', { calipers: 'Calipers', rule: 'Steel rule', paper: 'Paper strip' }).default(usual),
  cleanUp: (presetMm: number) =>
    lengthMm({ label: 'Filing allowance per side', min: 0, max: 5, help: 'Left outside the line for the file.' }).default(presetMm),
} as const

/** The fields that close every form: the instrument, the finest mark, the own record, how many. */
export function closingFields(roundUpMm: number, measuredWith: 'calipers' | 'paper' = 'calipers') {
  return {
    measuredWith: commonFields.measuredWith(measuredWith),
    roundUpMm: commonFields.roundUp(roundUpMm),
    allowanceMm: commonFields.allowance(),
    qty: commonFields.qty(),
  }
}

/** What the schema of a form gives after defaults. */
export type OutputOf<Make extends () => z.ZodType> = z.output<ReturnType<Make>>
