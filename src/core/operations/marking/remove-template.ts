import * as z from 'zod'
import { defineOperation } from '../contract'

export const removeTemplate = defineOperation({
  id: 'remove-template',
  title: 'Take the template off',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 30,
  waitS: 0,
  does: 'no template',
  params: z.object({}),
  words: { say: 'Peel it while the glue is still soft, then wipe the rest away.' },
})
