import * as z from 'zod'
import { defineOperation } from '../contract'

export const relieve = defineOperation({
  id: 'relieve',
  title: 'Relieve the high places',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 180,
  waitS: 0,
  does: 'relieved',
  params: z.object({ how: z.enum(['dry', 'wet']).default('dry') }),
  words: { say: 'Pumice or wool on the high places only, with a flat pad, one direction.' },
})
