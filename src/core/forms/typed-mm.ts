import * as z from 'zod'
import { formatPlain } from '../units/format'
import { readPlainNumber } from '../units/plain-number'
import { sayGiven } from '../units/plain-words'

/** A length in mm, also as a person types it, between a least and a most; what it is told as begins the words where it cannot be. */
export function typedMm(told: string, leastMm: number, mostMm: number) {
  const error = ({ input }: { readonly input?: unknown }) =>
    `${told}: ${Number.isNaN(input) ? 'no number' : sayGiven(input)} was given; it can be ${formatPlain(leastMm, 3)} to ${mostMm} mm`
  return z.preprocess(
    (given) => (typeof given === 'string' ? readPlainNumber(given) : given),
    z.number({ error }).min(leastMm, { error }).max(mostMm, { error }),
  )
}
