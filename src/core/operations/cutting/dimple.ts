import * as z from 'zod'
import { defineOperation } from '../contract'

export const dimple = defineOperation({
  id: 'dimple',
  title: 'Dimple',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 10,
  waitS: 0,
  caution: 'Eye protection: a punch can chip.',
  does: 'place: dimpled',
  place: 'hole',
  params: z.object({}),
  words: { say: 'Centre punch upright on the mark, one light blow on steel.' },
})
