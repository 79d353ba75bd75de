import * as z from 'zod'
import { defineOperation } from '../contract'

export const textureHammer = defineOperation({
  id: 'texture-hammer',
  title: 'Texture with the hammer',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 300,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'textured; no trued, grown (thing.closed); temper +0.15',
  params: z.object({}),
  words: { say: 'The same height and the same spacing, working in one direction.' },
})
