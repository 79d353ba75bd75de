import * as z from 'zod'
import { lengthMm, thicknessMm } from '../units/fields'
import { parseSize } from './parse-size'

type Spec = Parameters<typeof lengthMm>[0]

/** Millimetres out of what a smith would write; what is no such text goes on as it is, for the field to complain of. */
function asMm(raw: unknown, expects: 'length' | 'thickness'): unknown {
  if (typeof raw !== 'string') return raw
  const reading = parseSize(raw, { expects, gaugeSystem: 'B&S' })
  return 'mm' in reading ? reading.mm : raw
}

/** A length deep inside an input: a number of mm, or a text such as "5/16 in". */
export const typedLengthMm = (spec: Spec) => z.preprocess((raw) => asMm(raw, 'length'), lengthMm(spec))

/** A thickness deep inside an input: a number of mm, or a text such as "22 ga". */
export const typedThicknessMm = (spec: Spec) => z.preprocess((raw) => asMm(raw, 'thickness'), thicknessMm(spec))
