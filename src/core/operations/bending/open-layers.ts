import * as z from 'zod'
import { defineOperation } from '../contract'

export const openLayers = defineOperation({
  id: 'open-layers',
  title: 'Open the layers',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  does: 'opened',
  params: z.object({}),
  words: { say: 'A thin blade between the two, then the fingers, a little all round.' },
})
