import { TERMS, type Term } from './terms'

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
const asWord = (text: string) => new RegExp(`(?<![\\p{L}\\d])${escaped(text)}(?![\\p{L}\\d])`, 'iu')

/** Longer words first, so that "bend factor" is not taken for "bend"; one letter alone is no word to look for. */
const PATTERNS = TERMS.flatMap((term) =>
  [term.word, ...(term.also ?? [])].filter((word) => word.length > 2).map((word) => ({ term, word })),
)
  .sort((a, b) => b.word.length - a.word.length)
  .map(({ term, word }) => ({ term, pattern: asWord(word) }))

/** The first word of the trade that stands in a label, and where; undefined where none does. */
export function termIn(label: string): { readonly term: Term; readonly from: number; readonly to: number } | undefined {
  for (const { term, pattern } of PATTERNS) {
    const match = pattern.exec(label)
    if (match) return { term, from: match.index, to: match.index + match[0].length }
  }
  return undefined
}

/** Words of the trade that these words name, those that begin with them first. */
export function findTerms(words: string): readonly Term[] {
  const text = words.trim().toLowerCase()
  if (text === '') return TERMS
  const names = (term: Term) => [term.word, ...(term.also ?? [])].map((word) => word.toLowerCase())
  const begins = TERMS.filter((term) => names(term).some((name) => name.startsWith(text)))
  const holds = TERMS.filter((term) => !begins.includes(term) && `${names(term).join(' ')} ${term.means.toLowerCase()}`.includes(text))
  return [...begins, ...holds]
}
