import * as z from 'zod'
import { defineOperation } from '../contract'

export const trialFit = defineOperation({
  id: 'trial-fit',
  title: 'Trial fit',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'triedFit',
  params: z.object({}),
  words: { say: 'Put it together dry, once, the way it will go in the end. Nothing is fixed yet.' },
})
