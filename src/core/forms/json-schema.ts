import * as z from 'zod'
import { choiceMetaOf, type FieldMeta, fieldMetaOf } from '../units/fields'

type JsonObject = Record<string, unknown>

function describeNumber(plain: JsonObject, meta: FieldMeta): JsonObject {
  const { default: preset, ...number } = plain
  const described = {
    title: meta.label,
    'x-unit': meta.unit,
    ...(meta.help ? { description: meta.help } : {}),
    ...(preset === undefined ? {} : { default: preset }),
  }
  if (!meta.size) return { ...described, ...number }
  return { ...described, anyOf: [number, { type: 'string', description: `as written at the bench: a ${meta.size}` }] }
}

function describeField(plain: JsonObject, field: z.core.$ZodType): JsonObject {
  const meta = fieldMetaOf(field)
  if (meta) return describeNumber(plain, meta)
  const options = choiceMetaOf(field)
  return options ? { title: options.label, ...plain } : plain
}

/** JSON Schema of a form's input as the interfaces take it: numbers in their unit, or what a smith would write. */
export function inputJsonSchema(schema: z.ZodObject): JsonObject {
  const json = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as JsonObject
  const properties = { ...(json.properties as Record<string, JsonObject>) }
  for (const [name, field] of Object.entries(schema.shape)) {
    const plain = properties[name]
    if (plain) properties[name] = describeField(plain, field)
  }
  return { ...json, properties }
}
