import * as z from 'zod'
import { defineOperation } from '../contract'

export const textureAbrasive = defineOperation({
  id: 'texture-abrasive',
  title: 'Texture with abrasive',
  kind: 'finish',
  resource: 'bench',
  together: false,
  handsOnS: 120,
  waitS: 0,
  caution: 'Eye protection and a dust mask; work wet or with extraction.',
  does: 'textured',
  params: z.object({}),
  words: { say: 'Coarse paper, a burr or a brush, in one direction or none, evenly to the edge.' },
})
