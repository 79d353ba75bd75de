import * as z from 'zod'
import { choiceMetaOf, type FieldMeta, fieldMetaOf } from '../units/fields'
import { formatBoth, formatPlain } from '../units/format'
import { readPlainNumber } from '../units/plain-number'
import { plainWords, sayGiven, sayNames } from '../units/plain-words'
import { describeMeaning, parseSize } from './parse-size'
import type { SizeContext, SizeReading } from './reading'

/** What is wrong with one field, in words a person can act on. */
export interface InputIssue {
  readonly path: string
  readonly message: string
}

export interface Understood {
  readonly typed: string
  readonly mm: number
  readonly how: string
}

interface InputReading {
  readonly values: Record<string, unknown>
  readonly understood: Record<string, Understood>
  readonly issues: InputIssue[]
}

const OBJECT_OF_FIELDS = z.record(z.string(), z.unknown())

/** Outside data as an object of fields; undefined where it is anything else. */
export function objectOfFields(raw: unknown): Record<string, unknown> | undefined {
  return OBJECT_OF_FIELDS.safeParse(raw).data
}

const STORED_SIZE = z.object({ typed: z.string(), mm: z.number() })

/** "0.05 to 6 mm" as it stands in a message. */
export function rangeText(meta: FieldMeta): string {
  const unit = meta.unit === 'count' || meta.unit === 'ratio' ? '' : ` ${meta.unit}`
  return `${formatPlain(meta.minimum)} to ${formatPlain(meta.maximum)}${unit}`
}

function readingMessage(meta: FieldMeta, reading: Exclude<SizeReading, { mm: number }>): string {
  if (reading.kind === 'unknown') return `${meta.label}: ${reading.message}; allowed: ${rangeText(meta)}`
  const options = reading.candidates.map((candidate) => describeMeaning(candidate)).join('; ')
  return `${meta.label}: ${reading.question}. It could be ${options}`
}

/** A typed value as a plain number; gauges and ring sizes only where the field's kind allows them. */
function readField(name: string, meta: FieldMeta, raw: unknown, context: SizeContext, into: InputReading): unknown {
  const stored = STORED_SIZE.safeParse(raw)
  if (stored.success) {
    into.understood[name] = { ...stored.data, how: `${stored.data.typed}: ${formatBoth(stored.data.mm)}` }
    return stored.data.mm
  }
  if (typeof raw !== 'string') return raw
  if (!meta.size) {
    const plain = readPlainNumber(raw)
    return Number.isNaN(plain) ? raw : plain
  }
  const signed = /^[-−+]\s*(\d*[.,]?\d+)$/.exec(raw.trim())
  if (signed && meta.minimum < 0) return (raw.trim().startsWith('+') ? 1 : -1) * Number((signed[1] ?? '').replace(',', '.'))
  const reading = parseSize(raw, { ...context, expects: meta.size })
  if (!('mm' in reading)) {
    into.issues.push({ path: name, message: readingMessage(meta, reading) })
    return undefined
  }
  into.understood[name] = { typed: raw, mm: reading.mm, how: describeMeaning(reading) }
  return reading.mm
}

/** Turns what was typed into plain numbers before the schema looks at it; every unreadable field becomes an issue. */
function readInput(schema: z.ZodObject, raw: Readonly<Record<string, unknown>>, context: SizeContext): InputReading {
  const into: InputReading = { values: { ...raw }, understood: {}, issues: [] }
  for (const [name, field] of Object.entries(schema.shape)) {
    const meta = fieldMetaOf(field)
    if (meta && raw[name] !== undefined) into.values[name] = readField(name, meta, raw[name], context, into)
  }
  return into
}

/** A schema's complaint in the words of the bench: label, what was given, what is possible. */
function issueOf(schema: z.ZodObject, given: Readonly<Record<string, unknown>>, issue: z.core.$ZodIssue): InputIssue {
  const path = issue.path.map(String)
  const name = path[0] ?? ''
  const field = schema.shape[name]
  if (issue.code === 'custom') return { path: name, message: issue.message }
  const meta = field && fieldMetaOf(field)
  if (meta) return { path: name, message: `${meta.label}: ${sayGiven(given[name])} was given; it can be ${rangeText(meta)}` }
  const options = field && choiceMetaOf(field)
  if (options)
    return {
      path: name,
      message: `${options.label}: ${sayGiven(given[name])} was given; it can be ${Object.keys(options.titles).join(', ')}`,
    }
  if (issue.code === 'unrecognized_keys' && path.length === 0)
    return {
      path: issue.keys[0] ?? '',
      message: `${sayNames(issue.keys)}: no such field here; there are ${Object.keys(schema.shape).join(', ')}`,
    }
  return { path: path.join('.'), message: issue.message }
}

export type CheckedInput<S extends z.ZodObject> =
  | { readonly ok: true; readonly data: z.output<S>; readonly understood: Readonly<Record<string, Understood>> }
  | { readonly ok: false; readonly issues: InputIssue[] }

/**
 * Reads raw fields by a schema, with what a smith would type for a size. Issues of the typed texts come first; the schema's own only
 * for fields that could be read. Never throws.
 */
export function readChecked<S extends z.ZodObject>(
  schema: S,
  raw: Readonly<Record<string, unknown>>,
  context: SizeContext,
): CheckedInput<S> {
  const reading = readInput(schema, raw, context)
  const parsed = schema.safeParse(reading.values, { error: plainWords })
  if (parsed.success && reading.issues.length === 0) return { ok: true, data: parsed.data, understood: reading.understood }
  const seen = new Set(reading.issues.map((issue) => issue.path))
  const own = (parsed.error?.issues ?? []).map((issue) => issueOf(schema, raw, issue)).filter((issue) => !seen.has(issue.path))
  return { ok: false, issues: [...reading.issues, ...own] }
}
