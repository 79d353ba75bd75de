import * as z from 'zod'
import { defineOperation } from '../contract'

export const testJoint = defineOperation({
  id: 'test-joint',
  title: 'Test the joint',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'joint: tested; joints: tested',
  params: z.object({}),
  words: {
    say: 'Cold: look through a glass, pluck it, try a paper strip in the gap. A joint that rings dull is not shut.',
    watch: 'When it fails: clean, pickle, flux and solder again, before any stone goes in.',
  },
})
