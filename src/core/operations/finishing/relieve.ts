import * as z from 'zod'
import { RELIEF_WORDS } from '../../surface/run-words'
import { choice } from '../../units/fields'
import { defineOperation } from '../contract'

const { tumble: _tumble, none: _none, ...BY_HAND } = RELIEF_WORDS

export const relieve = defineOperation({
  id: 'relieve',
  title: 'Relieve the high places',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  does: 'relieved',
  params: z.object({
    how: z.enum(['dry', 'wet']).default('dry'),
    by: choice('With', BY_HAND).default('pumice'),
  }),
  words: ({ how, by }) => ({
    title: 'Relieve the high places',
    say: `The high places only, with ${BY_HAND[by]}, a flat pad, one direction${how === 'wet' ? ', under water' : ''}.`,
    facts: [],
    ...(by === 'steel-wool' ? { watch: 'Steel wool leaves iron: rinse it off, and never into the pickle.' } : {}),
  }),
})
