import type { GaugeSystem } from '../tables/gauges/gauges'
import { ASKED_SYSTEMS } from '../tables/gauges/gauges'
import type { RingSystem } from '../tables/rings/rings'
import { inchToMm, MM_PER_INCH } from '../units/convert'
import { formatPlain } from '../units/format'
import { isGrouped } from '../units/plain-number'
import {
  bangleMeaning,
  bladeMeaning,
  copperMeaning,
  gaugeMeaning,
  lengthMeaning,
  letterDrillMeaning,
  numberDrillMeaning,
  ringMeaning,
} from './meanings'
import { NUMBER_PATTERN, normaliseText, readNumber } from './numbers'
import type { SizeContext, SizeMeaning, SizeReading } from './reading'

interface Typed {
  readonly raw: string
  readonly text: string
  readonly context: SizeContext
}

/** A rule reads the text or leaves it (undefined) to the next rule. */
interface Rule {
  readonly pattern: RegExp
  readonly read: (match: RegExpExecArray, typed: Typed) => SizeReading | undefined
}

const MM_PER_UNIT: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
}
const SYSTEM_WORDS: Readonly<Record<string, GaugeSystem>> = {
  'b&s': 'B&S',
  awg: 'B&S',
  swg: 'SWG',
  msg: 'MSG',
  steel: 'MSG',
  galvanised: 'galvanised',
  galv: 'galvanised',
}

function settle(typed: Typed, meaning: SizeMeaning | string): SizeReading {
  return typeof meaning === 'string' ? { kind: 'unknown', typed: typed.raw, message: meaning } : meaning
}

function ask(typed: Typed, question: string, meanings: readonly (SizeMeaning | string)[]): SizeReading {
  const candidates = meanings.filter((meaning) => typeof meaning !== 'string')
  const [only] = candidates
  if (candidates.length === 1 && only) return only
  if (!only) return settle(typed, meanings.find((meaning) => typeof meaning === 'string') ?? question)
  return { kind: 'ambiguous', typed: typed.raw, question, candidates }
}

function gaugeIndex(text: string): number | undefined {
  const noughts = /^(\d)\/0$/.exec(text)
  if (noughts) return 1 - Number(noughts[1])
  if (/^0{2,6}$/.test(text)) return 1 - text.length
  const number = readNumber(text)
  return 'value' in number ? number.value : undefined
}

function readGauge(match: RegExpExecArray, typed: Typed): SizeReading | undefined {
  const index = gaugeIndex((match[1] ?? '').trim())
  if (index === undefined) return undefined
  const named = SYSTEM_WORDS[(match[2] ?? '').toLowerCase()] ?? typed.context.gaugeSystem
  if (named) return settle(typed, gaugeMeaning(typed.raw, named, index))
  const question = `Which gauge? ${typed.raw} differs between the scales: name the metal, or write B&S, SWG or steel behind it`
  return ask(
    typed,
    question,
    ASKED_SYSTEMS.map((system) => gaugeMeaning(typed.raw, system, index)),
  )
}

function readLength(match: RegExpExecArray, typed: Typed): SizeReading {
  const number = readNumber((match[1] ?? '').trim())
  if ('problem' in number) return { kind: 'unknown', typed: typed.raw, message: number.problem }
  const unit = (match[2] ?? 'mm').toLowerCase()
  return settle(typed, lengthMeaning(typed.raw, number.value * (MM_PER_UNIT[unit] ?? 1)))
}

function readFraction(match: RegExpExecArray, typed: Typed): SizeReading {
  const number = readNumber(match[0])
  if ('problem' in number) return { kind: 'unknown', typed: typed.raw, message: number.problem }
  return settle(typed, lengthMeaning(typed.raw, inchToMm(number.value), `${match[0]} in, a fraction is read as inches`))
}

function readRing(system: RingSystem, text: string, typed: Typed): SizeReading | undefined {
  const number = readNumber(text.trim())
  return 'value' in number ? settle(typed, ringMeaning(typed.raw, system, number.value)) : undefined
}

/** "N", "N½", "N 1/2", "N.5", "Z+3" as a place from A. */
function ukPlace(text: string): number | undefined {
  const match = /^([A-Z])(?:\+(\d))?\s*(1\/2|\.5)?$/i.exec(text.trim())
  if (!match) return undefined
  const place = (match[1] ?? 'A').toUpperCase().charCodeAt(0) - 65
  if (match[2] && place !== 25) return undefined
  return place + Number(match[2] ?? 0) + (match[3] ? 0.5 : 0)
}

function readUk(text: string, typed: Typed): SizeReading | undefined {
  const place = ukPlace(text)
  return place === undefined ? undefined : settle(typed, ringMeaning(typed.raw, 'UK', place))
}

function readSize(match: RegExpExecArray, typed: Typed): SizeReading | undefined {
  const text = match[1] ?? ''
  if (ukPlace(text) !== undefined) return readUk(text, typed)
  return readRing(typed.context.ringSystem ?? 'US', text, typed)
}

function readBareLetter(match: RegExpExecArray, typed: Typed): SizeReading {
  const letter = match[0].toUpperCase()
  const ring = ringMeaning(typed.raw, 'UK', letter.charCodeAt(0) - 65)
  if (typed.context.expects === 'ring') return settle(typed, ring)
  return ask(typed, `Is ${letter} a UK ring size or a letter drill? Write "UK ${letter}" or "drill ${letter}"`, [
    ring,
    letterDrillMeaning(typed.raw, letter),
  ])
}

function readDashed(match: RegExpExecArray, typed: Typed): SizeReading {
  const [inches, other] = [Number(match[1]), Number(match[2])]
  const bangle = bangleMeaning(typed.raw, inches, other)
  if (typeof bangle === 'string') return settle(typed, `${bangle}; for the fraction write "${inches}/${other} in"`)
  if (typed.context.expects === 'bangle') return bangle
  const fraction =
    other === 0
      ? `"${typed.raw}" divides by zero`
      : lengthMeaning(typed.raw, inchToMm(inches / other), `the fraction ${inches}/${other} in`)
  return ask(
    typed,
    `Is ${typed.raw} the bangle size (${inches} and ${other}/16 in) or the fraction ${inches}/${other} in? Write "bangle ${typed.raw}" or "${inches}/${other} in"`,
    [bangle, fraction],
  )
}

function readNoughts(match: RegExpExecArray, typed: Typed): SizeReading {
  const noughts = match[1] ? Number(match[1]) : typed.text.length
  const gauges = (['B&S', 'SWG'] as const).filter((system) => (typed.context.gaugeSystem ?? system) === system)
  const question = `Is ${typed.raw} a gauge or a saw blade? Write "${typed.raw} ga" or "blade ${typed.raw}"`
  return ask(typed, question, [
    ...gauges.map((system) => gaugeMeaning(typed.raw, system, 1 - noughts)),
    bladeMeaning(typed.raw, `${noughts}/0`),
  ])
}

/** "2.4" and "2/4" where a bangle is meant: a bangle size miswritten, or inches. Elsewhere they are plain numbers. */
function readLooseBangle(match: RegExpExecArray, typed: Typed): SizeReading | undefined {
  if (typed.context.expects !== 'bangle') return undefined
  const [inches, other] = [Number(match[1]), Number(match[3])]
  const asNumber = match[2] === '/' ? inches / other : Number(match[0])
  return ask(
    typed,
    `Is ${typed.raw} the bangle size ${inches}-${other} (${inches} and ${other}/16 in), or ${typed.raw} inches? Write "${inches}-${other}" or "${typed.raw} in"`,
    [
      bangleMeaning(typed.raw, inches, other),
      other === 0 && match[2] === '/' ? `"${typed.raw}" divides by zero` : lengthMeaning(typed.raw, inchToMm(asNumber), `${typed.raw} in`),
    ],
  )
}

/** "9" where a ring is meant: a size of the workshop's own scale, or millimetres. A scale of letters leaves no doubt. */
function readBareRing(match: RegExpExecArray, typed: Typed): SizeReading | undefined {
  const { expects, ringSystem: system = 'US' } = typed.context
  if (expects !== 'ring' || system === 'UK') return undefined
  const size = ringMeaning(typed.raw, system, Number(match[0]))
  if (typeof size === 'string') return undefined
  return ask(typed, `Is ${typed.raw} a ring size or millimetres? Write "size ${typed.raw}" or "${typed.raw} mm"`, [
    size,
    lengthMeaning(typed.raw, Number(match[0])),
  ])
}

/** "hand 200 mm": the hand measured round the knuckles, the thumb laid in; a bangle that passes it measures that round, inside. */
function readHand(match: RegExpExecArray, typed: Typed): SizeReading | undefined {
  if (typed.context.expects !== 'bangle') return undefined
  const hand = parseSize(match[1] ?? '', { expects: 'length' })
  if (!('mm' in hand)) return { ...hand, typed: typed.raw }
  const mm = hand.mm / Math.PI
  return settle(
    typed,
    lengthMeaning(typed.raw, mm, `a hand ${formatPlain(hand.mm, 1)} mm round the knuckles, ${formatPlain(mm, 1)} mm as a round`),
  )
}

/** "1,000": a comma that may part thousands or decimals. */
function readGrouped(typed: Typed): SizeReading | undefined {
  const [number = '', rest = ''] = /^([\d,]+)(.*)$/.exec(typed.raw)?.slice(1) ?? []
  const match = /^\s*(mm|cm|m|inches|inch|in|"|″|”)?\.?$/i.exec(rest)
  if (!isGrouped(number) || !match) return undefined
  const perUnit = MM_PER_UNIT[normaliseText(match[1] ?? 'mm').toLowerCase()] ?? 1
  const [whole, decimal] = [number.replaceAll(',', ''), number.replace(',', '.')]
  const unit = match[1] ?? 'mm'
  return ask(typed, `Is ${typed.raw} ${whole} or ${decimal}? Write "${whole} ${unit}" or "${decimal} ${unit}"`, [
    lengthMeaning(typed.raw, Number(whole) * perUnit),
    decimal.includes(',') ? `"${typed.raw}" has more than one comma` : lengthMeaning(typed.raw, Number(decimal) * perUnit),
  ])
}

/** First rule that reads the text wins, so the order goes from the most to the least explicit. */
const RULES: readonly Rule[] = [
  {
    pattern: /^-/,
    read: (_, typed) => ({ kind: 'unknown', typed: typed.raw, message: `${typed.raw} is below zero; a size is above zero` }),
  },
  { pattern: /^([1-9]\/0|0{2,6}|[\d. /]+?)\s*(?:gauge|ga|g)\.?\s*(b&s|awg|swg|msg|steel|galvanised|galv)?$/i, read: readGauge },
  { pattern: /^([1-9]\/0|0{2,6}|[\d. /]+?)\s*(b&s|awg|swg|msg|galvanised|galv)(?:\s*(?:gauge|ga))?$/i, read: readGauge },
  {
    pattern: /^(?:#|no\.? ?|number ?|drill ?#?)(\d+)$/i,
    read: (match, typed) => settle(typed, numberDrillMeaning(typed.raw, Number(match[1]))),
  },
  { pattern: /^(?:drill|letter) ?([a-z])$/i, read: (match, typed) => settle(typed, letterDrillMeaning(typed.raw, match[1] ?? '')) },
  {
    pattern: /^(?:blade ?([1-9]\/0|0{1,8}|-?\d)|([1-9]\/0|0{2,8}) blade)$/i,
    read: (match, typed) => settle(typed, bladeMeaning(typed.raw, match[1] ?? match[2] ?? '')),
  },
  {
    pattern: /^bangle ?(\d) ?[-/] ?(\d{1,2})$/i,
    read: (match, typed) => settle(typed, bangleMeaning(typed.raw, Number(match[1]), Number(match[2]))),
  },
  { pattern: /^us ?(?:size )?(.+)$/i, read: (match, typed) => readRing('US', match[1] ?? '', typed) },
  { pattern: /^iso ?(?:size )?(.+)$/i, read: (match, typed) => readRing('ISO', match[1] ?? '', typed) },
  { pattern: /^(?:jp|japan) ?(?:size )?(.+)$/i, read: (match, typed) => readRing('JP', match[1] ?? '', typed) },
  { pattern: /^(?:ch|it|swiss|italian) ?(?:size )?(.+)$/i, read: (match, typed) => readRing('CH', match[1] ?? '', typed) },
  {
    pattern: /^(\d+) ?oz\.?(?: ?\/ ?ft2?)? (?:copper|sheet)$/i,
    read: (match, typed) => settle(typed, copperMeaning(typed.raw, Number(match[1]))),
  },
  { pattern: /^uk ?(?:size )?(.+)$/i, read: (match, typed) => readUk(match[1] ?? '', typed) },
  { pattern: /^size (.+)$/i, read: readSize },
  { pattern: /^[a-z]$/i, read: readBareLetter },
  { pattern: /^[a-z](\+\d)? ?(1\/2|\.5)$|^z\+\d$/i, read: (match, typed) => readUk(match[0], typed) },
  { pattern: /^([1-9])\/0$|^0{2,7}$/, read: readNoughts },
  { pattern: /^(\d)-(\d{1,2})$/, read: readDashed },
  { pattern: /^([1-4])([./])(\d{1,2})$/, read: readLooseBangle },
  { pattern: new RegExp(`^(${NUMBER_PATTERN})\\s*(mm|cm|m|inches|inch|in|")\\.?$`, 'i'), read: readLength },
  { pattern: /^hand (.+)$/i, read: readHand },
  { pattern: /^\d*\.?\d+$/, read: readBareRing },
  { pattern: /^(\d*\.?\d+|\d+\.)$/, read: readLength },
  { pattern: /^(?:\d+[ -])?\d+ ?\/ ?\d+$/, read: readFraction },
]

const EXAMPLES: Readonly<Record<string, string>> = {
  ring: '"16.5 mm", "US 6 3/4", "UK N½" or "ISO 54"',
  bangle: '"63 mm", "bangle 2-6", "2 1/2 in" or "hand 200 mm"',
  thickness: '"0.8", "20 ga" or "1/32 in"',
  length: '"14.5 mm", "5/16 in" or "1-1/4 in"',
}

/**
 * Says what a typed length or size means. A bare number is mm, but a question where a ring is meant and it is a size too; `ga` takes the gauge system of the context and is a question
 * without one; `4/0` is a gauge or a blade; `2-4` is a bangle or a fraction; `N` is a ring or a drill.
 * Never throws: what cannot be read comes back as `unknown` with a message that says what can.
 */
export function parseSize(raw: string, context: SizeContext = {}): SizeReading {
  const typed: Typed = { raw: raw.trim(), text: normaliseText(raw), context }
  const grouped = readGrouped(typed)
  if (grouped) return grouped
  for (const rule of RULES) {
    const match = rule.pattern.exec(typed.text)
    const reading = match && rule.read(match, typed)
    if (reading) return reading
  }
  const examples = EXAMPLES[context.expects ?? 'length'] ?? ''
  return {
    kind: 'unknown',
    typed: typed.raw,
    message:
      typed.raw === '' ? `nothing was entered; write a size such as ${examples}` : `"${typed.raw}" is not a size; write it as ${examples}`,
  }
}

/** One line for under a field: what was understood, in mm and inches. */
export function describeMeaning(meaning: SizeMeaning): string {
  const inches = meaning.inch < 0.1 ? meaning.inch.toFixed(4) : meaning.inch.toFixed(3)
  const both = `${formatPlain(meaning.mm, 3)} mm, ${inches} in`
  return meaning.kind === 'length' && /^[\d.]+ mm$/.test(meaning.how) ? both : `${meaning.how}: ${both}`
}
