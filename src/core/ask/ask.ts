import type { FormRun } from '../forms/contract'
import { FORMS, type FormId } from '../forms/registry'
import { type Found, findInTables, rowSummary } from '../lookup'
import { ALLOY_TITLES, type AlloyId } from '../metals/alloys'
import { describeMeaning, parseSize, type SizeContext, type SizeReading } from '../sizes'
import { NUMBER_PATTERN, normaliseText } from '../sizes/numbers'
import type { Bench } from '../toolwall/tools'
import { USUAL_BENCH } from '../toolwall/usual-bench'
import { mmToInch } from '../units/convert'
import { formatPlain } from '../units/format'
import { type AdviceAnswer, askAdvice } from './advice'
import { FILLER, METAL_WORDS } from './lexicon'

export interface AskDefaults {
  readonly alloy?: AlloyId
  readonly ringSystem?: SizeContext['ringSystem']
  /** The thickness of the piece that is looked at, as it was typed: taken where none is said. */
  readonly thickness?: string
  /** The smith's own tools and figures, which advice looks at first. */
  readonly bench?: Bench
}

export interface Recognised {
  readonly text: string
  readonly means: string
}

export type AskAnswer =
  | { readonly kind: 'empty' }
  | {
      readonly kind: 'form'
      readonly form: FormId
      readonly title: string
      readonly input: Readonly<Record<string, unknown>>
      readonly recognised: readonly Recognised[]
      readonly notUnderstood: readonly string[]
      readonly missing: readonly string[]
      readonly wantsWeight: boolean
      readonly run: FormRun | null
    }
  | ({ readonly kind: 'advice' } & AdviceAnswer)
  | { readonly kind: 'size'; readonly reading: SizeReading; readonly answer: string; readonly found: Found }

/** Text still to be read, and what was recognised so far. */
interface AskState {
  rest: string
  readonly recognised: Recognised[]
  readonly input: Record<string, unknown>
}

function takeOut(state: AskState, pattern: RegExp): RegExpExecArray | null {
  const match = pattern.exec(state.rest)
  if (match) state.rest = `${state.rest.slice(0, match.index)} ; ${state.rest.slice(match.index + match[0].length)}`
  return match
}

/** Longer names first, so that "hollow bangle" is not recognised as "bangle". */
const FORM_NAMES = FORMS.flatMap((form): readonly string[] => form.ask.words).sort((a, b) => b.length - a.length)
const FORM_WORDS = new RegExp(`\\b(?<name>${FORM_NAMES.join('|')})s?\\b`, 'i')
/** "6 discs": a number before more than one of them is how many, unless it belongs to a size such as US 6. */
const COUNTED_FORM = new RegExp(`(?<!(?:us|iso|jp|ch|size|x|by) |[\\d./-])\\b(?<count>\\d{1,4}) (?<name>${FORM_NAMES.join('|')})s\\b`, 'i')

/** Two ways across and a shape, with nothing else to say what it is. */
const STONE = /\d\s*(?:x|×|by)\s*\d.*\b(?:oval|cushion)\b/i

type Form = (typeof FORMS)[number]

function recogniseForm(state: AskState): Form | undefined {
  const match = takeOut(state, COUNTED_FORM) ?? takeOut(state, FORM_WORDS)
  const word = match?.groups?.name?.toLowerCase()
  const form: Form | undefined = word ? FORMS.find((one) => (one.ask.words as readonly string[]).includes(word)) : stoneForm(state)
  if (form && match?.groups?.count) recogniseCount(state, form, Number(match.groups.count), match[0])
  return form
}

/** "18x13 oval" alone is a stone, and a stone wants its bezel. */
function stoneForm(state: AskState): Form | undefined {
  return STONE.test(state.rest) ? FORMS.find((form) => form.id === 'bezel') : undefined
}

/** How many: of the pieces, or in the set that they are made as. */
function recogniseCount(state: AskState, { ask }: Form, count: number, text: string): void {
  state.input['count' in ask ? ask.count : 'qty'] = count
  state.recognised.push({ text, means: `${count} of them` })
}

/** A metal by its name, or by its mark where the number is no size. */
const metalPattern = (word: string) =>
  /^\d/.test(word)
    ? new RegExp(`(?<![\\d.x×-])\\b${word}\\b(?!\\s*(?:mm|cm|in\\b|x|×|by\\b|[.\\d]))`, 'i')
    : new RegExp(`\\b${word}\\b`, 'i')

function recogniseMetal(state: AskState, defaults: AskDefaults): void {
  for (const [word, alloy] of METAL_WORDS) {
    if (!takeOut(state, metalPattern(word))) continue
    state.input.alloy = alloy
    state.recognised.push({ text: word, means: ALLOY_TITLES[alloy] })
    return
  }
  if (defaults.alloy) {
    state.input.alloy = defaults.alloy
    state.recognised.push({ text: 'no metal named', means: `taken as ${ALLOY_TITLES[defaults.alloy].toLowerCase()}` })
  }
}

const GAUGE = /(?:\b\d\/0|\b\d+(?:\.\d+)?)\s*(?:gauge|ga|g)\b\.?(?:\s*(?:b&s|awg|swg|msg|steel)\b)?/i
const THICK = /(\d*\.?\d+)\s*(?:mm\s*)?thick\b/i

function recogniseThickness(state: AskState): void {
  const match = takeOut(state, GAUGE) ?? takeOut(state, THICK)
  if (!match) return
  const text = match[1] ?? match[0].trim()
  const reading = parseSize(text, { gaugeSystem: 'B&S', expects: 'thickness' })
  state.input.thicknessMm = text
  state.recognised.push({ text: match[0].trim(), means: 'mm' in reading ? `${describeMeaning(reading)} thick` : 'not a thickness' })
}

/** A second piece beside one that is looked at is of the same metal, as thick, where nothing else is said. */
function takeThickness(state: AskState, form: Form, { thickness }: AskDefaults): void {
  const field = form.fields.find((item) => item.name === 'thicknessMm')
  if (!thickness || !field || field.optional || state.input.thicknessMm !== undefined) return
  state.input.thicknessMm = thickness
  state.recognised.push({ text: 'no thickness named', means: `taken as ${thickness}, as the piece here` })
}

function recogniseStockAndCount(state: AskState, form: Form): void {
  const hasStock = form.fields.some((field) => field.name === 'stock')
  const stock = hasStock ? takeOut(state, /\b(round wire|wire|flat strip|strip)\b/i) : null
  if (stock) {
    state.input.stock = /wire/i.test(stock[0]) ? 'round-wire' : 'strip'
    state.recognised.push({ text: stock[0], means: state.input.stock === 'strip' ? 'flat strip' : 'round wire' })
  }
  const count = takeOut(state, /\b(?:qty\s*(\d+)|(\d+)\s*(?:off|pcs|pieces))\b/i)
  if (count) recogniseCount(state, form, Number(count[1] ?? count[2]), count[0])
}

/** A word that is one of a form's own choices: "oval", "cushion", "shield". */
function recogniseChoices(state: AskState, form: Form): void {
  for (const field of form.fields) {
    if (field.kind !== 'choice' || field.name.endsWith('lloy') || state.input[field.name] !== undefined) continue
    for (const [id, title] of Object.entries(field.titles)) {
      const words = [id, title.split(/[ ,]/)[0] ?? id].map((word) => word.replace(/[^\p{L}\d -]/gu, '')).filter((word) => word.length > 2)
      const match = takeOut(state, new RegExp(`\\b(?:${words.join('|')})\\b`, 'i'))
      if (!match) continue
      state.input[field.name] = id
      state.recognised.push({ text: match[0], means: `${field.label.toLowerCase()}: ${title.toLowerCase()}` })
      break
    }
  }
}

/** The chunks that may be sizes: split at x, by, to and the gaps left by what was taken out. */
function sizeChunks(rest: string): string[] {
  return rest
    .split(/\s*(?:;|×|\bx\b|\bby\b|\bto\b)\s*|(?<=\d)\s*x\s*(?=\d)/i)
    .map((chunk) => chunk.trim())
    .filter((chunk) => chunk !== '')
}

/** Several numbers with nothing between them: one size each, where they are not one size together. */
const BARE_NUMBERS = /^\d*\.?\d+(?: \d*\.?\d+)+$/

/** The smallest number that can only be a ring's size: no finger is three inches across. */
const LEAST_NOT_INCHES = 3

/** "ring 7 1/4 in 16 gauge" is a size made in 16 gauge, not seven inches. */
function withoutIn(chunk: string): string {
  const match = /^(\d+(?:\.\d+)?(?: \d+\/\d+)?) in$/i.exec(chunk)
  return match && Number.parseFloat(match[1] ?? '') >= LEAST_NOT_INCHES ? (match[1] ?? chunk) : chunk
}

function asTyped(recognised: string, size: string | undefined): string {
  const chunk = size === 'ring' ? withoutIn(recognised) : recognised
  const isPlain = /^\d+(\.\d+)?$|^\d+[ -]\d+\/\d+$/.test(chunk)
  return size === 'ring' && isPlain && !chunk.includes('mm') && Number.parseFloat(chunk) <= 16 ? `size ${chunk}` : chunk
}

/** One chunk as the size of one field, or undefined where it is none. */
function recogniseSize(chunk: string, form: Form, field: string | undefined, ringSystem: SizeContext['ringSystem']) {
  const found = form.fields.find((item) => item.name === field)
  if (found?.kind !== 'number' || !found.meta.size) return undefined
  const typed = asTyped(chunk, found.meta.size)
  const reading = parseSize(typed, { gaugeSystem: 'B&S', expects: found.meta.size, ...(ringSystem ? { ringSystem } : {}) })
  return reading.kind === 'unknown' ? undefined : { typed, label: found.label.toLowerCase(), reading }
}

type HeardSize = NonNullable<ReturnType<typeof recogniseSize>>

function keepSize(state: AskState, field: string, text: string, { typed, label, reading }: HeardSize): void {
  state.input[field] = typed
  const means = 'mm' in reading ? describeMeaning(reading) : reading.kind === 'ambiguous' ? reading.question : ''
  state.recognised.push({ text, means: `${label}: ${means}` })
}

const SIZE_TEXT = `((?:${NUMBER_PATTERN})\\s*(?:mm|cm|in|")?)`
const after = (words: string) => new RegExp(`(?<!(?:size|us|uk|iso|jp|ch) ?|[\\d./-])${SIZE_TEXT}\\s*(?:${words})\\b`, 'i')
const before = (words: string) => new RegExp(`\\b(?:${words})\\s+${SIZE_TEXT}`, 'i')

/** Sizes said by name: "4 mm wide", "gap 25". The first of the fields that the form has is the one meant. */
const NAMED_SIZES: readonly (readonly [RegExp, readonly string[]])[] = [
  [after('wide|width'), ['widthMm']],
  [after('high|tall|deep'), ['heightMm', 'depthMm', 'riseMm', 'upMm']],
  [after('long'), ['lengthMm', 'longMm', 'lengthInsideMm']],
  [before('width|wide'), ['widthMm']],
  [before('height|depth'), ['heightMm', 'depthMm', 'riseMm', 'upMm']],
  [before('gap'), ['gapMm']],
  [before('edge'), ['edgeMm']],
  [before('hole'), ['holeMm']],
  [before('window'), ['windowMm', 'windowLengthMm', 'openingMm']],
  [before('corner|corners'), ['cornerMm']],
  [before('overlap|lap'), ['overlapMm']],
  [before('hand|round the hand'), ['handMm']],
  [before('wrist'), ['wristMm']],
]

function recogniseNamed(state: AskState, form: Form, ringSystem: SizeContext['ringSystem']): void {
  for (const [pattern, names] of NAMED_SIZES) {
    const field = names.find((name) => form.fields.some((item) => item.name === name))
    const match = field ? takeOut(state, pattern) : null
    const recognised = match && recogniseSize((match[1] ?? '').trim(), form, field, ringSystem)
    if (match && field && recognised) keepSize(state, field, match[0].trim(), recognised)
  }
}

function recogniseSizes(state: AskState, form: Form, ringSystem: SizeContext['ringSystem']): string[] {
  const open = form.ask.sizes.filter((field) => state.input[field] === undefined)
  const strange: string[] = []
  const chunks = sizeChunks(state.rest)
  for (let chunk = chunks.shift(); chunk !== undefined; chunk = chunks.shift()) {
    const words = chunk.split(' ').filter((word) => !FILLER.has(word.toLowerCase()))
    if (words.length === 0) continue
    const [field] = open
    const recognised = recogniseSize(chunk, form, field, ringSystem) ?? recogniseSize(words.join(' '), form, field, ringSystem)
    if (!recognised && BARE_NUMBERS.test(chunk)) {
      chunks.unshift(...words)
      continue
    }
    // a size with a word after it that is none: the word alone is strange
    const tail = recognised ? undefined : /^([\d./ -]*\d)\s+(\p{L}.*)$/u.exec(words.join(' '))
    if (tail?.[1] && tail[2] && field !== undefined && recogniseSize(tail[1], form, field, ringSystem)) {
      chunks.unshift(tail[1], tail[2])
      continue
    }
    if (!recognised || field === undefined) {
      strange.push(words.join(' '))
      continue
    }
    open.shift()
    keepSize(state, field, chunk, recognised)
  }
  return strange
}

function missingFields(form: Form, input: Readonly<Record<string, unknown>>): string[] {
  return form.fields
    .filter((field) => !field.optional && field.preset === undefined && input[field.name] === undefined)
    .map((field) => field.label)
}

function askForm(text: string, defaults: AskDefaults): AskAnswer | undefined {
  const state: AskState = { rest: text, recognised: [], input: {} }
  const form = recogniseForm(state)
  if (!form) return undefined
  const wantsWeight = takeOut(state, /\b(weight|weigh|mass)\b/i) !== null
  recogniseMetal(state, defaults)
  recogniseThickness(state)
  recogniseStockAndCount(state, form)
  recogniseChoices(state, form)
  recogniseNamed(state, form, defaults.ringSystem)
  const notUnderstood = recogniseSizes(state, form, defaults.ringSystem)
  takeThickness(state, form, defaults)
  const missing = missingFields(form, state.input)
  // a word that was not understood may be the one that matters
  const run =
    missing.length > 0 || notUnderstood.length > 0
      ? null
      : form.run(state.input, { ...defaults.bench, ...(defaults.ringSystem ? { ringSystem: defaults.ringSystem } : {}) })
  return {
    kind: 'form',
    form: form.id,
    title: form.title,
    input: state.input,
    recognised: state.recognised,
    notUnderstood,
    missing,
    wantsWeight,
    run,
  }
}

const CONVERSION = /^(.+?)\s+(?:in|to|as)\s+(mm|cm|in|inch|inches)$/i

function sayMm(mm: number, unit: string): string {
  if (unit === 'cm') return `${formatPlain(mm / 10)} cm`
  return unit.startsWith('in') ? `${formatPlain(mmToInch(mm))} in` : `${formatPlain(mm)} mm`
}

/** What the tables say in one line, where the text is no size: the question, a conversion, or the first that is called that. */
function sayFound(found: Found): string | undefined {
  if (found.question) return found.question
  const [conversion] = found.conversions
  if (conversion) return conversion.text
  const [first] = found.findings
  return first ? `${first.row.name}: ${rowSummary(first.table, first.row)} (${first.table.title.toLowerCase()})` : undefined
}

function askSize(text: string, defaults: AskDefaults): AskAnswer {
  const context: SizeContext = defaults.ringSystem ? { ringSystem: defaults.ringSystem } : {}
  const found = findInTables(text, context)
  const conversion = CONVERSION.exec(text)
  if (conversion) {
    const reading = parseSize(conversion[1] ?? '', context)
    if ('mm' in reading) return { kind: 'size', reading, found, answer: sayMm(reading.mm, (conversion[2] ?? 'mm').toLowerCase()) }
  }
  const metal = METAL_WORDS.find(([word]) => text.toLowerCase().includes(word))
  const bare = metal ? text.replace(new RegExp(metal[0], 'i'), '').trim() : text
  const reading = parseSize(bare, metal ? { ...context, gaugeSystem: 'B&S' } : context)
  if ('mm' in reading) return { kind: 'size', reading, found, answer: describeMeaning(reading) }
  const unread =
    reading.kind === 'ambiguous' ? reading.question : `${reading.message}. Or name a piece: ring, bangle, disc, dome, tube, bezel, rivet.`
  return { kind: 'size', reading, found, answer: reading.kind === 'unknown' ? (sayFound(found) ?? unread) : unread }
}

/**
 * Answers what is typed in the ask line: a form word with sizes, gauge, metal, count and `weight` in any order, a bare size, a
 * conversion, a table look-up (`#60`, `P600`, `easy`), or a question for an adviser (`drill for 14 ga`). It never guesses in silence: `recognised` says what each part was taken as, `notUnderstood` what was not.
 */
export function answerAsk(raw: string, defaults: AskDefaults = {}): AskAnswer {
  const text = normaliseText(raw)
  if (text === '') return { kind: 'empty' }
  const advice = askAdvice(text, defaults.bench ?? USUAL_BENCH)
  if (advice) return { kind: 'advice', ...advice }
  return askForm(text, defaults) ?? askSize(text, defaults)
}
