import * as z from 'zod'
import { sinkCourses } from '../../forming/courses'
import { lengthMm } from '../../units/fields'
import { defineOperation } from '../contract'

/** What planishing takes off in a course (bench practice, low). */
const PLANISHED = 0.07

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
    const mostMm = discMm / (2 * Math.SQRT2)
    const stock = { alloy, thicknessMm, strain: 0, discMm, heightMm: Math.min(heightMm, mostMm) }
    const [course] = sinkCourses({ ...stock, courses: 1, thinnedFraction: PLANISHED })
    return { elsewhere: { strain: course?.strain ?? 0, weight: 1 } }
  },
  words: { say: 'From the rim inwards in rings, the metal over a hollow, lifting it as it goes down.' },
})
