import * as z from 'zod'
import { fineBulge } from '../../forming/bulge/bulge'
import { atPole } from '../../forming/dapping/sheet'
import { hardeningOf } from '../../forming/hardening'
import { strainLimit } from '../../forming/work-used'
import { boughtStrain } from '../../metals/tempers'
import { alloyWith } from '../../tables/own-metal'
import { lengthMm } from '../../units/fields'
import { kindOf, metal, type Ran, thick } from './kind'

const input = z.strictObject({
  kind: z.literal('bulge'),
  ...metal,
  radiusMm: lengthMm({ label: 'Radius', min: 1, max: 500 }),
  thicknessMm: thick,
  heightMm: lengthMm({ label: 'Height', min: 0.1, max: 500 }),
  rings: z.int().min(10).max(80).default(40),
})

function run({ alloy: id, bought, figures, radiusMm, thicknessMm: t, heightMm, rings }: z.output<typeof input>): Ran {
  if (heightMm > radiusMm)
    return {
      fault: {
        path: 'heightMm',
        message: `${heightMm} mm was given; a held sheet of ${radiusMm} mm radius rises by its radius at the most`,
      },
    }
  const alloy = alloyWith(id, figures)
  const strain = boughtStrain(bought)
  const found = fineBulge({ radiusMm, hardening: hardeningOf(alloy), strain, heightFraction: heightMm / radiusMm, rings })
  const strains = found.rings.map((ring) => -(ring.alongStrain + ring.roundStrain))
  const most = found.pressures.reduce((top, one) => (one.pressureMPa > top.pressureMPa ? one : top), { heightFraction: 0, pressureMPa: 0 })
  return {
    body: {
      kind: 'bulge',
      outcome: found.outcome,
      heightMm: found.heightFraction * radiusMm,
      poleStrain: -found.poleThinningStrain,
      poleThicknessMm: t * Math.exp(-found.poleThinningStrain),
      pressureMPa: (found.pressureMPa * t) / radiusMm,
      mostPressure: { heightMm: most.heightFraction * radiusMm, pressureMPa: (most.pressureMPa * t) / radiusMm },
      workUsedFraction: atPole(found.rings.map((ring) => ring.strain)) / strainLimit(alloy),
      profile: found.radiiMm.map((rMm, i) => ({
        rMm,
        zMm: found.heightsMm[i] ?? 0,
        thicknessMm: t * Math.exp(strains[Math.min(i, strains.length - 1)] ?? 0),
      })),
      confidence: { value: 'medium', source: 'clamped-bulge' },
    },
  }
}

export const bulge = kindOf(input, run)
