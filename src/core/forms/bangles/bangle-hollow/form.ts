import * as z from 'zod'
import { drawClosedBand } from '../../../drawing/closed-band'
import { circleHole, circleOutline, rectangleOutline } from '../../../geometry/outline'
import { objectOfFields } from '../../../sizes/read-fields'
import type { Bench } from '../../../toolwall/tools'
import { bangleDiameterMm, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  bySchool,
  completePlan,
  hazardNotes,
  jointOf,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  targetOf,
  view,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { stripSection } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec, SchoolChoice } from '../../contract'
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
    schools: schoolsField({ length: ['tube', 'plus-three', 'plain'] }),
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
      ok: input.schools.length !== 'plus-three' || isRuleStrip(input),
      level: 'stop',
      field: 'widthMm',
      source: 'bench-practice',
      actual: input.widthMm,
      limit: 13,
      good: `The tube comes out ${formatPlain(tubeOutsideMm, 2)} mm outside.`,
      bad: 'The + 3 rule belongs to strip about 13 by 0.7 mm, and says nothing of this one: calculate the tube by geometry.',
    }),
    limitCheck({
      code: 'bore-as-asked',
      ok: Math.abs(predictedMm - input.insideDiameterMm) <= 0.5,
      level: 'warn',
      field: 'insideDiameterMm',
      source: 'pappus',
      actual: predictedMm,
      limit: input.insideDiameterMm,
      good: `It comes out ${formatPlain(predictedMm, 2)} mm inside.`,
      bad: `This way of calculating gives ${formatPlain(predictedMm, 2)} mm inside where ${formatPlain(input.insideDiameterMm, 2)} is asked; what the hammer stretches is in your record.`,
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

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.length), jointOf(input))
}

/** Outside of the tube that the strip curls to. */
const tubeOf = (log: WorkingLog, { widthMm, thicknessMm }: Input) =>
  derive(log, {
    label: 'Outside of the tube',
    formula: 'w/π + t',
    unit: 'mm',
    source: 'closed-form',
    given: [given('w', 'width of the strip', widthMm), given('t', 'thickness', thicknessMm)],
  })

/** The inside that the chosen length gives, the metal keeping its area: the one prediction for drawing, bench and record. */
const insideOf = (log: WorkingLog, input: Input) =>
  derive(log, {
    label: 'Inside that this length gives',
    formula: 'L/π − o',
    unit: 'mm',
    source: 'pappus',
    given: [given('L', 'length', lengthOf([], input, input.schools.length)), given('o', 'outside of the tube', tubeOf([], input))],
    note: 'Before the hammer stretches it: your record carries that.',
  })

const outcomeOf = (input: Input): OutcomeSpec => asked('insideDiameterMm', 'Inside diameter', insideOf([], input), 0.5, 1 / Math.PI)

/** Its bore, and how thick its tube comes out: that is the strip's width, and no length moves it. */
const outcomesOf = (input: Input): readonly OutcomeSpec[] => [
  outcomeOf(input),
  asked('tubeOutsideMm', 'Outside of the tube', tubeOf([], input), 0.2, 0),
]

/** The strip that the + 3 rule was found on, near enough. */
const isRuleStrip = ({ widthMm, thicknessMm }: Input) => Math.abs(widthMm - 13) <= 2 && Math.abs(thicknessMm - 0.7) <= 0.2

/** The ways to calculate it: the + 3 rule only near its own strip, or where it was chosen before. */
function lengthChoice(input: Input): SchoolChoice {
  const choice = schoolChoice('length', 'Calculation', input.schools.length, LENGTH_TEXTS, (id) => lengthOf([], input, id))
  const boreOf = (id: School) => insideOf([], { ...input, schools: { length: id } })
  return {
    ...choice,
    schools: choice.schools
      .filter(({ id }) => id !== 'plus-three' || isRuleStrip(input) || input.schools.length === 'plus-three')
      .map((school) => ({ ...school, why: `${school.why} Gives ${formatPlain(boreOf(school.id as School), 2)} mm inside.` })),
  }
}

const CURLS = ['curl-edge', 'close-tube'] as const

function planHollow(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const tubeOutsideMm = tubeOf(log, input)
  const calculatedMm = lengthOf([], input, input.schools.length)
  const answer = answerFor(log, input)
  const predictedMm = insideOf(log, input)
  const target = targetOf(outcomeOf(input))
  const tube = tubeOutsideMm / 2
  const section = drawClosedBand({
    insideDiameterMm: predictedMm,
    thicknessMm: tubeOutsideMm,
    widthMm: input.widthMm,
    cutMm: answer.markAt,
    lengthMm: Math.min(calculatedMm, answer.markAt),
    wire: false,
  }).views
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'strip', outline: rectangleOutline(answer.markAt, input.widthMm) })],
    results: {
      lengthMm: { value: calculatedMm, unit: 'mm' },
      tubeMiddleMm: { value: input.widthMm / Math.PI, unit: 'mm' },
      tubeOutsideMm: { value: tubeOutsideMm, unit: 'mm' },
      predictedInsideMm: { value: predictedMm, unit: 'mm' },
      outsideDiameterMm: { value: predictedMm + 2 * tubeOutsideMm, unit: 'mm' },
    },
    choice: lengthChoice(input),
    checks: checksOf(input, { predictedMm, tubeOutsideMm }),
    views: [
      section[0] ?? view('section', 'Section', {}),
      view('tube', 'Tube', {
        shapes: [region(circleOutline(tube), [circleHole(Math.max(0.01, tube - input.thicknessMm))])],
        dimensions: [{ from: [-tube, -tube], to: [tube, -tube], offset: -1.4, text: `${formatPlain(tubeOutsideMm, 2)} outside` }],
      }),
      section[1] ?? view('blank', 'Blank', {}),
    ],
    sizedSteps: [
      ...CURLS.map((op) => ({ op, params: { stripMm: input.widthMm, insideMm: answer.markAt / Math.PI - input.thicknessMm } })),
      ...bentSteps({
        what: 'the strip',
        cutMm: answer.markAt,
        insideRadiusMm: predictedMm / 2,
        on: 'the bangle mandrel',
        target,
      }),
    ],
    regions: ['waist', 'quarter', 'edge'],
    solids: [
      {
        solid: {
          kind: 'swept',
          bends: [{ radiusMm: (predictedMm + tubeOutsideMm) / 2, turnRad: 2 * Math.PI }],
          section: stripSection(input.widthMm, input.thicknessMm),
          curlRad: 1.96 * Math.PI,
        },
        at: [0, 0, 0],
      },
    ],
    method: `hollow from strip, ${LENGTH_TEXTS[input.schools.length].title.toLowerCase()}`,
  })
}

export const bangleHollow = defineForm({
  id: 'bangle-hollow',
  // the first version calculated by the + 3 rule where nothing was chosen
  upgrades: [(input) => ({ ...input, schools: { length: 'plus-three', ...objectOfFields(input.schools) } })],
  title: 'Hollow bangle',
  summary: 'A bangle whose narrow strip is curled to a tube and bent round: how long to cut, by rule and by geometry.',
  input,
  example: { insideDiameterMm: 'bangle 2-7', alloy: 'red-brass-c230', thicknessMm: 0.75, widthMm: 12 },
  ask: { words: ['hollow bangle'], sizes: ['insideDiameterMm', 'widthMm'] },
  answer: answerFor,
  outcomes: outcomesOf,
  measured: ['insideDiameterMm', 'widthMm'],
  plan: planHollow,
})
