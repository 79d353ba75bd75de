import * as z from 'zod'
import { defineOperation } from '../contract'

export const placeStone = defineOperation({
  id: 'place-stone',
  title: 'Put the stone in',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'joint: stoneIn',
  joins: 'loose',
  params: z.object({}),
  words: { say: 'Level, the mark to the mark, nothing under it that does not belong there.' },
})
