import * as z from 'zod'
import { choiceMetaOf, type FieldMeta, fieldMetaOf, isOptionalField, textMetaOf } from '../units/fields'

interface FieldBase {
  readonly name: string
  readonly label: string
  readonly optional: boolean
  /** What stands there until something is typed. */
  readonly preset: unknown
}

/** One field of a form as screens, the ask line and the docs see it. */
export type FormField =
  | (FieldBase & { readonly kind: 'number'; readonly meta: FieldMeta })
  | (FieldBase & { readonly kind: 'choice'; readonly titles: Readonly<Record<string, string>> })
  | (FieldBase & { readonly kind: 'text'; readonly help?: string })

function presetOf(schema: z.core.$ZodType): unknown {
  return schema instanceof z.ZodDefault ? schema.def.defaultValue : undefined
}

/** The fields of an input schema in the order a smith measures; fields without a label of their own are left out. */
export function describeFields(input: z.ZodObject): FormField[] {
  return Object.entries(input.shape).flatMap(([name, schema]): FormField[] => {
    const base = { name, optional: isOptionalField(schema), preset: presetOf(schema) }
    const meta = fieldMetaOf(schema)
    if (meta) return [{ ...base, kind: 'number', label: meta.label, meta }]
    const options = choiceMetaOf(schema)
    const text = textMetaOf(schema)
    if (text) return [{ ...base, kind: 'text', ...text }]
    return options ? [{ ...base, kind: 'choice', label: options.label, titles: options.titles }] : []
  })
}
