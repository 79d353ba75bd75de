import * as z from 'zod'
import { formatPlain } from '../../units/format'
import { defineOperation } from '../contract'
import { bentEffect, bentParams } from './bent'

/** How it is bent: round a former and shut, over on a line, with pliers to a shape, or wound on a rod. */
export const BEND_MANNERS = ['round', 'fold', 'shape', 'coil'] as const
export type BendManner = (typeof BEND_MANNERS)[number]

const BEND_WORDS: Readonly<Record<BendManner, { readonly say: string; readonly watch: string }>> = {
  round: {
    say: 'Ends first, then the middle, with a rawhide or plastic mallet over the mandrel. Close it past the joint so that it springs shut.',
    watch: 'If the joint gapes on one side, open it, file the ends square again and close it.',
  },
  fold: {
    say: 'Smooth flat pliers on the line, a little each, the opposite one next. Once up to ninety degrees, not back and forth.',
    watch: 'If a fold whitens or a crack starts at its corner, stop: anneal before it goes on, or cut a new one.',
  },
  shape: {
    say: 'Round pliers or a rod of the right size, a little at a time, and a touch past the mark: it springs back.',
    watch: 'Marked jaws mark the metal, and it breaks where it is marked: smooth jaws, or tape round them.',
  },
  coil: {
    say: 'Hold one end against the rod, and wind tight, each turn against the last.',
    watch: 'If the coil rides up or springs off, it is too hard: anneal and wind it again.',
  },
}

export const bend = defineOperation({
  id: 'bend',
  title: 'Bend',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  does: 'formed; temper +0.1 (how!=correct); temper +0.02 (how=correct)',
  params: z.object({
    ...bentParams(),
    manner: z.enum(BEND_MANNERS).default('round'),
    how: z.string().optional(),
    to: z.string().optional(),
    what: z.string().optional(),
    region: z.string().optional(),
  }),
  effect: bentEffect,
  words: ({ insideRadiusMm, manner, what, how, to }) => ({
    title: how === 'correct' ? 'Correct the bend' : `Bend ${what ?? (to ? `it to an ${to}` : 'it round')}`,
    facts: insideRadiusMm === undefined ? [] : [{ label: 'Inside radius', value: `${formatPlain(insideRadiusMm, 2)} mm` }],
    ...BEND_WORDS[manner],
  }),
})
