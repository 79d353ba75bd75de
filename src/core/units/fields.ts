import * as z from 'zod'
import type { Unit } from './unit'

/** What a field may be typed as, besides a plain number in its unit. */
export type FieldSize = 'length' | 'thickness' | 'ring' | 'bangle'

/** What the screens, the docs and the messages need to know of a field. */
export interface FieldMeta {
  readonly label: string
  readonly unit: Unit
  readonly minimum: number
  readonly maximum: number
  /** Typed forms the field accepts; without it the field takes plain numbers only. */
  readonly size?: FieldSize
  /** One sentence under the field. */
  readonly help?: string
}

const FIELD_META = z.registry<FieldMeta>()
const CHOICE_META = z.registry<{ readonly label: string; readonly titles: Readonly<Record<string, string>>; readonly help?: string }>()

const TEXT_META = z.registry<{ readonly label: string; readonly help?: string }>()

interface FieldSpec {
  readonly label: string
  readonly min: number
  readonly max: number
  readonly help?: string
}

function numberField(meta: FieldMeta) {
  return z.number().min(meta.minimum).max(meta.maximum).register(FIELD_META, meta)
}

function metaFrom(spec: FieldSpec, unit: Unit, size?: FieldSize): FieldMeta {
  return {
    label: spec.label,
    unit,
    minimum: spec.min,
    maximum: spec.max,
    ...(size ? { size } : {}),
    ...(spec.help ? { help: spec.help } : {}),
  }
}

/** A length in mm; typed as a smith writes lengths. The field's name ends in `Mm`. */
export function lengthMm(spec: FieldSpec) {
  return numberField(metaFrom(spec, 'mm', 'length'))
}

/** A sheet thickness or wire diameter in mm; takes gauges of the field's metal. The field's name ends in `Mm`. */
export function thicknessMm(spec: FieldSpec) {
  return numberField(metaFrom(spec, 'mm', 'thickness'))
}

/** An angle in degrees, as interfaces take it. The field's name ends in `Deg`. */
export function angleDeg(spec: FieldSpec) {
  return numberField(metaFrom(spec, '°'))
}

/** An inside diameter in mm; takes ring sizes. The field's name ends in `Mm`. */
export function ringDiameterMm(spec: FieldSpec) {
  return numberField(metaFrom(spec, 'mm', 'ring'))
}

/** An inside diameter in mm; takes bangle sizes. The field's name ends in `Mm`. */
export function bangleDiameterMm(spec: FieldSpec) {
  return numberField(metaFrom(spec, 'mm', 'bangle'))
}

/** A dimensionless share. The field's name ends in `Ratio` or `Fraction`. */
export function ratio(spec: FieldSpec) {
  return numberField(metaFrom(spec, 'ratio'))
}

/** A whole number of things. The field's name ends in `Count` or is `qty`. */
export function count(spec: FieldSpec) {
  return z.int().min(spec.min).max(spec.max).register(FIELD_META, metaFrom(spec, 'count'))
}

/** One of a few named options, each with the words a smith reads. */
export function choice<const T extends Readonly<Record<string, string>>>(label: string, titles: T, help?: string) {
  const keys = Object.keys(titles) as [keyof T & string, ...(keyof T & string)[]]
  return z.enum(keys).register(CHOICE_META, { label, titles, ...(help ? { help } : {}) })
}

/** Words as they are typed, at most so long. */
export function words(label: string, longest: number, help?: string) {
  return z
    .string()
    .max(longest)
    .register(TEXT_META, { label, ...(help ? { help } : {}) })
}

function unwrap(schema: z.core.$ZodType): z.core.$ZodType {
  if (schema instanceof z.ZodDefault || schema instanceof z.ZodOptional) return unwrap(schema.def.innerType)
  return schema
}

/** The number field's metadata, or undefined where the schema is no number field. */
export function fieldMetaOf(schema: z.core.$ZodType): FieldMeta | undefined {
  const inner = unwrap(schema)
  return inner instanceof z.ZodType ? FIELD_META.get(inner) : undefined
}

/** The choice's label and titles, or undefined where the schema is no choice. */
export function choiceMetaOf(schema: z.core.$ZodType) {
  const inner = unwrap(schema)
  return inner instanceof z.ZodType ? CHOICE_META.get(inner) : undefined
}

/** The label of a field of words, or undefined where the schema is none. */
export function textMetaOf(schema: z.core.$ZodType) {
  const inner = unwrap(schema)
  return inner instanceof z.ZodType ? TEXT_META.get(inner) : undefined
}

/** Whether the field may be left out. */
export function isOptionalField(schema: z.core.$ZodType): boolean {
  return schema instanceof z.ZodOptional
}
