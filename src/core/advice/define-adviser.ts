import * as z from 'zod'
import { describeFields } from '../forms/fields'
import { inputJsonSchema } from '../forms/json-schema'
import type { SizeContext } from '../sizes'
import { objectOfFields, readChecked } from '../sizes/read-fields'
import { ownFiguresField } from '../tables/figures'
import { ownToolSchema } from '../toolwall/tools'
import type { AdviceRun, AdviserSpec } from './contract'

/** The smith's own tools and figures, as any adviser takes them. */
export const benchFields = () => ({
  owned: z.array(ownToolSchema).max(2000).default([]),
  figures: ownFiguresField(),
})

/** An adviser closed over its own schema: `run` reads typed sizes, names every field it cannot use, and never throws on bad input. */
export function defineAdviser<const Id extends string, S extends z.ZodObject>(spec: AdviserSpec<Id, S>) {
  function run(raw: unknown, context: Pick<SizeContext, 'ringSystem'> = {}): AdviceRun {
    const object = objectOfFields(raw)
    if (!object)
      return { ok: false, issues: [{ path: '', message: `an object of fields is needed, such as ${JSON.stringify(spec.example)}` }] }
    const read = readChecked(spec.input, object, { gaugeSystem: 'B&S', ...context })
    if (!read.ok) return read
    const given = spec.advise(read.data)
    return 'path' in given ? { ok: false, issues: [given] } : { ok: true, advice: { adviser: spec.id, ...given } }
  }
  return {
    ...spec,
    run,
    fields: describeFields(spec.input),
    /** JSON Schema of the input, made when it is asked for. */
    get schema() {
      return inputJsonSchema(spec.input)
    },
  }
}
