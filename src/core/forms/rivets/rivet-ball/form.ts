import * as z from 'zod'
import { arcPoints, circleOutline } from '../../../geometry/outline'
import type { Point } from '../../../geometry/point'
import { headStickOutMm } from '../../../tables/rivets/rivets'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { answerOf, asked, completePlan, hazardNotes, limitCheck, region, schoolChoice, targetOf, wireBlank } from '../../common/plan-kit'
import { EDGE_SCHOOLS, edgeCheck, edgeChoice, gripOf, headedView, passageChecks, stackFields, stackView } from '../../common/rivet-stack'
import { holeSteps } from '../../common/sized-steps'
import { stackSolid } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const BACK_TEXTS = {
  'one-sheet': { title: 'One sheet out behind', why: 'The back head takes as much wire as its sheet is thick, a millimetre at most.' },
  'half-diameter': { title: 'Half the wire out behind', why: 'A low flat head at the back, where it is not seen.' },
  'diameter-and-half': { title: 'One and a half wires out behind', why: 'A full round head at the back too.' },
} as const
type Back = keyof typeof BACK_TEXTS

const input = () =>
  z
    .strictObject({
      ballMm: lengthMm({ label: 'Ball', min: 0.6, max: 20 }),
      thicknessMm: thicknessMm({ label: 'Wire', min: 0.3, max: 6 }),
      alloy: commonFields.alloy(),
      ...stackFields,
      ...closingFields(0.1),
      schools: schoolsField({ back: ['one-sheet', 'half-diameter', 'diameter-and-half'], edge: EDGE_SCHOOLS }),
    })
    .refine((value) => value.holeMm >= value.thicknessMm - 0.02, {
      path: ['holeMm'],
      error: 'Hole: it is smaller than the wire; it must be as large at least',
    })
    .refine((value) => value.ballMm > value.thicknessMm, { path: ['ballMm'], error: 'Ball: it must be larger than its wire' })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input, school: Back): number {
  const ball = derive(log, {
    label: 'Wire that melts into the ball',
    formula: '2·D^3/(3·d^2)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('D', 'ball', input.ballMm), given('d', 'wire', input.thicknessMm)],
    note: 'The stem keeps the wire’s thickness up to the ball.',
  })
  return derive(log, {
    label: BACK_TEXTS[school].title,
    formula: 'B + G + a',
    unit: 'mm',
    source: 'bench-practice',
    given: [
      given('B', 'ball', ball),
      given('G', 'grip', gripOf(log, input)),
      given('a', 'out behind', headStickOutMm(school, input.thicknessMm, input.lowerMm)),
    ],
  })
}

/** What the checks weigh. */
interface Weighed {
  readonly answer: Answer
  readonly stemMm: number
  readonly lap: number
  readonly out: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { answer, stemMm, lap, out }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'ball-holds',
      ok: lap >= 0.2,
      level: lap < 0 ? 'stop' : 'warn',
      field: 'ballMm',
      source: 'bench-practice',
      actual: input.ballMm,
      limit: input.holeMm + 0.4,
      good: `The ball laps the hole by ${formatPlain(lap, 2)} mm all round.`,
      bad:
        lap < 0 ? 'The ball goes through the hole: a larger ball, or a smaller hole.' : 'The ball hardly laps the hole: it pulls through.',
    }),
    limitCheck({
      code: 'free-end',
      ok: out <= 1.5 * input.thicknessMm,
      level: 'warn',
      field: 'thicknessMm',
      source: 'bench-practice',
      actual: out,
      limit: 1.5 * input.thicknessMm,
      good: 'The end behind is short enough to head without bending.',
      bad: 'The end behind bends instead of heading: over one and a half times the wire.',
    }),
    edgeCheck(input, input.schools.edge),
    ...passageChecks(input, answer.markAt, stemMm),
    {
      level: 'note',
      code: 'ball-first',
      source: 'bench-practice',
      message:
        'Melt the ball on wire that is long enough to hold, pickle it, and cut the stem to length in the stack. The ball lies in a hollowed block while the back is headed.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.back))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('ballMm', 'Ball', input.ballMm, 0.15)

function planBallRivet(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.back
  const calculatedMm = lengthOf([], input, school)
  const answer = answerFor(log, input)
  const grip = gripOf([], input)
  const out = headStickOutMm(school, input.thicknessMm, input.lowerMm)
  const lap = (input.ballMm - input.holeMm) / 2
  const target = targetOf(outcomeOf(input))
  const [d, r] = [input.thicknessMm / 2, input.ballMm / 2]
  const side = stackView(
    input,
    {
      outline: [
        [-d, -out],
        [d, -out],
        [d, grip],
        [-d, grip],
      ],
      widthMm: Math.max(input.ballMm, input.thicknessMm),
      title: 'Stack, stem and ball',
    },
    {
      dimensions: [
        { from: [-r, grip + input.ballMm], to: [r, grip + input.ballMm], offset: 1, text: `ball ${formatPlain(input.ballMm, 2)}` },
        { from: [-d, -out], to: [-d, 0], offset: 2, text: `${formatPlain(out, 2)} out` },
      ],
      handles: [{ field: 'ballMm', label: 'ball', at: [0, grip + input.ballMm], along: [0, 1], gain: 1 }],
    },
  )
  const headed: Point[] = [
    [0, -0.6 * d],
    [1.6 * d, -0.6 * d],
    [1.6 * d, 0],
    [d, 0],
    [d, grip],
    ...arcPoints([0, grip + r], r, -1.2, Math.PI / 2),
  ]
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'rivet', lengthMm: answer.markAt })],
    results: {
      gripMm: { value: grip, unit: 'mm' },
      ballWireMm: { value: calculatedMm - grip - out, unit: 'mm' },
      stemMm: { value: grip + out, unit: 'mm' },
    },
    choice: schoolChoice('back', 'How much stands out behind', school, BACK_TEXTS, (id) => lengthOf([], input, id)),
    choices: [edgeChoice(input, input.schools.edge)],
    checks: checksOf(input, { answer, stemMm: grip + out, lap, out }),
    views: [
      { ...side, shapes: [...side.shapes, region(circleOutline(r).map(([x, y]) => [x, y + grip + r] as const))] },
      headedView(input, headed),
    ],
    sizedSteps: [
      { op: 'saw', params: { what: 'the wire', cutMm: Math.min(2000, Math.max(0.5, answer.markAt)) } },
      { op: 'melt', params: { what: 'the ball on one end' } },
      ...holeSteps('hole', input.holeMm),
      { op: 'rivet', params: { thinnedFraction: 0.3, what: 'the back head, ball in a hollow' }, target },
    ],
    solids: stackSolid(input, headed),
    method: `ball rivet, ${BACK_TEXTS[school].title.toLowerCase()}`,
  })
}

export const rivetBall = defineForm({
  id: 'rivet-ball',
  title: 'Ball-headed rivet',
  summary: 'A rivet with a melted ball for its head: the wire for ball, stack and back, and whether the ball holds.',
  input,
  example: { ballMm: 2.8, thicknessMm: '17 ga', alloy: 'sterling-925', upperMm: 0.8, lowerMm: 1, holeMm: 1.2 },
  ask: { words: ['ball rivet', 'ball-headed rivet'], sizes: ['ballMm', 'upperMm', 'lowerMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['ballMm', 'upperMm', 'lowerMm', 'betweenMm'],
  plan: planBallRivet,
})
