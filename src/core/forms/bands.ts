import * as z from 'zod'
import { formatPlain } from '../units/format'
import { readPlainNumber } from '../units/plain-number'
import { sayGiven } from '../units/plain-words'
import type { Check, Target } from './contract'

/** How far each size may be off, mm, where the smith says so: by dimension, never for the piece as a whole. */
export type Bands = Readonly<Record<string, number>>

/** Finer no caliper tells (common practice, no source). */
const LEAST_MM = 0.005
const MOST_MM = 20

const error = ({ input }: { readonly input?: unknown }) => sayPossible(input)
const band = z.preprocess(
  (given) => (typeof given === 'string' ? readPlainNumber(given) : given),
  z.number({ error }).min(LEAST_MM, { error }).max(MOST_MM, { error }),
)

function sayPossible(given: unknown): string {
  const said = Number.isNaN(given) ? 'no number' : sayGiven(given)
  return `How far it may be off: ${said} was given; it can be ${formatPlain(LEAST_MM, 3)} to ${MOST_MM} mm`
}

const bandsField = () =>
  z.record(z.string().max(60), band, { error: 'how far each size may be off is given as {"insideDiameterMm": 0.05}, in mm' }).optional()

/** A form’s schema, with how far each of its measurements may be off; without one the form’s own stands. */
export function withBands<S extends z.ZodObject>(schema: S): S {
  const wider: z.ZodObject = (schema as z.ZodObject).safeExtend({ bands: bandsField() })
  return wider as S
}

/** The bands of an input that was read. */
export function bandsOf(input: Readonly<Record<string, unknown>>): Bands {
  return (input.bands as Bands | undefined) ?? {}
}

/** A target with the smith’s own band where there is one for its dimension. */
export function banded<T extends Target>(target: T, bands: Bands): T {
  const plusMinusMm = bands[target.dimension]
  return plusMinusMm === undefined ? target : { ...target, plusMinusMm }
}

/** Said of bands that no measurement of the piece takes: they wait until one does. */
export function unmeasured(bands: Bands, targets: readonly Target[]): Check[] {
  const known = [...new Set(targets.map(({ dimension }) => dimension))]
  const idle = Object.keys(bands).filter((dimension) => !known.includes(dimension))
  if (idle.length === 0) return []
  return [
    {
      level: 'note',
      code: 'band-unused',
      field: 'bands',
      source: 'bench-practice',
      message: `How far ${idle.map((name) => `“${name}”`).join(', ')} may be off changes nothing: what is measured here is ${known.join(', ') || 'nothing'}.`,
    },
  ]
}
