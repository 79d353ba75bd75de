import * as z from 'zod'
import { defineOperation } from '../contract'

export const glueTemplate = defineOperation({
  id: 'glue-template',
  title: 'Glue the template on',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'template',
  params: z.object({}),
  words: { say: 'A thin even coat, the paper flat, no bubbles at the line.' },
})
