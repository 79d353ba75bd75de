import * as z from 'zod'
import { defineOperation } from '../contract'

export const polish = defineOperation({
  id: 'polish',
  title: 'Polish',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 240,
  waitS: 0,
  caution: 'Eye protection, hair and sleeves tied back; hold small work firmly and let it run off the wheel downwards.',
  does: 'greasy',
  params: z.object({}),
  words: { say: 'Little compound, light pressure, moving all the time; one compound to a buff.' },
})
