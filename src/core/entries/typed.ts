import * as z from 'zod'
import { readPlainNumber } from '../units'

/** Whole number between two bounds, as it was typed or as a number. The message names the field, and what is possible. */
export function typedWhole(label: string, minimum: number, maximum: number) {
  const possible = `${label}: a whole number, ${minimum} to ${maximum}`
  return z.preprocess(
    (typed) => (typeof typed === 'string' ? readPlainNumber(typed) : typed),
    z.number({ error: possible }).int({ error: possible }).min(minimum, { error: possible }).max(maximum, { error: possible }),
  )
}

/** Length in mm between two bounds, as it was typed or as a number. The message names the field, and what is possible. */
export function typedMm(label: string, minimum: number, maximum: number) {
  const possible = `${label}: a length in mm, ${minimum} to ${maximum}`
  return z.preprocess(
    (typed) => (typeof typed === 'string' ? readPlainNumber(typed) : typed),
    z.number({ error: possible }).min(minimum, { error: possible }).max(maximum, { error: possible }),
  )
}

/** A time of day such as 08:30; 8:30 is understood. */
export function clockTime(label: string) {
  const possible = `${label}: a time of day such as 08:30`
  return z.preprocess(
    (typed) => (typeof typed === 'string' ? typed.trim().replace(/^(\d):/, '0$1:') : typed),
    z.string({ error: possible }).regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: possible }),
  )
}

/** A sum of money in the workshop's currency, as it was typed or as a number; empty is none. */
export function typedMoney(label: string) {
  const possible = `${label}: a sum such as 120.50, or empty`
  return z.preprocess(
    (typed) => (typeof typed !== 'string' ? typed : typed.trim() === '' ? null : readPlainNumber(typed)),
    z.number({ error: possible }).min(0, { error: possible }).max(10_000_000, { error: possible }).nullable(),
  )
}
