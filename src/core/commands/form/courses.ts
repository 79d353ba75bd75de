import * as z from 'zod'
import { raiseCourses, sinkCourses } from '../../forming/courses'
import { hammeredWidthMm, hammerGrowthMm } from '../../forming/hammered-ring'
import { equivalentStrain } from '../../forming/strain'
import { boughtStrain } from '../../metals/tempers'
import { figureOf, ownFiguresField } from '../../tables/figures'
import { alloyWith } from '../../tables/own-metal'
import { lengthMm } from '../../units/fields'
import { kindOf, metal, type Ran, thick } from './kind'

const disc = { ...metal, discMm: lengthMm({ label: 'Disc', min: 5, max: 1000 }), thicknessMm: thick }

const sinkInput = z.strictObject({
  kind: z.literal('sink'),
  ...disc,
  heightMm: lengthMm({ label: 'Height', min: 0.5, max: 500 }),
  courses: z.int().min(1).max(60).default(4),
  thinnedFraction: z.number().min(0).max(0.3).default(0.07),
})

function runSink({ alloy: id, bought, figures, ...input }: z.output<typeof sinkInput>): Ran {
  const most = input.discMm / (2 * Math.SQRT2)
  if (input.heightMm > most)
    return {
      fault: { path: 'heightMm', message: `${input.heightMm} mm was given; a half sphere of this disc is ${most.toFixed(1)} mm high` },
    }
  const courses = sinkCourses({ ...input, alloy: alloyWith(id, figures), strain: boughtStrain(bought) })
  return { body: { kind: 'sink', courses, confidence: { value: 'low', source: 'dap-fit' } } }
}

const raiseInput = z.strictObject({
  kind: z.literal('raise'),
  ...disc,
  baseMm: lengthMm({ label: 'Base', min: 0, max: 900 }).default(0),
  rimMm: lengthMm({ label: 'Rim', min: 2, max: 1000 }),
  closesFraction: z.number().min(0.01).max(0.2).default(0.08),
})

function runRaise({ alloy: id, bought, figures, ...input }: z.output<typeof raiseInput>): Ran {
  if (input.rimMm >= input.discMm)
    return { fault: { path: 'rimMm', message: `${input.rimMm} mm was given; allowed: less than the disc, ${input.discMm} mm` } }
  if (input.baseMm >= input.discMm)
    return { fault: { path: 'baseMm', message: `${input.baseMm} mm was given; allowed: less than the disc, ${input.discMm} mm` } }
  const courses = raiseCourses({ ...input, alloy: alloyWith(id, figures), strain: boughtStrain(bought) })
  return { body: { kind: 'raise', courses, confidence: { value: 'low', source: 'bench-practice' } } }
}

const hammerInput = z.strictObject({
  kind: z.literal('hammer'),
  figures: ownFiguresField(),
  insideDiameterMm: lengthMm({ label: 'Inside diameter', min: 5, max: 300 }),
  thicknessMm: thick,
  hammeredToMm: thick,
  widthMm: lengthMm({ label: 'Width', min: 0.5, max: 100 }),
  spreadRatio: z.number().min(0).max(1).optional(),
})

/** A closed band as it is, hammered down: the inside diameter it grows to. */
function runHammer({ figures, spreadRatio: given, ...ring }: z.output<typeof hammerInput>): Ran {
  const { insideDiameterMm, thicknessMm, hammeredToMm, widthMm } = ring
  if (hammeredToMm > thicknessMm)
    return { fault: { path: 'hammeredToMm', message: `${hammeredToMm} mm was given; allowed: ${thicknessMm} mm at the most` } }
  const spreadRatio = given ?? figureOf('hammer-spread', figures)
  const wideMm = hammeredWidthMm({ ...ring, spreadRatio })
  const grownMm = ((insideDiameterMm + thicknessMm) * thicknessMm * widthMm) / (hammeredToMm * wideMm) - hammeredToMm
  return {
    body: {
      kind: 'hammer',
      insideDiameterMm: grownMm,
      growthMm: grownMm - insideDiameterMm,
      /** What a band that is to end at the given diameter is made smaller by. */
      makeSmallerMm: hammerGrowthMm({ ...ring, spreadRatio }),
      widthMm: wideMm,
      strain: equivalentStrain(Math.log(hammeredToMm / thicknessMm), Math.log(wideMm / widthMm)),
      confidence: { value: 'low', source: 'closed-form' },
    },
  }
}

export const sink = kindOf(sinkInput, runSink)
export const raise = kindOf(raiseInput, runRaise)
export const hammer = kindOf(hammerInput, runHammer)
