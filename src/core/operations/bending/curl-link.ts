import * as z from 'zod'
import { defineOperation } from '../contract'

export const curlLink = defineOperation({
  id: 'curl-link',
  title: 'Curl the end',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 45,
  waitS: 0,
  does: 'curled; temper +0.1',
  params: z.object({}),
  words: { say: 'Round pliers at the mark, a little at a time, until the eye closes.' },
})
