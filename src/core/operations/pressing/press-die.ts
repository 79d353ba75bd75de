import * as z from 'zod'
import { clampedPoleStrain, freelyPressed } from '../../forming/press'
import { COMPRESSION_WEIGHT } from '../../forming/work-used'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation, UNWORKED } from '../contract'

export const pressDie = defineOperation({
  id: 'press-die',
  title: 'Press in the die',
  kind: 'cold',
  resource: 'press',
  together: false,
  handsOnS: 90,
  waitS: 0,
  does: 'textured; temper +0.2',
  caution: 'Press behind a guard, hands away, eye protection on; never strike a die that is cracked.',
  params: z.object({
    depthMm: lengthMm({ label: 'Depth', min: 0, max: 60 }),
    halfMm: lengthMm({ label: 'Half the width', min: 0.5, max: 300 }),
    rimHeld: z.boolean().default(true),
    what: z.string().optional(),
  }),
  effect: ({ depthMm, halfMm, rimHeld }, { alloy, thicknessMm }) => {
    const impression = { halfMm, depthMm: Math.min(depthMm, halfMm) }
    const through = clampedPoleStrain(alloy, impression)
    if (rimHeld) return { elsewhere: UNWORKED, at: { impression: { strain: -through, through, weight: 1, held: 'press' } } }
    const pressed = freelyPressed(alloy, impression)
    if (!pressed) return { elsewhere: UNWORKED }
    const bent = (2 * depthMm * thicknessMm) / (halfMm ** 2 + depthMm ** 2)
    return {
      elsewhere: UNWORKED,
      at: {
        impression: { strain: pressed.crown.strain + bent, weight: 1, held: 'press', through: pressed.crown.thicknessStrain },
        margin: { strain: pressed.rim.strain + bent, weight: COMPRESSION_WEIGHT, held: 'press', through: pressed.rim.thicknessStrain },
      },
    }
  },
  words: ({ depthMm, rimHeld, what }) => ({
    title: `Press ${what ?? 'in the die'}`,
    say: rimHeld
      ? 'Metal soft, margin held all round. A little at each stroke; take it out and look at the middle, where it thins.'
      : 'Metal soft, the blank loose over the form so that its rim can draw in. A little at each stroke.',
    facts: [{ label: 'Depth', value: `${formatPlain(depthMm, 2)} mm` }],
    watch: 'A dull, grainy look in the middle comes before a split: stop, anneal, and go on.',
  }),
})
