import type { FormResult } from '../forms/contract'
import type { FormField } from '../forms/fields'
import { findForm } from '../forms/registry'
import { ALLOYS } from '../metals/alloys'
import { figureOf, type OwnFigures } from '../tables/figures'
import { formatMoney, formatPlain } from '../units/format'
import type { DesignPart, PieceDesign } from './design'
import type { PiecePlan, PlannedPart } from './plan-piece'
import { metalsOf, routeTemper } from './route-temper'

/** A piece as it is compared: its design, and what it came to. */
export interface Compared {
  readonly design: PieceDesign
  readonly plan: PiecePlan
}

/** One line of the comparison; `difference` is second less first where both are numbers. */
export interface CompareRow {
  readonly label: string
  readonly first: string
  readonly second: string
  readonly differs: boolean
  readonly difference: string
}

export interface PieceComparison {
  /** What was entered differently. */
  readonly entered: readonly CompareRow[]
  /** What it comes to. */
  readonly comesTo: readonly CompareRow[]
}

/** What is typed of sizes beside the fields themselves. */
const BESIDE = [
  { key: 'bands', label: 'May be off by' },
  { key: 'originals', label: 'The original' },
] as const

function typedOf(field: FormField, value: unknown): string {
  const raw = value && typeof value === 'object' && 'typed' in value ? value.typed : (value ?? field.preset ?? '')
  const text = String(raw)
  if (field.kind === 'choice') return field.titles[text] ?? text
  return field.kind === 'number' && field.meta.unit === 'mm' && /^[\d.]+$/.test(text) ? `${text} mm` : text
}

/** A dimension in words: "insideDiameterMm" is the inside diameter. */
const dimensionWords = (name: string) =>
  name
    .replace(/Mm$/, '')
    .replace(/[A-Z]/g, (letter) => ` ${letter}`)
    .toLowerCase()

function typedSize(value: unknown): string {
  const raw = String(value && typeof value === 'object' && 'typed' in value ? value.typed : value)
  return /^[\d.]+$/.test(raw) ? `${raw} mm` : raw
}

/** How far one size may be off, or what it is on the original. */
function besideWords(value: unknown): string {
  if (!value || typeof value !== 'object' || !('mm' in value) || 'typed' in value) return `± ${typedSize(value)}`
  return `${typedSize(value.mm)}${'stronger' in value && value.stronger === true ? ', stronger on purpose' : ''}`
}

/** Sizes that were typed beside the fields of a part. */
function sizesBeside(part: DesignPart | undefined, key: string): string {
  const sizes = part?.input[key]
  if (!sizes || typeof sizes !== 'object') return ''
  const words = Object.entries(sizes).map(([name, value]) => `${dimensionWords(name)} ${besideWords(value)}`)
  return words.join(', ')
}

/** Fields of one part that were entered differently; the part is named where the piece has several. */
function rowsOfPart(a: DesignPart | undefined, b: DesignPart | undefined, prefix: string): CompareRow[] {
  const fields = new Map<string, FormField>()
  for (const part of [a, b])
    for (const field of findForm(part?.form ?? '')?.fields ?? []) fields.set(field.name, fields.get(field.name) ?? field)
  const rows = [...fields.values()].map((field): CompareRow => {
    const [one, two] = [typedOf(field, a?.input[field.name]), typedOf(field, b?.input[field.name])]
    return { label: `${prefix}${field.label}`, first: one, second: two, differs: one !== two, difference: '' }
  })
  const beside = BESIDE.map(({ key, label }): CompareRow => {
    const [one, two] = [sizesBeside(a, key), sizesBeside(b, key)]
    return { label: `${prefix}${label}`, first: one, second: two, differs: one !== two, difference: '' }
  })
  return [...rows, ...beside].filter((row) => row.differs && row.label !== 'How many')
}

/** What was entered differently in the fields of the parts. */
export function enteredRows(first: PieceDesign, second: PieceDesign): CompareRow[] {
  const several = first.parts.length > 1 || second.parts.length > 1
  const ids = [...new Set([...first.parts, ...second.parts].map(({ id }) => id))]
  const sameIds = first.parts.length > 1 && second.parts.length > 1
  if (!sameIds) return rowsOfPart(first.parts[0], second.parts[0], '')
  return ids.flatMap((id) => {
    const [a, b] = [first, second].map((design) => design.parts.find((part) => part.id === id))
    return rowsOfPart(a, b, several ? `${a?.name || b?.name || id}: ` : '')
  })
}

function amountRow(label: string, first: number, second: number, write: (value: number) => string): CompareRow {
  const [one, two] = [write(first), write(second)]
  const by = second - first
  return {
    label,
    first: one,
    second: two,
    differs: one !== two,
    difference: one === two ? '' : `${by > 0 ? '+' : '−'} ${write(Math.abs(by))}`,
  }
}

function numberRow(label: string, first: number, second: number, unit: string, digits: number): CompareRow {
  return amountRow(label, first, second, (value) => `${formatPlain(value, digits)} ${unit}`.trim())
}

function textRow(label: string, first: string, second: string): CompareRow {
  return { label, first, second, differs: first !== second, difference: '' }
}

type Worked = PlannedPart & { readonly result: FormResult }

const massOf = ({ result, count }: Worked) => count * (result.results.massG?.value ?? 0)
const sheetMm2 = ({ cuts, count }: Worked) =>
  count * cuts.reduce((sum, blank) => sum + (blank.stock === 'sheet' ? blank.areaMm2 * (blank.each ?? 1) : 0), 0)
const sumOf = (parts: readonly Worked[], of: (part: Worked) => number) => parts.reduce((sum, part) => sum + of(part), 0)

function facts(plan: PiecePlan, main: Worked, figures: OwnFigures) {
  const parts = plan.parts.filter((part): part is Worked => part.result !== undefined && part.isCut)
  const { result } = main
  const metals = [...new Set(parts.flatMap(({ metal }) => metal?.alloy ?? []))]
  const walk = routeTemper(plan.assembly, metalsOf(plan))
  const count = (level: string) => sumOf(parts, (part) => part.result.checks.filter((check) => check.level === level).length)
  return {
    result,
    massG: sumOf(parts, massOf),
    cost: sumOf(parts, (part) => massOf(part) * (part.metal ? figureOf(`price-${part.metal.alloy}`, figures) : 0)),
    metal: metals.map((alloy) => ALLOYS[alloy].title).join(', '),
    sheetCm2: sumOf(parts, sheetMm2) / 100,
    leastLeft: 100 * walk.steps.reduce((least, state) => Math.min(least, state.workLeftFraction), 1),
    stops: count('stop'),
    warns: count('warn'),
    school: result.schools.find((item) => item.id === result.school)?.title ?? result.school,
    anneals: plan.steps.filter((step) => step.op === 'anneal').length,
    steps: plan.steps.length,
  }
}

const mainOf = ({ parts }: PiecePlan) => parts.find((part): part is Worked => part.result !== undefined)

/** Two pieces side by side: what was entered differently, and what each comes to; undefined where one of them has no size yet. */
export function comparePieces(first: Compared, second: Compared, figures: OwnFigures, currency: string): PieceComparison | undefined {
  const [one, two] = [mainOf(first.plan), mainOf(second.plan)]
  if (!one || !two) return undefined
  const [a, b] = [facts(first.plan, one, figures), facts(second.plan, two, figures)]
  return {
    entered: enteredRows(first.design, second.design),
    comesTo: [
      textRow('Metal', a.metal, b.metal),
      textRow('Method', a.school, b.school),
      numberRow(`Mark the ${a.result.answer.name} at`, a.result.answer.markAt, b.result.answer.markAt, 'mm', 2),
      numberRow('Uncertainty', a.result.uncertainty.plusMinus, b.result.uncertainty.plusMinus, 'mm', 2),
      numberRow('Metal each', a.massG, b.massG, 'g', 2),
      amountRow('Metal cost each', a.cost, b.cost, (amount) => formatMoney(amount, currency)),
      numberRow('Sheet each', a.sheetCm2, b.sheetCm2, 'cm²', 2),
      numberRow('Least work left on the route', a.leastLeft, b.leastLeft, '%', 0),
      numberRow('Steps', a.steps, b.steps, '', 0),
      numberRow('Anneals', a.anneals, b.anneals, '', 0),
      numberRow('Stops', a.stops, b.stops, '', 0),
      numberRow('Warnings', a.warns, b.warns, '', 0),
    ],
  }
}
