import * as z from 'zod'
import { lengthMm } from '../../../units/fields'
import { BLANK_SCHOOLS, domeSpread } from '../../common/dome-blank'
import { commonFields, type OutputOf } from '../../common/fields'
import { planTwoShells, type ShellSize, shellsAnswer, shellsOutcomes } from '../../common/two-shells'
import { defineForm, schoolsField } from '../../define-form'

const input = () =>
  z
    .strictObject({
      outsideMm: lengthMm({ label: 'Bead outside diameter', min: 2, max: 200 }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      holeMm: lengthMm({ label: 'Hole', min: 0, max: 20, help: 'Through both poles; 0 for one air hole only.' }).default(1),
      trimMm: lengthMm({ label: 'Trim on the diameter', min: 0, max: 20, help: 'Sanded off until the halves meet.' }).default(0.6),
      roundUpMm: commonFields.roundUp(0.1),
      allowanceMm: commonFields.allowance(),
      qty: commonFields.qty(),
      schools: schoolsField({ blank: BLANK_SCHOOLS }),
    })
    .refine((value) => value.outsideMm > 3 * value.thicknessMm, {
      path: ['thicknessMm'],
      error: 'Thickness: it leaves no room inside the bead; it can be a third of the outside at most',
    })
    .refine((value) => value.holeMm < value.outsideMm / 2, { path: ['holeMm'], error: 'Hole: it must be smaller than half the bead' })

const sizeOf = (value: OutputOf<typeof input>): ShellSize => ({
  acrossMm: value.outsideMm,
  overMm: value.outsideMm,
  field: 'outsideMm',
  label: 'Bead outside diameter',
})

export const bead = defineForm({
  id: 'bead',
  title: 'Hollow bead',
  summary: 'A bead of two half spheres: the disc for each half, the punches, the hole it needs.',
  input,
  example: { outsideMm: 13, alloy: 'sterling-925', thicknessMm: '23 ga', holeMm: 1.2 },
  ask: { words: ['bead'], sizes: ['outsideMm'] },
  answer: (log, value) => shellsAnswer(log, value, sizeOf(value)),
  outcomes: (value, bench) => shellsOutcomes(value, sizeOf(value), bench),
  measured: ['outsideMm'],
  spread: domeSpread,
  plan: (value, bench) => planTwoShells([], value, bench, sizeOf(value)),
})
