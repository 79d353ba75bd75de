import * as z from 'zod'
import { holeFillMm } from '../../../tables/rivets/rivets'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { answerOf, asked, bySchool, completePlan, hazardNotes, limitCheck, schoolChoice, targetOf, wireBlank } from '../../common/plan-kit'
import { EDGE_SCHOOLS, edgeCheck, edgeChoice, freeEndCheck, gripOf, passageChecks, stackFields, stackView } from '../../common/rivet-stack'
import { holeSteps } from '../../common/sized-steps'
import { stackSolid } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const FILL_TEXTS = {
  seats: {
    title: 'Fills both seats',
    why: 'The wire driven into the two cone seats, by volume, and a little to file away: hidden in its own metal.',
    formula: 'G·H/A + 2·V/A + f',
  },
  'one-seat': {
    title: 'Fills one seat',
    why: 'The other end has a head or is soldered already: one seat to fill.',
    formula: 'G·H/A + V/A + f',
  },
} as const
type Fill = keyof typeof FILL_TEXTS

const input = () =>
  z
    .strictObject({
      thicknessMm: thicknessMm({ label: 'Wire', min: 0.3, max: 6 }),
      alloy: commonFields.alloy(),
      ...stackFields,
      seatMm: lengthMm({ label: 'Seat diameter', min: 0.4, max: 20, help: 'Where the cone meets the face.' }),
      depthMm: lengthMm({ label: 'Seat depth', min: 0.1, max: 8 }).default(0.5),
      filingMm: lengthMm({ label: 'To file flush', min: 0, max: 2 }).default(0.2),
      ...closingFields(0.1),
      schools: schoolsField({ fill: ['seats', 'one-seat'], edge: EDGE_SCHOOLS }),
    })
    .refine((value) => value.holeMm >= value.thicknessMm - 0.02, {
      path: ['holeMm'],
      error: 'Hole: it is smaller than the wire; it must be as large at least',
    })
    .refine((value) => value.seatMm >= value.holeMm, {
      path: ['seatMm'],
      error: 'Seat diameter: it is smaller than the hole; a seat opens wider than its hole',
    })
    .refine((value) => value.depthMm <= Math.min(value.upperMm, value.lowerMm), {
      path: ['depthMm'],
      error: 'Seat depth: it goes through its sheet; it can be as deep as the thinner sheet at most',
    })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input, school: Fill): number {
  const wire = derive(log, {
    label: 'Section of the wire',
    formula: 'π·d^2/4',
    unit: 'mm2',
    source: 'closed-form',
    given: [given('d', 'wire', input.thicknessMm)],
  })
  const hole = derive(log, {
    label: 'Section of the hole',
    formula: 'π·max(h, d)^2/4',
    unit: 'mm2',
    source: 'closed-form',
    given: [given('h', 'hole', input.holeMm), given('d', 'wire', input.thicknessMm)],
    note: 'The wire has to fill the hole as well before it fills the seats.',
  })
  const seat = derive(log, {
    label: 'Volume of one seat beyond the hole',
    formula: 'π·e/12·(s^2 + s·h + h^2) − H·e',
    unit: 'mm3',
    source: 'closed-form',
    given: [
      given('e', 'deep', input.depthMm),
      given('s', 'seat', input.seatMm),
      given('h', 'hole', Math.max(input.holeMm, input.thicknessMm)),
      given('H', 'hole', hole, 'mm2'),
    ],
  })
  return bySchool(log, FILL_TEXTS[school], 'closed-form', [
    given('G', 'grip', gripOf(log, input)),
    given('H', 'hole', hole, 'mm2'),
    given('V', 'one seat', seat, 'mm3'),
    given('A', 'wire', wire, 'mm2'),
    given('f', 'to file', input.filingMm),
  ])
}

/** What the checks weigh. */
interface Weighed {
  readonly answer: FormPlan['answer']
  readonly outMm: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { answer, outMm }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'seat-grips',
      ok: input.seatMm >= 1.3 * input.holeMm,
      level: 'warn',
      field: 'seatMm',
      source: 'house-default',
      actual: input.seatMm,
      limit: 1.3 * input.holeMm,
      good: 'The seat opens wide enough to hold once its face is filed flush.',
      bad: `A seat of under ${formatPlain(1.3 * input.holeMm, 2)} mm hardly holds: file it flush and it pulls through.`,
    }),
    limitCheck({
      code: 'loose-hole',
      ok: input.holeMm <= 1.1 * input.thicknessMm,
      level: 'warn',
      field: 'holeMm',
      source: 'bench-practice',
      actual: input.holeMm,
      limit: 1.1 * input.thicknessMm,
      good: 'The hole is snug: little of the wire goes into filling it.',
      bad: `A hole of ${formatPlain(input.holeMm, 2)} mm swallows ${formatPlain(holeFillMm(gripOf([], input), input.thicknessMm, input.holeMm), 2)} mm of wire before a seat fills: a snugger hole, or thicker wire.`,
    }),
    freeEndCheck(outMm, input.thicknessMm, 'Shallower seats, or thicker wire.'),
    edgeCheck(input, input.schools.edge),
    ...passageChecks(input, answer.markAt, answer.markAt),
    {
      level: 'note',
      code: 'same-metal',
      source: 'bench-practice',
      message:
        'Wire of the same metal as the face, or it shows as a dot. Drive it in from both sides, then file and sand it flush; patina, if any, after.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.fill))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('seatMm', 'Filled seat diameter', input.seatMm, 0.2)

function planHidden(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.fill
  const calculatedMm = lengthOf([], input, school)
  const answer = answerFor(log, input)
  const grip = gripOf([], input)
  const outMm = (calculatedMm - grip) / (school === 'seats' ? 2 : 1)
  const [_d, s, h, e] = [input.thicknessMm / 2, input.seatMm / 2, input.holeMm / 2, input.depthMm]
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'rivet', lengthMm: answer.markAt })],
    results: { gripMm: { value: grip, unit: 'mm' }, outMm: { value: outMm, unit: 'mm' }, lengthMm: { value: calculatedMm, unit: 'mm' } },
    choice: schoolChoice('fill', 'What the wire has to fill', school, FILL_TEXTS, (id) => lengthOf([], input, id)),
    choices: [edgeChoice(input, input.schools.edge)],
    checks: checksOf(input, { answer, outMm }),
    views: [
      stackView(
        input,
        {
          outline: [
            [-s, 0],
            [s, 0],
            [h, e],
            [h, grip - e],
            [s, grip],
            [-s, grip],
            [-h, grip - e],
            [-h, e],
          ],
          widthMm: input.seatMm,
          title: 'Stack with its two seats',
        },
        {
          dimensions: [{ from: [-s, grip], to: [s, grip], offset: 1.4, text: `seat ${formatPlain(input.seatMm, 2)}` }],
          handles: [{ field: 'seatMm', label: 'seat', at: [s, grip], along: [1, 0], gain: 2 }],
        },
      ),
    ],
    sizedSteps: [
      ...holeSteps('hole', input.holeMm),
      ...holeSteps('seat', input.seatMm),
      { op: 'cut-rivet', params: { what: 'the wire', cutMm: Math.max(0.5, answer.markAt) } },
      { op: 'rivet', params: { thinnedFraction: 0.3, what: 'the wire into both seats' }, target },
      { op: 'file', at: 'head', params: { what: 'both ends flush' } },
    ],
    solids: stackSolid(input, [
      [0, 0],
      [s, 0],
      [h, e],
      [h, grip - e],
      [s, grip],
      [0, grip],
    ]),
    method: `hidden rivet, ${FILL_TEXTS[school].title.toLowerCase()}`,
  })
}

export const rivetHidden = defineForm({
  id: 'rivet-hidden',
  title: 'Hidden rivet',
  summary: 'Wire driven into cone seats and filed flush: how much it takes to fill them, and whether the seat will hold.',
  input,
  example: { thicknessMm: '16 ga', alloy: 'yellow-brass-c260', upperMm: 1.2, lowerMm: 1.2, holeMm: 1.3, seatMm: 2, depthMm: 0.6 },
  ask: { words: ['hidden rivet', 'flush rivet'], sizes: ['upperMm', 'lowerMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['upperMm', 'lowerMm', 'betweenMm', 'holeMm', 'seatMm', 'depthMm'],
  plan: planHidden,
})
