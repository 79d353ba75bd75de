import * as z from 'zod'
import { defineOperation } from '../contract'

export const trimTab = defineOperation({
  id: 'trim-tab',
  title: 'Trim the tab',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 45,
  waitS: 0,
  does: 'no tab; burr',
  params: z.object({}),
  words: { say: 'Saw or snip the tab close to the edge, then file it to the line.' },
})
