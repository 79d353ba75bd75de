import * as z from 'zod'
import { defineOperation } from '../contract'

export const forge = defineOperation({
  id: 'forge',
  title: 'Forge',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 300,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'temper +0.35',
  params: z.object({}),
  words: { say: 'Heavier blows in one direction; the metal moves at right angles to the edge of the face.' },
})
