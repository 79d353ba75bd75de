import * as z from 'zod'
import { defineOperation } from '../contract'

export const tryOn = defineOperation({
  id: 'try-on',
  title: 'Try it on',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  does: 'tried',
  params: z.object({}),
  words: { say: 'On the wearer or the original, without force. Mark where it touches first and where it stands off.' },
})
