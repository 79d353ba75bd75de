import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation, UNWORKED } from '../contract'

/** Which side of its line the blade keeps to; an outline of several stretches says it line by line. */
export const SAW_SIDES = ['outside', 'inside', 'on', 'by-line'] as const

const SAW_WORDS: Readonly<Record<(typeof SAW_SIDES)[number], string>> = {
  outside: 'Outside the line, blade upright.',
  inside: 'Inside the line, blade upright, its end threaded through a drilled hole where the line is closed.',
  on: 'On the line, blade upright.',
  'by-line': 'Inside the line where it is the stone’s own, outside it round the tabs, blade upright.',
}

/** Cuts that have a name of their own, and how they are said. */
const CUTS: Readonly<Record<string, string>> = {
  window: 'the window',
  rough: 'it roughly to size',
  trim: 'off what is over',
  around: 'round the outside',
  overlap: 'through the overlap',
}

export const saw = defineOperation({
  id: 'saw',
  title: 'Saw',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  includes: 'mark (!marked; school.S22=A), mark how=ink (!marked; school.S22=B), tape-ink (school.S22=B), drill for=start (what=window), *',
  does: 'cut; burr; endsSquare (what=overlap)',
  place: 'outline',
  params: z.object({
    cutMm: lengthMm({ label: 'Cut size', min: 0.5, max: 2000 }).optional(),
    acrossMm: lengthMm({ label: 'Across', min: 0.5, max: 2000 }).optional(),
    what: z.string().optional(),
    marked: z.boolean().optional(),
    side: z.enum(SAW_SIDES).default('outside'),
  }),
  effect: () => ({ elsewhere: UNWORKED }),
  words: ({ cutMm, acrossMm, what, side }) => ({
    title: `Saw ${CUTS[what ?? ''] ?? what ?? 'the blank'}`,
    say: `${SAW_WORDS[side]} Let the blade do the cutting and turn the metal, not the frame.`,
    facts: cutMm ? [{ label: 'Cut at', value: `${formatPlain(cutMm, 2)}${acrossMm ? ` × ${formatPlain(acrossMm, 2)}` : ''} mm` }] : [],
  }),
})
