import * as z from 'zod'
import { sphereForHeightMm } from '../../forming/dome'
import { lengthMm } from '../../units/fields'
import { defineOperation } from '../contract'
import { domedEffect } from '../domed-effect'

export const sink = defineOperation({
  id: 'sink',
  title: 'Sink',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 900,
  waitS: 0,
  caution: 'Eye protection on. Never one hardened face on another.',
  does: 'formed; temper +0.25',
  params: z.object({
    discMm: lengthMm({ label: 'Disc', min: 5, max: 1000 }).optional(),
    heightMm: lengthMm({ label: 'Height', min: 0.5, max: 500 }).optional(),
  }),
  effect: ({ discMm, heightMm }, { alloy, thicknessMm }) => {
    if (discMm === undefined || heightMm === undefined) return undefined
    const sphereRadiusMm = sphereForHeightMm(discMm, Math.min(heightMm, discMm / (2 * Math.SQRT2)))
    return domedEffect({ alloy, discMm, sphereRadiusMm, thicknessMm })
  },
  words: { say: 'From the rim inwards in rings, the metal over a hollow, lifting it as it goes down.' },
})
