import * as z from 'zod'
import { defineOperation } from '../contract'

export const trimTail = defineOperation({
  id: 'trim-tail',
  title: 'Trim the tail',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  caution: 'Cover the end as you cut: clippings fly.',
  does: 'tailTrimmed',
  params: z.object({}),
  words: { say: 'Close the catch, mark where the tail ends, and snip it there.' },
})
