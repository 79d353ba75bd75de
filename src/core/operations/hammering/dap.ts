import * as z from 'zod'
import { lengthMm } from '../../units/fields'
import { formatPlain } from '../../units/format'
import { defineOperation } from '../contract'
import { domedEffect } from '../domed-effect'

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
    const sphereRadiusMm = Math.max((punchMm + thicknessMm) / 2, discMm / 4 + 1e-9)
    return domedEffect({ alloy, discMm, sphereRadiusMm, thicknessMm })
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
