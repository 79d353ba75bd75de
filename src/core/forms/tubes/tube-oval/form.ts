import * as z from 'zod'
import { ellipseOutline, rectangleOutline, setOffMm } from '../../../geometry/outline'
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
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const LENGTH_TEXTS = {
  'round-first': {
    title: 'Round the outside, less π·t',
    why: 'The outside as it is measured, less what the wall takes: exact for any oval.',
  },
  'middle-ellipse': { title: 'Ellipse of the middle', why: 'An ellipse through the middle of the wall; no real difference in thin metal.' },
} as const
type School = keyof typeof LENGTH_TEXTS

const input = () =>
  z
    .strictObject({
      outsideLongMm: lengthMm({ label: 'Outside length', min: 2, max: 200 }),
      outsideShortMm: lengthMm({ label: 'Outside width', min: 1.5, max: 200 }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness('Wall'),
      lengthMm: lengthMm({ label: 'Length of the tube', min: 0.5, max: 400 }).default(20),
      jointAllowanceMm: lengthMm({ label: 'Joint and filing', min: 0, max: 5 }).default(0),
      ...closingFields(0.1),
      schools: schoolsField({ length: ['round-first', 'middle-ellipse'] }),
    })
    .refine((value) => value.outsideShortMm <= value.outsideLongMm, {
      path: ['outsideShortMm'],
      error: 'Outside width: it is more than the length; swap them',
    })
    .refine((value) => value.outsideShortMm > 2.2 * value.thicknessMm, {
      path: ['thicknessMm'],
      error: 'Wall: it leaves no bore; a little under half the width at most',
    })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, { outsideLongMm, outsideShortMm, thicknessMm }: Input, school: School): number {
  const middle = school === 'middle-ellipse'
  const less = middle ? thicknessMm : 0
  const label = middle ? LENGTH_TEXTS[school].title : 'Round the outside'
  const round = roundOvalMm(log, label, outsideLongMm - less, outsideShortMm - less)
  if (middle) return round
  return derive(log, {
    label: LENGTH_TEXTS[school].title,
    formula: 'P − π·t',
    unit: 'mm',
    source: 'parallel-curve',
    given: [given('P', 'round the outside', round), given('t', 'wall', thicknessMm)],
  })
}

/** What the checks weigh. */
interface Weighed {
  readonly roundMm: number
  readonly tightest: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { roundMm, tightest }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'tight-ends',
      ok: tightest >= 0.5 * input.thicknessMm,
      level: 'warn',
      field: 'outsideShortMm',
      source: 'bench-practice',
      actual: tightest,
      limit: input.thicknessMm / 2,
      good: 'The tight ends are round enough for soft metal.',
      bad: 'The tight ends are sharper than half the wall inside: it creases there. Press it over an oval former, annealed.',
    }),
    {
      level: 'note',
      code: 'solder-round-first',
      source: 'bench-practice',
      message: `Solder it as a round tube of ${formatPlain(roundMm, 2)} mm outside, seam on what becomes a long side, then press it oval.`,
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut width', lengthOf(log, input, input.schools.length), jointOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('outsideLongMm', 'Outside length', input.outsideLongMm, 0.3)

function planOvalTube(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.length
  const calculatedMm = lengthOf([], input, school)
  const answer = answerFor(log, input)
  const roundMm = derive(log, {
    label: 'Round tube it is pressed from, outside',
    formula: 'L/π + t',
    unit: 'mm',
    source: 'closed-form',
    given: [given('L', 'strip', calculatedMm), given('t', 'wall', input.thicknessMm)],
  })
  const [a, b] = [input.outsideLongMm / 2, input.outsideShortMm / 2]
  const outer = ellipseOutline(a, b)
  const tightest = b ** 2 / a - input.thicknessMm
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'tube', outline: rectangleOutline(answer.markAt, input.lengthMm) })],
    results: { roundOutsideMm: { value: roundMm, unit: 'mm' }, tightestInsideRadiusMm: { value: Math.max(0, tightest), unit: 'mm' } },
    choice: schoolChoice('length', 'Calculation', school, LENGTH_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, { roundMm, tightest }),
    views: [
      view('section', 'Section', {
        shapes: [
          region(outer, [[...setOffMm(outer, -input.thicknessMm)].reverse()]),
          { kind: 'circle', layer: 'centre', centre: [0, 0], radiusMm: roundMm / 2 },
        ],
        dimensions: [
          { from: [-a, -roundMm / 2], to: [a, -roundMm / 2], offset: -1.8, text: `${formatPlain(input.outsideLongMm, 2)} outside` },
          { from: [a, -b], to: [a, b], offset: -1.2, text: formatPlain(input.outsideShortMm, 2) },
        ],
        handles: [
          { field: 'outsideLongMm', label: 'length', at: [a, 0], along: [1, 0], gain: 2 },
          { field: 'outsideShortMm', label: 'width', at: [0, b], along: [0, 1], gain: 2 },
        ],
      }),
      stripView(answer.markAt, input.lengthMm, {
        length: `cut ${formatPlain(answer.markAt, 2)}`,
        width: `${formatPlain(input.lengthMm, 2)} long`,
      }),
    ],
    sizedSteps: bentSteps({
      what: 'the strip',
      cutMm: answer.markAt,
      insideRadiusMm: Math.max(0, roundMm / 2 - input.thicknessMm),
      on: 'the oval former',
      target,
    }),
    regions: ['outside', 'inside'],
    solids: aroundSolid(setOffMm(outer, -input.thicknessMm / 2), stripSection(input.lengthMm, input.thicknessMm)),
    method: 'oval tube from strip',
  })
}

export const tubeOval = defineForm({
  id: 'tube-oval',
  title: 'Oval tube',
  summary: 'A seamed oval tube: the strip to cut, the round tube it is soldered as, and how tight its ends are.',
  input,
  example: { outsideLongMm: 15, outsideShortMm: 9, alloy: 'copper-c110', thicknessMm: '23 ga', lengthMm: 24 },
  ask: { words: ['oval tube', 'oval ferrule'], sizes: ['outsideLongMm', 'outsideShortMm', 'lengthMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['outsideLongMm', 'outsideShortMm'],
  plan: planOvalTube,
})
