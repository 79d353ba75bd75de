import * as z from 'zod'
import { formatPlain } from '../units/format'
import { saysOff } from './says-off'

const gram = z.number().min(0).max(100_000)

/** The check weight on the pan: its known weight, what the scale showed, and when. */
export const weightCheckSchema = z.strictObject({ knownG: gram, readG: gram, at: z.string().max(40) })
export type WeightCheck = z.output<typeof weightCheckSchema>
type Shown = Pick<WeightCheck, 'knownG' | 'readG'>

/** What is shown further from the known weight than this share of it, or this, is of something else. */
const MOST_OFF = { share: 0.05, g: 0.5 } as const

/** Why a figure cannot be of the check weight; undefined where it can. */
export function weightFault({ knownG, readG }: Shown): string | undefined {
  if (Math.abs(readG - knownG) <= Math.max(MOST_OFF.g, MOST_OFF.share * knownG)) return undefined
  return `${formatPlain(readG, 2)} g is not of a check weight of ${formatPlain(knownG, 2)} g: weigh that, or give its weight under Tables, Figures of the bench`
}

/** By how much the scale reads too much, g; below nothing too little. */
export const offG = ({ knownG, readG }: Shown): number => readG - knownG

/** What the scale tells, give or take, g: its own error, or what the last check found where that is more. */
export const tellsWithinG = (errorG: number, check: Shown | undefined): number => Math.max(errorG, check ? Math.abs(offG(check)) : 0)

const SCALE = { reads: 'It reads', unit: 'g', mend: 'empty the pan, set it to zero, and check it again.' } as const

/** What a check of the scale says, and what is to be done about it. */
export const weightSays = (check: Shown, errorG: number) => saysOff(offG(check), errorG, SCALE)
