import * as z from 'zod'
import { defineOperation } from '../contract'

export const collapse = defineOperation({
  id: 'collapse',
  title: 'Collapse it',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  does: 'collapsed, no straight; temper +0.05',
  params: z.object({}),
  words: { say: 'Press the ridges together from all sides at once, slowly, turning it.' },
})
