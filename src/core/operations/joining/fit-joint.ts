import * as z from 'zod'
import { defineOperation } from '../contract'

export const fitJoint = defineOperation({
  id: 'fit-joint',
  title: 'Fit the joint',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  does: 'joint: fit=fitted',
  params: z.object({}),
  words: { say: 'File and try until no light shows between the faces: solder does not bridge a gap.' },
})
