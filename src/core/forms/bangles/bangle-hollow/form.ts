import * as z from 'zod'
import { drawClosedBand } from '../../../drawing/closed-band'
import { circleHole, circleOutline, rectangleOutline } from '../../../geometry/outline'
import type { Bench } from '../../../toolwall/tools'
import { bangleDiameterMm, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  bySchool,
  completePlan,
  hazardNotes,
  limitCheck,
  measuringBand,
  region,
  schoolChoice,
  sheetBlank,
  view,
} from '../../common/plan-kit'
import { closedRoute } from '../../common/routes'
import { stripSection } from '../../common/solids'
import type { Check, FormPlan } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const LENGTH_TEXTS = {
  'plus-three': {
    title: 'Inside + 3',
    why: 'The bench rule, three millimetres on the inside and times 3.14; it belongs to strip about 13 by 0.7 mm.',
    formula: '(d + 3)·3.14',
  },
  tube: {
    title: 'Tube by geometry',
    why: 'The strip closes to a tube and is bent on the middle of it; right where the metal keeps its area.',
    formula: 'π·(d + w/π + t)',
  },
  plain: {
    title: 'As a plain band',
    why: 'What a solid band of this thickness would need; the tube takes more, so this one comes out small.',
    formula: 'π·(d + t)',
  },
} as const
type School = keyof typeof LENGTH_TEXTS

const input = () =>
  z.strictObject({
    insideDiameterMm: bangleDiameterMm({ label: 'Inside', min: 35, max: 110, help: 'Inside diameter, or a bangle size such as 2-6.' }),
    alloy: commonFields.alloy(),
    thicknessMm: commonFields.thickness(),
    widthMm: lengthMm({ label: 'Width of the strip', min: 3, max: 60, help: 'Its two edges meet on the inside of the bangle.' }).default(
      13,
    ),
    jointAllowanceMm: lengthMm({ label: 'Joint and filing', min: 0, max: 5 }).default(0),
    ...closingFields(0.5),
    schools: schoolsField({ length: ['plus-three', 'tube', 'plain'] }),
  })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input, school: School): number {
  const all = [
    given('d', 'inside diameter', input.insideDiameterMm),
    given('w', 'width of the strip', input.widthMm),
    given('t', 'thickness', input.thicknessMm),
  ]
  return bySchool(log, LENGTH_TEXTS[school], school === 'plus-three' ? 'bench-practice' : 'pappus', all)
}

/** What the checks weigh. */
interface Weighed {
  readonly predictedMm: number
  readonly tubeOutsideMm: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { predictedMm, tubeOutsideMm }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'rule-fits-strip',
      ok: input.schools.length !== 'plus-three' || (Math.abs(input.widthMm - 13) <= 2 && Math.abs(input.thicknessMm - 0.7) <= 0.2),
      level: 'warn',
      field: 'widthMm',
      source: 'bench-practice',
      actual: input.widthMm,
      limit: 13,
      good: `The tube comes out ${formatPlain(tubeOutsideMm, 2)} mm outside.`,
      bad: `The + 3 rule belongs to strip about 13 by 0.7 mm; this strip gives an inside near ${formatPlain(predictedMm, 1)} mm by geometry.`,
    }),
    {
      level: 'note',
      code: 'anneal-twice',
      source: 'bench-practice',
      message: 'Anneal before curling and again before closing; mark and stamp the inside face while it is flat.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function planHollow(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const tubeOutsideMm = derive(log, {
    label: 'Outside of the tube',
    formula: 'w/π + t',
    unit: 'mm',
    source: 'closed-form',
    given: [given('w', 'width of the strip', input.widthMm), given('t', 'thickness', input.thicknessMm)],
  })
  const reckonedMm = lengthOf(log, input, input.schools.length)
  const predictedMm = derive(log, {
    label: 'Inside that this length gives, by geometry',
    formula: 'L/π − o',
    unit: 'mm',
    source: 'pappus',
    given: [given('L', 'length', reckonedMm), given('o', 'outside of the tube', tubeOutsideMm)],
    note: 'Before the hammer stretches it: your record carries that.',
  })
  const answer = answerOf(log, input, 'cut length', reckonedMm, [
    { symbol: 'j', name: 'joint and filing', valueMm: input.jointAllowanceMm },
  ])
  const target = { dimension: 'insideDiameterMm', label: 'Inside diameter', valueMm: input.insideDiameterMm, plusMinusMm: 0.5 }
  const tube = tubeOutsideMm / 2
  const section = drawClosedBand({
    insideDiameterMm: input.insideDiameterMm,
    thicknessMm: tubeOutsideMm,
    widthMm: input.widthMm,
    cutMm: answer.markAt,
    lengthMm: Math.min(reckonedMm, answer.markAt),
    wire: false,
  }).views
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'strip', outline: rectangleOutline(answer.markAt, input.widthMm) })],
    results: {
      lengthMm: { value: reckonedMm, unit: 'mm' },
      tubeMiddleMm: { value: input.widthMm / Math.PI, unit: 'mm' },
      tubeOutsideMm: { value: tubeOutsideMm, unit: 'mm' },
      predictedInsideMm: { value: predictedMm, unit: 'mm' },
      outsideDiameterMm: { value: input.insideDiameterMm + 2 * tubeOutsideMm, unit: 'mm' },
    },
    choice: schoolChoice('length', 'How the length is reckoned', input.schools.length, LENGTH_TEXTS, (id) => lengthOf([], input, id)),
    sensitivity: [
      { input: 'cut length', change: '± 1 mm', effect: `± ${formatPlain(1 / Math.PI, 2)} mm inside` },
      {
        input: 'width of the strip',
        change: '+ 1 mm',
        effect: `${formatPlain(1 / Math.PI, 2)} mm more tube, so the inside closes by as much`,
      },
    ],
    checks: checksOf(input, { predictedMm, tubeOutsideMm }),
    uncertainty: measuringBand(input.measuredWith, Math.PI, Math.PI),
    views: [
      section[0] ?? view('section', 'Section', {}),
      view('tube', 'Tube', {
        shapes: [region(circleOutline(tube), [circleHole(Math.max(0.01, tube - input.thicknessMm))])],
        dimensions: [{ from: [-tube, -tube], to: [tube, -tube], offset: -1.4, text: `${formatPlain(tubeOutsideMm, 2)} outside` }],
      }),
      section[1] ?? view('blank', 'Blank', {}),
    ],
    route: [
      ...closedRoute({
        what: 'the strip',
        cutMm: answer.markAt,
        insideRadiusMm: input.insideDiameterMm / 2,
        on: 'the bangle mandrel',
        target,
      }),
    ],
    regions: ['outside', 'inside'],
    solids: [
      {
        solid: {
          kind: 'swept',
          bends: [{ radiusMm: (input.insideDiameterMm + tubeOutsideMm) / 2, turnRad: 2 * Math.PI }],
          section: stripSection(input.widthMm, input.thicknessMm),
          curlRad: 1.96 * Math.PI,
        },
        at: [0, 0, 0],
      },
    ],
    learns: { target, blankPerMm: Math.PI },
    method: `hollow from strip, ${LENGTH_TEXTS[input.schools.length].title.toLowerCase()}`,
  })
}

export const bangleHollow = defineForm({
  id: 'bangle-hollow',
  title: 'Hollow bangle',
  summary: 'A bangle whose narrow strip is curled to a tube and bent round: how long to cut, by rule and by geometry.',
  input,
  example: { insideDiameterMm: 'bangle 2-7', alloy: 'red-brass-c230', thicknessMm: 0.75, widthMm: 12 },
  ask: { words: ['hollow bangle'], sizes: ['insideDiameterMm', 'widthMm'] },
  plan: planHollow,
})
