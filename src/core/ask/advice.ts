import { type Advice, findAdviser } from '../advice'
import { FIT_IDS } from '../tables/drills/fit-ids'
import { TOOL_FACES } from '../tables/tools/tool-data'
import type { Bench } from '../toolwall/tools'
import { METAL_WORDS } from './lexicon'

interface AskedAdvice {
  readonly adviser: string
  readonly input: Readonly<Record<string, unknown>>
}

interface AdviceRule {
  readonly pattern: RegExp
  readonly read: (match: RegExpExecArray) => AskedAdvice | undefined
}

/** Takes a word out of the text where it stands there. */
function split<T extends string>(text: string, words: readonly T[]): { readonly word: T | undefined; readonly rest: string } {
  const word = words.find((candidate) => new RegExp(`\\b${candidate}\\b`, 'i').test(text))
  return { word, rest: word ? text.replace(new RegExp(`\\b${word}\\b`, 'i'), '').trim() : text }
}

function readDrill(text: string): AskedAdvice {
  const { word, rest } = split(
    text
      .replace(/\b(wire|tube|post|pin|fit|a|an)\b/gi, ' ')
      .replace(/\s+/g, ' ')
      .trim(),
    FIT_IDS,
  )
  return { adviser: 'drill', input: { pinMm: rest, ...(word ? { fit: word } : {}) } }
}

function readSolder(count: string, text: string): AskedAdvice | undefined {
  const metal = METAL_WORDS.find(([word]) => new RegExp(`\\b${word}\\b`, 'i').test(text))
  if (!metal) return undefined
  return {
    adviser: 'solder',
    input: {
      jointCount: Number(count),
      alloy: metal[1],
      ...(/\b(british|uk)\b/i.test(text) ? { family: 'british' } : {}),
      ...(/\bstrict\b/i.test(text) ? { gap: 'strict' } : {}),
    },
  }
}

/** The face whose words the text holds most of. */
function faceIn(text: string, part: 'striking' | 'struck'): string | undefined {
  const said = text.toLowerCase().split(/[^a-z]+/)
  const scored = TOOL_FACES.filter((face) => face.part === part).map((face) => {
    const words = `${face.id} ${face.title}`.toLowerCase().split(/[^a-z]+/)
    return { id: face.id, score: said.filter((word) => word.length > 2 && words.includes(word)).length }
  })
  const best = scored.reduce((a, b) => (b.score > a.score ? b : a), { id: '', score: 0 })
  return best.score > 0 ? best.id : undefined
}

function readStrike(first: string, second: string): AskedAdvice | undefined {
  const [hammer, on] = [faceIn(first, 'striking'), faceIn(second, 'struck')]
  return hammer && on ? { adviser: 'strike', input: { hammer, on } } : undefined
}

const FINISH_WORDS = 'satin|fine|bright|mirror'

const RULES: readonly AdviceRule[] = [
  { pattern: /^(?:drill|hole|bit) for (.+)$/i, read: (match) => readDrill(match[1] ?? '') },
  { pattern: /^(?:saw )?blade for (.+?)(?: sheet)?$/i, read: (match) => ({ adviser: 'blade', input: { thicknessMm: match[1] ?? '' } }) },
  { pattern: /^solders? (?:for )?(\d+) joints?\b(.*)$/i, read: (match) => readSolder(match[1] ?? '1', match[2] ?? '') },
  {
    pattern: new RegExp(`^(?:sand |papers? |from )*(.+?) to (${FINISH_WORDS})$`, 'i'),
    read: (match) => ({ adviser: 'abrasive', input: { from: match[1] ?? '', to: (match[2] ?? '').toLowerCase() } }),
  },
  { pattern: /^(.*\b(?:hammer|mallet)) on (?:an? )?(.+)$/i, read: (match) => readStrike(match[1] ?? '', match[2] ?? '') },
  {
    pattern: /^compare (.+?) (?:with|and|to|against) (.+)$/i,
    read: (match) => ({ adviser: 'compare', input: { first: match[1] ?? '', second: match[2] ?? '' } }),
  },
  { pattern: /^mandrel (.+)$/i, read: (match) => ({ adviser: 'mandrel', input: { insideDiameterMm: match[1] ?? '' } }) },
  {
    pattern: /^stamp (.+?) (?:at )?(\d*\.?\d+ ?(?:mm)?|\d+\/\d+ in) in (\S+.*)$/i,
    read: (match) => ({ adviser: 'stamp-line', input: { text: match[1] ?? '', heightMm: match[2] ?? '', roomMm: match[3] ?? '' } }),
  },
]

export type AdviceAnswer = AskedAdvice & {
  readonly title: string
  readonly advice: Advice | null
  readonly problems: readonly string[]
}

/** Answers a question that an adviser knows, with the smith's own tools; undefined where it is none. */
export function askAdvice(text: string, { tools, figures }: Bench): AdviceAnswer | undefined {
  for (const rule of RULES) {
    const match = rule.pattern.exec(text)
    const asked = match && rule.read(match)
    const adviser = asked && findAdviser(asked.adviser)
    if (!asked || !adviser) continue
    const run = adviser.run({ ...asked.input, owned: tools, figures })
    return {
      ...asked,
      title: adviser.title,
      advice: run.ok ? run.advice : null,
      problems: run.ok ? [] : run.issues.map((issue) => issue.message),
    }
  }
  return undefined
}
