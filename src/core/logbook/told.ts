import { formatPlain } from '../units/format'

/** A loss, a note or the result of a test, as it stands in the record. */
export interface ToldEntry {
  readonly kind: string
  readonly workpiece: number | null
  readonly text: string
  readonly dimension: string | null
  readonly value: number | null
  readonly failedPart: string | null
  readonly again: string | null
}

function headOf({ kind, workpiece, again }: ToldEntry, name: (part: string) => string): string {
  if (kind === 'note') return 'note'
  if (kind === 'test') return `piece ${workpiece}, test`
  return again ? `piece ${workpiece}, ${name(again)} made again` : `piece ${workpiece} went wrong`
}

/** What was told of a piece, in one line: "piece 2, test: failed: a gap, gap 0.12 mm, bezel". `name` gives a part as it is called. */
export function toldWords(entry: ToldEntry, name: (part: string) => string): string {
  const { text, dimension, value, failedPart } = entry
  const measured = value === null ? [] : [`${dimension} ${formatPlain(value, 2)} mm`]
  return `${headOf(entry, name)}: ${[text || 'no reason given', ...measured, ...(failedPart ? [name(failedPart)] : [])].join(', ')}`
}
