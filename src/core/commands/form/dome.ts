import * as z from 'zod'
import { type DapStageResult, fitsPunch, smallestPunchMm } from '../../forming/dapping/dap'
import { dapBands, type StageBands } from '../../forming/dapping/dap-bands'
import { HOLE_FACTOR, lipRisk, notchFactor, openedHoleMm } from '../../forming/dapping/opening'
import { punchesFor, withAnneals } from '../../forming/dapping/plan-dap'
import { lightOf } from '../../forming/work-used'
import { boughtStrain } from '../../metals/tempers'
import { alloyWith } from '../../tables/own-metal'
import { lengthMm } from '../../units/fields'
import { DEG, kindOf, metal, type Ran, thick } from './kind'

const punch = z.number({ error: 'a punch diameter in mm' }).min(1, { error: '1 mm or more' }).max(500, { error: '500 mm or less' })

const input = z.strictObject({
  kind: z.literal('dome'),
  ...metal,
  discMm: lengthMm({ label: 'Disc', min: 2, max: 500 }),
  thicknessMm: thick,
  punchesMm: z.array(punch).min(1, { error: 'one punch at least' }).max(40, { error: '40 punches at most' }),
  /** `as-given` goes through the punches in their order; `sequence` picks those it needs of the ones at hand. */
  want: z.enum(['as-given', 'sequence']).default('as-given'),
  /** A hole in the crown (its diameter) or a notch in from the rim (its depth and the radius at its root), and the metal left beside it. */
  opening: z
    .strictObject({
      kind: z.enum(['hole', 'notch']),
      sizeMm: z.number().min(0.1).max(400),
      rootMm: z.number().min(0.02).max(50).default(0.3),
      bridgeMm: z.number().min(0).max(400),
    })
    .optional(),
  friction: z.number().min(0).max(4).default(0),
  rings: z.int().min(10).max(160).default(40),
})

function shownStage({ sphereRadiusMm, rimAngleRad, ...stage }: DapStageResult, bands: StageBands | undefined) {
  return { ...stage, sphereRadiusMm, rimAngleDeg: rimAngleRad * DEG, bands }
}

/** What the opening has come to at a stage: what its edge has used, what the hole has opened to, whether its lip stands. */
function openingAt(
  { kind, sizeMm, rootMm, bridgeMm }: NonNullable<z.output<typeof input>['opening']>,
  { pole, rim }: DapStageResult,
  t: number,
) {
  const factor = kind === 'notch' ? notchFactor(sizeMm, rootMm) : HOLE_FACTOR
  const workUsedFraction = factor * (kind === 'notch' ? rim : pole).workUsedFraction
  return {
    factor,
    workUsedFraction,
    light: lightOf(workUsedFraction),
    lip: lipRisk({ bridgeMm, thicknessMm: t, rimStrain: rim.strain }),
    ...(kind === 'hole' ? { opensToMm: openedHoleMm(sizeMm, pole.thicknessStrain) } : {}),
  }
}

function run({
  alloy: id,
  bought,
  figures,
  discMm,
  thicknessMm: t,
  punchesMm,
  want,
  opening,
  friction,
  rings,
}: z.output<typeof input>): Ran {
  const small = punchesMm.find((one) => !fitsPunch(discMm, one, t))
  if (small !== undefined)
    return {
      fault: {
        path: 'punchesMm',
        message: `a disc of ${discMm} mm wraps more than half round a punch of ${small} mm; allowed: ${smallestPunchMm(discMm, t).toFixed(1)} mm or more`,
      },
    }
  const picked = want === 'sequence' ? punchesFor({ discMm, thicknessMm: t }, punchesMm) : undefined
  const asked = { alloy: alloyWith(id, figures), discMm, thicknessMm: t, strain: boughtStrain(bought), friction, rings }
  const { stages, annealBefore } = withAnneals(asked, picked?.punchesMm ?? punchesMm)
  const way = stages.map(({ punchMm, annealed }) => ({ punchMm, annealBefore: annealed }))
  const bands = dapBands({ ...asked, stages: way })
  const missing = picked?.missingMm === undefined ? {} : { missingPunchMm: picked.missingMm }
  return {
    body: {
      kind: 'dome',
      ...(picked ? { sequence: picked.outcome, ...missing } : {}),
      annealBefore,
      stages: stages.map((stage, i) => ({ ...shownStage(stage, bands[i]), ...(opening ? { opening: openingAt(opening, stage, t) } : {}) })),
      poleThicknessMm: bands.at(-1)?.poleThicknessMm ?? null,
      confidence: { rim: 'medium', pole: 'low', source: 'dap-fit' },
    },
  }
}

export const dome = kindOf(input, run)
