import * as z from 'zod'
import { type CurledFibre, curledBand, curlUsed } from '../../forming/anticlastic'
import { stripToTube } from '../../forming/schedules'
import { lightOf, strainLimit } from '../../forming/work-used'
import { boughtStrain } from '../../metals/tempers'
import { alloyWith } from '../../tables/own-metal'
import { lengthMm } from '../../units/fields'
import { DEG, kindOf, metal, type Ran, thick } from './kind'

const tubeInput = z.strictObject({
  kind: z.literal('strip-to-tube'),
  widthMm: lengthMm({ label: 'Width', min: 1, max: 200 }),
  thicknessMm: thick,
  insideDiameterMm: lengthMm({ label: 'Inside diameter', min: 10, max: 200 }),
  stages: z.int().min(1).max(60).default(6),
})

function runTube({ widthMm, thicknessMm: t, insideDiameterMm, stages }: z.output<typeof tubeInput>): Ran {
  const outsideMm = widthMm / Math.PI + t
  if (outsideMm <= 2 * t)
    return {
      fault: {
        path: 'widthMm',
        message: `${widthMm} mm was given; a strip of ${t} mm closes to a tube from ${(Math.PI * t).toFixed(2)} mm on`,
      },
    }
  const turned = stripToTube(widthMm, t, insideDiameterMm, stages)
  return {
    body: { kind: 'strip-to-tube', outsideMm, stages: turned.map(({ turnRad, ...stage }) => ({ ...stage, turnDeg: turnRad * DEG })) },
  }
}

const curlInput = z.strictObject({
  kind: z.literal('anticlastic'),
  ...metal,
  insideDiameterMm: lengthMm({ label: 'Inside diameter', min: 10, max: 300 }),
  widthMm: lengthMm({ label: 'Width', min: 1, max: 200 }),
  thicknessMm: thick,
  curlRadiusMm: lengthMm({ label: 'Curl', min: 0.5, max: 1000 }),
  settling: z.enum(['mean-kept', 'least-work', 'edges-stretched', 'waist-shrunk']).default('mean-kept'),
})

function runCurl({
  alloy: id,
  bought,
  figures,
  insideDiameterMm,
  widthMm,
  thicknessMm: t,
  curlRadiusMm,
  settling,
}: z.output<typeof curlInput>): Ran {
  const turnRad = widthMm / curlRadiusMm
  if (turnRad > 2 * Math.PI + 1e-9)
    return {
      fault: {
        path: 'curlRadiusMm',
        message: `${curlRadiusMm} mm was given; ${widthMm} mm of width closes to a tube at ${(widthMm / 2 / Math.PI).toFixed(2)} mm`,
      },
    }
  const alloy = alloyWith(id, figures)
  const ringRadiusMm = (insideDiameterMm + t) / 2
  const curled = curledBand(alloy, { ringRadiusMm, widthMm, thicknessMm: t, turnRad }, settling)
  if (curled.waistInMm >= ringRadiusMm - t / 2)
    return { fault: { path: 'insideDiameterMm', message: `${insideDiameterMm} mm was given; so wide a curl leaves no opening in it` } }
  const before = boughtStrain(bought) / strainLimit(alloy)
  const shown = (place: 'waist' | 'quarter' | 'edge', fibre: CurledFibre) => {
    const workUsedFraction = before + curlUsed(alloy, fibre, place)
    return { ...fibre, workUsedFraction, light: lightOf(workUsedFraction) }
  }
  const insideOf = (way: typeof settling) =>
    insideDiameterMm - 2 * curledBand(alloy, { ringRadiusMm, widthMm, thicknessMm: t, turnRad }, way).waistInMm
  return {
    body: {
      kind: 'anticlastic',
      ...curled,
      waist: shown('waist', curled.waist),
      quarter: shown('quarter', curled.quarter),
      edge: shown('edge', curled.edge),
      insideMm: insideDiameterMm - 2 * curled.waistInMm,
      between: { leastMm: insideOf('waist-shrunk'), mostMm: insideOf('edges-stretched') },
      confidence: { value: 'low', source: 'closed-form' },
    },
  }
}

export const stripToTubeKind = kindOf(tubeInput, runTube)
export const anticlastic = kindOf(curlInput, runCurl)
