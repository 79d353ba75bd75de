const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
}

/** The text with one kind of each sign: fraction characters spelt out, curly quotes straight, decimal comma a point. */
export function normaliseText(text: string): string {
  return text
    .replace(/([½¼¾⅛⅜⅝⅞⅓⅔])/g, (sign) => ` ${VULGAR[sign] ?? sign}`)
    .replace(/[″”“]|''/g, '"')
    .replace(/[–−]/g, '-')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s+/g, ' ')
    .trim()
}

export type NumberReading = { readonly value: number; readonly fraction: boolean } | { readonly problem: string }

const MIXED = /^(?:(\d+)[ -])?(\d+)\s*\/\s*(\d+)$/

/** A number as written: "0.8", ".8", "5/16", "1-1/4", "1 1/4". A denominator of zero is a problem, not infinity. */
export function readNumber(text: string): NumberReading {
  if (/^\d*\.?\d+$|^\d+\.$/.test(text)) return { value: Number(text), fraction: false }
  const match = MIXED.exec(text)
  if (!match) return { problem: `"${text}" is not a number` }
  const [, whole, over, under] = match
  if (Number(under) === 0) return { problem: `"${text}" divides by zero` }
  return { value: Number(whole ?? 0) + Number(over) / Number(under), fraction: true }
}

/** The pattern of a number in any of those spellings, for use inside larger patterns. */
export const NUMBER_PATTERN = '(?:\\d+[ -])?\\d+\\s*/\\s*\\d+|\\d*\\.?\\d+\\.?'
