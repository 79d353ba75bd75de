import * as z from 'zod'
import { ellipseOutline, setOffMm } from '../../../geometry/outline'
import { ellipsePerimeterMm } from '../../../tables/stones/stones'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { roundOvalMm } from '../../common/oval'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  jointOf,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  stripView,
  targetOf,
  view,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { aroundSolid, stripSection } from '../../common/solids'
import type { Answer, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const LENGTH_TEXTS = {
  parallel: {
    title: 'Round the inside, and π·t',
    why: 'A curve set off by half the thickness round a convex outline is longer by π times the thickness: exact.',
  },
  'middle-ellipse': {
    title: 'Ellipse of the middle',
    why: 'An ellipse through the middle of the metal; a hundredth of a millimetre shorter, and no real difference.',
  },
} as const
type School = keyof typeof LENGTH_TEXTS

const input = () =>
  z.strictObject({
    insideLengthMm: lengthMm({ label: 'Inside length', min: 35, max: 120 }),
    insideWidthMm: lengthMm({ label: 'Inside width', min: 25, max: 120 }),
    alloy: commonFields.alloy(),
    thicknessMm: commonFields.thickness(),
    widthMm: lengthMm({ label: 'Width', min: 1, max: 60 }).default(8),
    jointAllowanceMm: lengthMm({ label: 'Joint and filing', min: 0, max: 5 }).default(0),
    ...closingFields(0.5),
    schools: schoolsField({ length: ['parallel', 'middle-ellipse'] }),
  })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, { insideLengthMm, insideWidthMm, thicknessMm }: Input, school: School): number {
  if (school === 'middle-ellipse')
    return roundOvalMm(log, LENGTH_TEXTS[school].title, insideLengthMm + thicknessMm, insideWidthMm + thicknessMm)
  const round = roundOvalMm(log, 'Round the inside', insideLengthMm, insideWidthMm)
  return derive(log, {
    label: LENGTH_TEXTS[school].title,
    formula: 'P + π·t',
    unit: 'mm',
    source: 'parallel-curve',
    given: [given('P', 'round the inside', round), given('t', 'thickness', thicknessMm)],
  })
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.length), jointOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('insideLengthMm', 'Inside length', input.insideLengthMm, 0.5)

function planOval(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const calculatedMm = lengthOf([], input, input.schools.length)
  const answer = answerFor(log, input)
  const [a, b] = [input.insideLengthMm / 2, input.insideWidthMm / 2]
  const target = targetOf(outcomeOf(input))
  const outline = [
    [0, 0],
    [answer.markAt, 0],
    [answer.markAt, input.widthMm],
    [0, input.widthMm],
  ] as const
  const tightest = Math.min(a, b) ** 2 / Math.max(a, b)
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'strip', outline })],
    results: {
      lengthMm: { value: calculatedMm, unit: 'mm' },
      insidePerimeterMm: { value: ellipsePerimeterMm(input.insideLengthMm, input.insideWidthMm), unit: 'mm' },
      roundInsideMm: { value: calculatedMm / Math.PI - input.thicknessMm, unit: 'mm' },
      tightestInsideRadiusMm: { value: tightest, unit: 'mm' },
    },
    choice: schoolChoice('length', 'Calculation', input.schools.length, LENGTH_TEXTS, (id) => lengthOf([], input, id)),
    checks: [
      limitCheck({
        code: 'solder-round-first',
        ok: false,
        level: 'note',
        source: 'bench-practice',
        actual: calculatedMm / Math.PI - input.thicknessMm,
        limit: input.insideLengthMm,
        good: '',
        bad: `Solder it round first, ${formatPlain(calculatedMm / Math.PI - input.thicknessMm, 1)} mm inside, then press it oval with the seam on a long side.`,
      }),
      ...hazardNotes(input.alloy),
    ],
    views: [
      view('section', 'Section', {
        shapes: [region(setOffMm(ellipseOutline(a, b), input.thicknessMm), [[...ellipseOutline(a, b)].reverse()])],
        dimensions: [
          { from: [-a, 0], to: [a, 0], offset: 0, text: `${formatPlain(input.insideLengthMm, 2)} inside` },
          { from: [a + input.thicknessMm, -b], to: [a + input.thicknessMm, b], offset: -1.2, text: formatPlain(input.insideWidthMm, 2) },
        ],
        handles: [
          { field: 'insideLengthMm', label: 'length', at: [a, 0], along: [1, 0], gain: 2 },
          { field: 'insideWidthMm', label: 'width', at: [0, b], along: [0, 1], gain: 2 },
        ],
      }),
      stripView(answer.markAt, input.widthMm, {
        length: `cut ${formatPlain(answer.markAt, 2)}`,
        width: `${formatPlain(input.widthMm, 2)} wide`,
      }),
    ],
    sizedSteps: bentSteps({
      what: 'the strip',
      cutMm: answer.markAt,
      insideRadiusMm: Math.max(1, tightest),
      on: 'the oval mandrel',
      target,
    }),
    regions: ['outside', 'inside'],
    solids: aroundSolid(setOffMm(ellipseOutline(a, b), input.thicknessMm / 2), stripSection(input.widthMm, input.thicknessMm)),
    method: 'oval from strip',
  })
}

export const bangleOval = defineForm({
  id: 'bangle-oval',
  title: 'Oval bangle',
  summary: 'A closed oval bangle of flat strip: how long to cut, and the round it is soldered at.',
  input,
  example: { insideLengthMm: 64, insideWidthMm: 53, alloy: 'yellow-brass-c260', thicknessMm: '15 ga', widthMm: 7 },
  ask: { words: ['oval bangle'], sizes: ['insideLengthMm', 'insideWidthMm', 'widthMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['insideLengthMm', 'insideWidthMm'],
  plan: planOval,
})
