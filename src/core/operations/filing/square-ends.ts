import * as z from 'zod'
import { defineOperation } from '../contract'

export const squareEnds = defineOperation({
  id: 'square-ends',
  title: 'Square the ends',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'endsSquare, endFlat; no burr',
  params: z.object({}),
  words: { say: 'File each end to the square, then hold the ends together against the light: no gap anywhere.' },
})
