import * as z from 'zod'
import { hammerStrain } from '../../forming/strain'
import { ratio } from '../../units/fields'
import { defineOperation, HAMMER_WEIGHT } from '../contract'

/** Strain of the dents themselves (estimate, low). */
const DENT_STRAIN = 0.09

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
  params: z.object({ thinnedFraction: ratio({ label: 'Thinned by', min: 0, max: 0.3 }).default(0.05) }),
  effect: ({ thinnedFraction }) => ({
    // dents are worked more than the mean thinning tells
    elsewhere: { strain: Math.max(DENT_STRAIN, hammerStrain(thinnedFraction)), weight: HAMMER_WEIGHT },
    thicknessRatio: 1 - thinnedFraction,
  }),
  words: { say: 'The same height and the same spacing, working in one direction.' },
})
