import * as z from 'zod'
import { defineOperation } from '../contract'

export const brush = defineOperation({
  id: 'brush',
  title: 'Brush',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  params: z.object({}),
  words: { say: 'Brass brush with soapy water, in one direction.' },
})
