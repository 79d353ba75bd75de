import * as z from 'zod'
import { answerBend } from '../../forming/bend-answer'
import { boughtStrain } from '../../metals/tempers'
import { alloyWith } from '../../tables/own-metal'
import { lengthMm } from '../../units/fields'
import { kindOf, metal, type Ran, thick } from './kind'

const bendInput = z.strictObject({
  kind: z.literal('bend'),
  ...metal,
  radiusMm: lengthMm({ label: 'Radius', min: 0.5, max: 1000 }),
  thicknessMm: thick,
  widthMm: lengthMm({ label: 'Width', min: 0.2, max: 1000 }),
})

function runBend({ alloy: id, bought, figures, radiusMm, thicknessMm: t, widthMm }: z.output<typeof bendInput>): Ran {
  if (radiusMm <= t / 2)
    return {
      fault: { path: 'radiusMm', message: `${radiusMm} mm was given; the middle of ${t} mm metal lies at ${t / 2} mm at the least` },
    }
  const bent = answerBend(alloyWith(id, figures), { radiusMm, thicknessMm: t, widthMm, strain: boughtStrain(bought) })
  return { body: { kind: 'bend', ...bent, confidence: { value: 'low', source: 'springback' } } }
}

const coilInput = z.strictObject({
  kind: z.literal('coil'),
  ...metal,
  wireMm: lengthMm({ label: 'Wire', min: 0.1, max: 8 }),
  rodMm: lengthMm({ label: 'Rod', min: 0.5, max: 200 }),
})

/** Inside diameter of a ring of wire by the radius of its middle. */
const insideMm = (radiusMm: number | null, wireMm: number) => (radiusMm === null ? null : 2 * radiusMm - wireMm)

function runCoil({ alloy: id, bought, figures, wireMm, rodMm }: z.output<typeof coilInput>): Ran {
  const wire = {
    radiusMm: (rodMm + wireMm) / 2,
    thicknessMm: wireMm,
    widthMm: wireMm,
    strain: boughtStrain(bought),
    section: 'round',
  } as const
  const { sprungRadiusMm, between, formerRadiusMm, smallestInsideMm, ...bent } = answerBend(alloyWith(id, figures), wire)
  return {
    body: {
      kind: 'coil',
      insideMm: insideMm(sprungRadiusMm, wireMm),
      between: { leastMm: insideMm(between.leastMm, wireMm), mostMm: insideMm(between.mostMm, wireMm) },
      /** The rod on which it springs to the inside diameter of this one. */
      rodForInsideMm: insideMm(formerRadiusMm, wireMm),
      smallestRodMm: smallestInsideMm === null ? null : 2 * smallestInsideMm,
      ...bent,
      confidence: { value: 'low', source: 'springback' },
    },
  }
}

export const bend = kindOf(bendInput, runBend)
export const coil = kindOf(coilInput, runCoil)
