import * as z from 'zod'
import { defineOperation } from '../contract'
import { curledEffect, curledParams } from './curled'

export const closeTube = defineOperation({
  id: 'close-tube',
  title: 'Close the tube',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 900,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'no insideOpen; temper +0.2',
  params: z.object({ ...curledParams() }),
  effect: (params, context) => curledEffect(params, 2 * Math.PI, context),
  words: { say: 'Light blows all along, the gap closing evenly, no edge over the other.' },
})
