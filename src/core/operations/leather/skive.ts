import * as z from 'zod'
import { defineOperation } from '../contract'

export const skive = defineOperation({
  id: 'skive',
  title: 'Skive the strap',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Sharp knife: cut away from your hand.',
  params: z.object({}),
  words: { say: 'Thin the fold on the flesh side, the knife away from you, an even slope.' },
})
