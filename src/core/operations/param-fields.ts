import * as z from 'zod'
import { fieldMetaOf } from '../units/fields'
import { findOperation } from './catalogue'
import { plainCase } from './plain-case'

/** One parameter of an operation as it is edited in place. */
export interface ParamField {
  readonly name: string
  readonly label: string
  readonly unit: string
  readonly kind: 'size' | 'text' | 'number' | 'choice' | 'yes'
  readonly options: readonly string[]
}

function inner(schema: z.core.$ZodType): z.core.$ZodType {
  return schema instanceof z.ZodDefault || schema instanceof z.ZodOptional ? inner(schema.def.innerType) : schema
}

function kindOf(schema: z.core.$ZodType): Pick<ParamField, 'kind' | 'options'> | undefined {
  if (schema instanceof z.ZodEnum) return { kind: 'choice', options: schema.options.map(String) }
  if (schema instanceof z.ZodBoolean) return { kind: 'yes', options: [] }
  if (schema instanceof z.ZodNumber) return { kind: 'number', options: [] }
  if (schema instanceof z.ZodString) return { kind: 'text', options: [] }
  return undefined
}

/** The parameters of an operation that can be edited, in their order; none for an operation there is not. */
export function paramFields(op: string): ParamField[] {
  return Object.entries(findOperation(op)?.params.shape ?? {}).flatMap(([name, schema]): ParamField[] => {
    const meta = fieldMetaOf(schema)
    if (meta) return [{ name, label: meta.label, unit: meta.unit === 'mm' ? 'mm' : '', kind: meta.size ? 'size' : 'number', options: [] }]
    const kind = kindOf(inner(schema))
    return kind ? [{ name, label: plainCase(name), unit: '', ...kind }] : []
  })
}
