import { findForm } from '../forms/registry'
import { parseSize } from '../sizes/parse-size'
import { evaluateFormula } from '../working/formula'
import { InvariantError } from '../working/invariant'

/** A part as it is sized: its form, and what was typed into its fields; a text that begins with `=` is bound to other sizes. */
export interface SizedPart {
  readonly id: string
  readonly form: string
  readonly input: Readonly<Record<string, unknown>>
}

export interface BoundIssue {
  readonly path: string
  readonly message: string
}

export interface BoundSizes {
  /** The inputs with every bound size worked out; one that could not be stays as it was written. */
  readonly inputs: ReadonlyMap<string, Readonly<Record<string, unknown>>>
  readonly issues: readonly BoundIssue[]
}

/** A size could not be worked out; the message is for a person. */
class CannotBind extends Error {}

/** What was typed into a field: stored sizes keep it beside what it was understood as. */
const typedIn = (value: unknown) => (typeof value === 'object' && value !== null && 'typed' in value ? value.typed : value)
const isBound = (value: unknown): value is string => typeof value === 'string' && value.trimStart().startsWith('=')
const nameOf = (part: string, field: string) => `${part}.${field}`

/** What a field holds as a plain number: as typed, or as it starts. */
function plainValue({ id, form, input }: SizedPart, field: string): number {
  const known = findForm(form)?.fields.find(({ name }) => name === field)
  if (known?.kind !== 'number') throw new CannotBind(`"${nameOf(id, field)}" is no size; ${id} has ${sizesOf(form)}`)
  const stored = input[field]
  if (typeof stored === 'object' && stored !== null && 'mm' in stored && typeof stored.mm === 'number') return stored.mm
  const typed = stored ?? known.preset
  if (typeof typed === 'number') return typed
  if (typeof typed !== 'string' || typed === '') throw new CannotBind(`"${nameOf(id, field)}" is not filled in yet`)
  const reading = parseSize(typed, { gaugeSystem: 'B&S', ...(known.meta.size ? { expects: known.meta.size } : {}) })
  if (reading.kind === 'unknown') throw new CannotBind(`"${nameOf(id, field)}": ${reading.message}`)
  if (reading.kind === 'ambiguous') throw new CannotBind(`"${nameOf(id, field)}": ${reading.question}`)
  return reading.mm
}

function sizesOf(form: string): string {
  const names = findForm(form)?.fields.flatMap(({ kind, name }) => (kind === 'number' ? [name] : [])) ?? []
  return names.join(', ') || 'none'
}

/** Works bound sizes out: one run over all parts, each size once. */
class Binding {
  private readonly parts: ReadonlyMap<string, SizedPart>
  private readonly known = new Map<string, number>()
  private readonly reference: RegExp

  constructor(parts: readonly SizedPart[]) {
    this.parts = new Map(parts.map((part) => [part.id, part]))
    const ids = parts.map(({ id }) => id.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).sort((a, b) => b.length - a.length)
    this.reference = new RegExp(`(?<![\\w.-])(${ids.join('|') || '(?!)'})\\.([A-Za-z]\\w*)`, 'g')
  }

  /** The size of a field; `asked` are the fields that wait for it. */
  valueOf(part: SizedPart, field: string, asked: readonly string[]): number {
    const name = nameOf(part.id, field)
    const before = this.known.get(name)
    if (before !== undefined) return before
    if (asked.includes(name))
      throw new CannotBind(`sizes are bound in a circle: ${[...asked.slice(asked.indexOf(name)), name].join(' → ')}`)
    const typed = typedIn(part.input[field])
    const value = isBound(typed) ? this.worked(typed.trim().slice(1), [...asked, name]) : plainValue(part, field)
    this.known.set(name, value)
    return value
  }

  private worked(text: string, asked: readonly string[]): number {
    const env: Record<string, number> = {}
    const formula = text.replace(this.reference, (_, id: string, field: string) => {
      const symbol = `s${Object.keys(env).length + 1}`
      const part = this.parts.get(id)
      if (part) env[symbol] = this.valueOf(part, field, asked)
      return symbol
    })
    const value = evaluateFormula(formula.replaceAll('*', '·').trim(), env)
    if (!Number.isFinite(value)) throw new CannotBind(`"=${text}" comes to no number`)
    return value
  }
}

function messageOf(error: unknown, typed: string, parts: readonly SizedPart[]): string {
  if (error instanceof CannotBind) return error.message
  if (error instanceof InvariantError)
    return `"${typed}" cannot be read; write it as "= ${parts[0]?.id ?? 'plate'}.thicknessMm + 1", with + - · / and brackets`
  throw error
}

/**
 * Works out sizes that are bound to others: `= plate.lengthMm + 2 * bezel.thicknessMm`. A change runs through; a circle is refused with its
 * path, and what cannot be worked out stays as it was written and is named.
 */
export function bindSizes(parts: readonly SizedPart[]): BoundSizes {
  const binding = new Binding(parts)
  const issues: BoundIssue[] = []
  const inputs = new Map(
    parts.map((part) => {
      const worked = Object.entries(part.input).map(([field, given]): readonly [string, unknown] => {
        const typed = typedIn(given)
        if (!isBound(typed)) return [field, given]
        try {
          return [field, binding.valueOf(part, field, [])]
        } catch (error) {
          issues.push({ path: nameOf(part.id, field), message: messageOf(error, typed, parts) })
          return [field, typed]
        }
      })
      return [part.id, Object.fromEntries(worked)] as const
    }),
  )
  return { inputs, issues }
}
