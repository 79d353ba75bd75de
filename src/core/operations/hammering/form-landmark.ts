import * as z from 'zod'
import { defineOperation } from '../contract'

export const formLandmark = defineOperation({
  id: 'form-landmark',
  title: 'Work the form',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 600,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'formed; no tried; temper +0.12',
  params: z.object({ what: z.string().optional() }),
  words: { say: 'Over the stake at the place that is marked, and no further than it asks.' },
})
