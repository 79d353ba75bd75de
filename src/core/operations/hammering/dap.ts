import * as z from 'zod'
import { domedMetal } from '../../forming/dapping/domed-metal'
import { COMPRESSION_WEIGHT } from '../../forming/work-used'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation, UNWORKED } from '../contract'

export const dap = defineOperation({
  id: 'dap',
  title: 'Dome',
  kind: 'cold',
  resource: 'bench',
  together: false,
  handsOnS: 60,
  waitS: 0,
  does: 'formed; temper +0.1',
  caution: 'Never a hardened hammer face on a hardened punch: use a brass or soft-faced mallet, and wear eye protection.',
  params: z.object({
    punchMm: lengthMm({ label: 'Punch', min: 1, max: 120 }).optional(),
    discMm: lengthMm({ label: 'Disc', min: 1, max: 500 }).optional(),
    place: z.string().optional(),
    hollow: z.string().optional(),
    hollowMm: lengthMm({ label: 'Hollow', min: 1, max: 150 }).optional(),
    block: z.enum(['wood', 'steel']).optional(),
  }),
  effect: ({ punchMm, discMm }, { alloy, thicknessMm }) => {
    if (punchMm === undefined || discMm === undefined) return undefined
    const radius = Math.max((punchMm + thicknessMm) / 2, discMm / 4 + 1e-9)
    const { crown, middle, rim } = domedMetal(alloy, discMm, radius)
    // its surface is bent as well, by the same both ways
    const bent = thicknessMm / radius
    return {
      elsewhere: UNWORKED,
      at: {
        crown: { strain: crown.strain + bent, weight: 1, held: 'dome', through: crown.thicknessStrain },
        middle: { strain: middle.strain + bent, weight: COMPRESSION_WEIGHT, held: 'dome', through: middle.thicknessStrain },
        rim: { strain: rim.strain + bent, weight: COMPRESSION_WEIGHT, held: 'dome', through: rim.thicknessStrain },
      },
    }
  },
  words: ({ punchMm, place, block }, { thicknessMm }) => ({
    title: `Dome${block === 'wood' ? ' in wood' : ''}${punchMm ? ` with the ${formatPlain(punchMm, 1)} mm punch` : ''}`,
    say: `${place ? `${place}. ` : ''}Work in rings from the rim inwards, light blows, turning it between each. Move on when it sits in the cup without rocking.`,
    facts: punchMm
      ? [{ label: 'Punch / cup', value: `${formatPlain(punchMm, 1)} / ${formatPlain(punchMm + 2 * thicknessMm, 1)} mm or over` }]
      : [],
    watch: 'If the rim ripples, stop. Go back to the wider cup and chase it flat from the rim before going deeper.',
  }),
})
