import { z } from 'zod'
import { choiceMetaOf, fieldMetaOf } from '../units/fields'

type JsonObject = Record<string, unknown>

/** JSON Schema of a form's input as the doors take it: numbers in their unit, or what a smith would write. */
export function inputJsonSchema(schema: z.ZodObject): JsonObject {
  const json = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as JsonObject
  const properties = { ...(json.properties as Record<string, JsonObject>) }
  for (const [name, field] of Object.entries(schema.shape)) {
    const meta = fieldMetaOf(field)
    const plain = properties[name]
    if (!plain) continue
    if (meta) {
      const { default: preset, ...number } = plain
      const described = { title: meta.label, 'x-unit': meta.unit, ...(meta.help ? { description: meta.help } : {}), ...(preset === undefined ? {} : { default: preset }) }
      properties[name] = meta.size ? { ...described, anyOf: [number, { type: 'string', description: `as written at the bench: a ${meta.size}` }] } : { ...described, ...number }
    }
    const options = choiceMetaOf(field)
    if (options) properties[name] = { title: options.label, ...plain }
  }
  return { ...json, properties }
}
