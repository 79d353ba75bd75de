import * as z from 'zod'
import { lengthMm } from '../../../units/fields'
import { BLANK_SCHOOLS, domeSpread } from '../../common/dome-blank'
import { commonFields, type OutputOf } from '../../common/fields'
import { planTwoShells, type ShellSize, shellsAnswer, shellsOutcomes } from '../../common/two-shells'
import { defineForm, schoolsField } from '../../define-form'

const input = () =>
  z
    .strictObject({
      acrossMm: lengthMm({ label: 'Lentil diameter', min: 3, max: 300 }),
      overMm: lengthMm({ label: 'Over both crowns', min: 0.5, max: 280, help: 'How thick the lentil is in its middle.' }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      holeMm: lengthMm({ label: 'Air hole', min: 0, max: 20, help: 'Before soldering: never close a hollow.' }).default(0.8),
      trimMm: lengthMm({ label: 'Trim on the diameter', min: 0, max: 20, help: 'Sanded off until the halves meet.' }).default(0.6),
      roundUpMm: commonFields.roundUp(0.1),
      allowanceMm: commonFields.allowance(),
      qty: commonFields.qty(),
      schools: schoolsField({ blank: BLANK_SCHOOLS }),
    })
    .refine((value) => value.overMm <= value.acrossMm, {
      path: ['overMm'],
      error: 'Over both crowns: a lentil is flatter than it is wide; as much as it is across, and it is a bead',
    })
    .refine((value) => value.overMm > 2.5 * value.thicknessMm, {
      path: ['thicknessMm'],
      error: 'Thickness: it leaves no hollow inside; two and a half times it must be less than over both crowns',
    })

const sizeOf = (value: OutputOf<typeof input>): ShellSize => ({
  acrossMm: value.acrossMm,
  overMm: value.overMm,
  field: 'acrossMm',
  label: 'Lentil diameter',
})

export const lentil = defineForm({
  id: 'lentil',
  title: 'Lentil',
  summary: 'Two shallow domes soldered rim to rim: the disc for each, the punches, the hole it needs.',
  input,
  example: { acrossMm: 21, overMm: 8, alloy: 'sterling-925', thicknessMm: '24 ga' },
  ask: { words: ['lentil', 'lentil bead'], sizes: ['acrossMm', 'overMm'] },
  answer: (log, value) => shellsAnswer(log, value, sizeOf(value)),
  outcomes: (value, bench) => shellsOutcomes(value, sizeOf(value), bench),
  measured: ['acrossMm', 'overMm'],
  spread: domeSpread,
  plan: (value, bench) => planTwoShells([], value, bench, sizeOf(value)),
})
