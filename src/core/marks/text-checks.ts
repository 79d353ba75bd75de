import type { Check } from '../forms/contract'
import type { Outline } from '../geometry/point'
import { type OwnTool, usable } from '../toolwall/tools'
import { formatPlain } from '../units/format'
import { largestHeightMm, type Row, setOf } from './lettering'
import type { Lettering } from './schema'

const mm = (value: number) => ({ value, unit: 'mm' as const })

/** Characters that a set of letter stamps usually has. */
const USUAL = /[A-Z0-9&.,'!?:;-]/

/** So many measured characters are a measured set: what is not among them is taken to be missing. */
const MEASURED = 8

function characterChecks(text: string, widths: Readonly<Record<string, number>>, set: OwnTool | undefined): Check[] {
  const asked = [...new Set(text.toUpperCase().replace(/\s/g, ''))]
  const missing = Object.keys(widths).length >= MEASURED ? asked.filter((letter) => widths[letter] === undefined) : []
  const strange = asked.filter((letter) => !USUAL.test(letter) && widths[letter] === undefined)
  if (strange.length > 0)
    return [
      {
        level: 'warn',
        code: 'no-such-stamp',
        field: 'text',
        source: 'bench-practice',
        message: `Sets of letter stamps seldom have ${strange.join(' ')}: measure your own stamp for it, or leave it out.`,
      },
    ]
  return missing.length > 0
    ? [
        {
          level: 'warn',
          code: 'not-in-your-set',
          field: 'text',
          source: 'own-choice',
          message: `${missing.join(', ')} ${missing.length === 1 ? 'is' : 'are'} not measured in ${set?.label ?? 'your set'}: the width is taken as usual. ${missing.length === 1 ? 'Is the stamp' : 'Are the stamps'} there?`,
        },
      ]
    : []
}

/** What would go on the line instead: the largest height, and the largest of the smith’s own sets under it. */
function instead(outer: Outline, lettering: Lettering, widths: Readonly<Record<string, number>>, owned: readonly OwnTool[]): string {
  const most = largestHeightMm(outer, lettering, widths)
  if (most === undefined) return 'No letter of half a millimetre or more goes on it: fewer words, or another line.'
  const own = usable(owned, 'stamp')
    .filter(({ size }) => size <= most)
    .at(-1)
  const set = own ? `; of your sets ${own.label}` : ''
  return `The largest letters that go on it are ${formatPlain(Math.floor(most * 100) / 100)} mm high${set}.`
}

function rowChecks(
  row: Row,
  outer: Outline,
  lettering: Lettering,
  widths: Readonly<Record<string, number>>,
  owned: readonly OwnTool[],
): Check[] {
  const leftMm = (row.roomMm - row.lengthMm) / 2
  const facts = { field: 'text', actual: mm(row.lengthMm), limit: mm(row.roomMm), source: 'house-default' as const }
  if (leftMm < 0)
    return [
      {
        level: 'stop',
        code: 'text-too-long',
        ...facts,
        message: `“${row.text}” is ${formatPlain(row.lengthMm, 2)} mm long and its line has ${formatPlain(row.roomMm, 2)}. ${instead(outer, lettering, widths, owned)}`,
      },
    ]
  return leftMm < lettering.heightMm
    ? [
        {
          level: 'note',
          code: 'narrow-margin',
          ...facts,
          message: `“${row.text}” leaves ${formatPlain(leftMm, 2)} mm at each end; a letter’s height looks right.`,
        },
      ]
    : []
}

/** What a text says on its line: whether it goes on it, and whether its stamps are there. */
export function textChecks(
  rows: readonly Row[],
  outer: Outline,
  lettering: Lettering,
  widths: Readonly<Record<string, number>>,
  owned: readonly OwnTool[],
): Check[] {
  return [
    ...rows.flatMap((row) => rowChecks(row, outer, lettering, widths, owned)),
    ...characterChecks(lettering.text, widths, setOf(owned, lettering.heightMm)),
  ]
}
