import { TERMS, type Term } from './terms'

/** Longer words first, so that "bend factor" is not taken for "bend"; one letter alone is no word to look for. */
const WORDS = TERMS.flatMap((term) =>
  [term.word, ...(term.also ?? [])].filter((word) => word.length > 2).map((word) => ({ term, word: word.toLowerCase() })),
).sort((a, b) => b.word.length - a.word.length)

const LETTER = /[\p{L}\d]/u
const isLetter = (text: string, at: number) => at >= 0 && at < text.length && LETTER.test(text[at] as string)

/** Where a word first stands by itself in a text, both in small letters; -1 where it does not. */
function wordAt(text: string, word: string): number {
  let at = text.indexOf(word)
  while (at >= 0 && (isLetter(text, at - 1) || isLetter(text, at + word.length))) at = text.indexOf(word, at + 1)
  return at
}

/** The first word of the trade that stands in a label, and where; undefined where none does. */
export function termIn(label: string): { readonly term: Term; readonly from: number; readonly to: number } | undefined {
  const text = label.toLowerCase()
  for (const { term, word } of WORDS) {
    const from = wordAt(text, word)
    if (from >= 0) return { term, from, to: from + word.length }
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
