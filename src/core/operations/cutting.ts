import * as z from 'zod'
import { lengthMm } from '../units/fields'
import { formatPlain } from '../units/format'
import { defineOperation, UNWORKED } from './contract'

/** Which side of its line the blade keeps to; an outline of several stretches says it line by line. */
export const SAW_SIDES = ['outside', 'inside', 'on', 'by-line'] as const

const SAW_WORDS: Readonly<Record<(typeof SAW_SIDES)[number], string>> = {
  outside: 'Outside the line, blade upright.',
  inside: 'Inside the line, blade upright, its end threaded through a drilled hole where the line is closed.',
  on: 'On the line, blade upright.',
  'by-line': 'Inside the line where it is the stone’s own, outside it round the tabs, blade upright.',
}

export const saw = defineOperation({
  id: 'saw',
  title: 'Saw',
  kind: 'cold',
  together: false,
  handsOnS: 90,
  waitS: 0,
  params: z.object({
    cutMm: lengthMm({ label: 'Cut size', min: 0.5, max: 2000 }).optional(),
    what: z.string().optional(),
    side: z.enum(SAW_SIDES).default('outside'),
  }),
  effect: () => ({ elsewhere: UNWORKED }),
  words: ({ cutMm, what, side }) => ({
    title: `Saw ${what ?? 'the blank'}`,
    say: `${SAW_WORDS[side]} Let the blade do the cutting and turn the metal, not the frame.`,
    facts: cutMm ? [{ label: 'Cut at', value: `${formatPlain(cutMm, 2)} mm` }] : [],
  }),
})

export const file = defineOperation({
  id: 'file',
  title: 'File',
  kind: 'cold',
  together: false,
  handsOnS: 60,
  waitS: 0,
  params: z.object({ what: z.string().optional() }),
  effect: () => ({ elsewhere: UNWORKED }),
  words: ({ what }) => ({
    title: `File ${what ?? 'the edge'}`,
    say: 'Down to the line and square. Push strokes only; lift on the way back.',
    facts: [],
  }),
})

export const drill = defineOperation({
  id: 'drill',
  title: 'Drill',
  kind: 'cold',
  together: false,
  handsOnS: 45,
  waitS: 0,
  caution: 'Clamp the work and wear eye protection: a catching bit spins thin sheet.',
  params: z.object({ diameterMm: lengthMm({ label: 'Hole', min: 0.3, max: 20 }) }),
  effect: () => ({ elsewhere: UNWORKED }),
  words: ({ diameterMm }) => ({
    title: `Drill ${formatPlain(diameterMm, 2)} mm`,
    say: 'Dimple first, back the sheet with wood, then take the burr off both sides.',
    facts: [{ label: 'Bit', value: `${formatPlain(diameterMm, 2)} mm` }],
  }),
})
