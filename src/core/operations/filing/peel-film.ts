import * as z from 'zod'
import { defineOperation } from '../contract'

export const peelFilm = defineOperation({
  id: 'peel-film',
  title: 'Peel the film',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 20,
  waitS: 0,
  does: 'no film',
  params: z.object({}),
  words: { say: 'All of it, both faces, before any heat or bending.' },
})
