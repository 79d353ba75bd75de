import * as z from 'zod'
import type { Check, Target } from './contract'
import { typedMm } from './typed-mm'

/** How far each size may be off, mm, where the smith says so: by dimension, never for the piece as a whole. */
export type Bands = Readonly<Record<string, number>>

/** Finer no caliper tells (common practice, no source). */
const LEAST_MM = 0.005
const MOST_MM = 20

export const bandsField = () =>
  z
    .record(z.string().max(60), typedMm('How far it may be off', LEAST_MM, MOST_MM), {
      error: 'how far each size may be off is given as {"insideDiameterMm": 0.05}, in mm',
    })
    .optional()

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
