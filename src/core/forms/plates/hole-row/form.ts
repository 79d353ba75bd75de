import * as z from 'zod'
import { circleHole, rectangleOutline } from '../../../geometry/outline'
import type { Bench } from '../../../toolwall/tools'
import { count, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  bySchool,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  stroke,
  view,
} from '../../common/plan-kit'
import { flatSteps, holeSteps } from '../../common/sized-steps'
import type { Answer, Check, FormPlan } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const ROW_TEXTS = {
  webs: {
    title: 'By the metal between',
    why: 'So much metal stays between one hole and the next: the row is as short as it may be.',
    formula: 'n·d + (n − 1)·w + 2·e',
  },
  pitch: {
    title: 'By even steps',
    why: 'A step of the size it adjusts: each hole is one step further, whatever metal that leaves.',
    formula: 'd + (n − 1)·p + 2·e',
  },
} as const
type Row = keyof typeof ROW_TEXTS

const input = () =>
  z
    .strictObject({
      holeMm: lengthMm({ label: 'Hole', min: 0.3, max: 20 }),
      holeCount: count({ label: 'Holes', min: 1, max: 24 }).default(3),
      webMm: lengthMm({ label: 'Metal between holes', min: 0.2, max: 60 }).default(1),
      pitchMm: lengthMm({ label: 'Step from hole to hole', min: 0.5, max: 80, help: 'Where the row goes by even steps.' }).default(3),
      edgeMm: lengthMm({ label: 'Metal at each end', min: 0, max: 60 }).default(1),
      widthMm: lengthMm({ label: 'Strip width', min: 1, max: 120 }).default(6),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      postMm: lengthMm({ label: 'Post through it', min: 0, max: 20, help: 'The wire that must go through; 0 for none.' }).default(0),
      nutMm: lengthMm({ label: 'Nut or head on it', min: 0, max: 40, help: 'What must not go through; 0 for none.' }).default(0),
      roomMm: lengthMm({
        label: 'Room for the row',
        min: 0,
        max: 400,
        help: 'The lap or the end it has to fit on; 0 where it is free.',
      }).default(0),
      ...closingFields(0.1),
      schools: schoolsField({ row: ['webs', 'pitch'] }),
    })
    .refine((value) => value.schools.row !== 'pitch' || value.pitchMm > value.holeMm, {
      path: ['pitchMm'],
      error: 'Step from hole to hole: the holes run into one another; it must be more than the hole',
    })
    .refine((value) => value.widthMm > value.holeMm, { path: ['widthMm'], error: 'Strip width: it is narrower than its holes' })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input, school: Row): number {
  return bySchool(log, ROW_TEXTS[school], 'closed-form', [
    given('n', 'holes', input.holeCount, 'count'),
    given('d', 'hole', input.holeMm),
    given('e', 'metal at each end', input.edgeMm),
    ...(school === 'webs' ? [given('w', 'metal between', input.webMm)] : [given('p', 'step', input.pitchMm)]),
  ])
}

/** A hole that a post goes through and its nut does not. */
function boundChecks({ holeMm, postMm, nutMm }: Input) {
  const checks = []
  if (postMm > 0)
    checks.push(
      limitCheck({
        code: 'post-goes-through',
        ok: holeMm > postMm,
        level: 'stop',
        field: 'holeMm',
        source: 'bench-practice',
        actual: holeMm,
        limit: postMm,
        good: `The post goes through with ${formatPlain(holeMm - postMm, 2)} mm to spare.`,
        bad: `A post of ${formatPlain(postMm, 2)} mm does not go through: the hole must be larger.`,
      }),
    )
  if (nutMm > 0)
    checks.push(
      limitCheck({
        code: 'nut-is-held',
        ok: holeMm < nutMm,
        level: 'stop',
        field: 'holeMm',
        source: 'bench-practice',
        actual: holeMm,
        limit: nutMm,
        good: `The nut laps the hole by ${formatPlain((nutMm - holeMm) / 2, 2)} mm all round.`,
        bad: `A nut of ${formatPlain(nutMm, 2)} mm falls through: the hole must be smaller than it.`,
      }),
    )
  if (postMm > 0 && nutMm > 0)
    checks.push({
      level: postMm < nutMm ? ('note' as const) : ('stop' as const),
      code: 'hole-bounds',
      source: 'bench-practice' as const,
      message:
        postMm < nutMm
          ? `Any hole between ${formatPlain(postMm, 2)} and ${formatPlain(nutMm, 2)} mm does.`
          : 'The nut is no larger than the post: no hole holds it.',
    })
  return checks
}

/** What the checks weigh. */
interface Weighed {
  readonly least: number
  readonly calculatedMm: number
  readonly school: 'webs' | 'pitch'
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { least, calculatedMm, school }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'hole-web',
      ok: least >= 1,
      level: 'warn',
      field: school === 'webs' ? 'webMm' : 'pitchMm',
      source: 'bench-practice',
      actual: least,
      limit: 1,
      good: `${formatPlain(least, 2)} mm of metal at least stays round every hole.`,
      bad: `Only ${formatPlain(least, 2)} mm stays beside a hole; 1 mm is the usual least.`,
    }),
    ...(input.roomMm > 0
      ? [
          limitCheck({
            code: 'row-fits',
            ok: calculatedMm <= input.roomMm,
            level: 'stop' as const,
            field: 'holeCount',
            source: 'closed-form' as const,
            actual: calculatedMm,
            limit: input.roomMm,
            good: `It fits on ${formatPlain(input.roomMm, 2)} mm, with ${formatPlain(input.roomMm - calculatedMm, 2)} mm left for solder.`,
            bad: `${formatPlain(calculatedMm, 2)} mm does not fit on ${formatPlain(input.roomMm, 2)} mm: fewer holes, or smaller ones.`,
          }),
        ]
      : []),
    ...boundChecks(input),
    {
      level: 'note',
      code: 'registration',
      source: 'bench-practice',
      message:
        'Holes that must match a second part: drill one, pin it, drill the next through the first part, pin that, then the rest. Mark which way round the parts lie before they come apart.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'row over all', lengthOf(log, input, input.schools.row))
}

function planHoleRow(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.row
  const calculatedMm = lengthOf([], input, school)
  const stepMm = school === 'webs' ? input.holeMm + input.webMm : input.pitchMm
  const webMm = stepMm - input.holeMm
  const answer = answerFor(log, input)
  const rowMm = input.holeMm + (input.holeCount - 1) * stepMm
  const first = input.edgeMm + input.holeMm / 2
  const middle = input.widthMm / 2
  const centres = Array.from({ length: input.holeCount }, (_, i) => first + i * stepMm)
  const holes = centres.map((x) => circleHole(input.holeMm / 2, [x, middle]))
  const outline = rectangleOutline(answer.markAt, input.widthMm)
  const side = middle - input.holeMm / 2
  const least = Math.min(input.edgeMm, side, input.holeCount > 1 ? webMm : 1000)
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'strip', outline, holes })],
    results: {
      rowMm: { value: rowMm, unit: 'mm' },
      stepMm: { value: stepMm, unit: 'mm' },
      firstHoleMm: { value: first, unit: 'mm' },
      adjustMm: { value: (input.holeCount - 1) * stepMm, unit: 'mm' },
    },
    choice: schoolChoice('row', 'How the row is spaced', school, ROW_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, { least, calculatedMm, school }),
    views: [
      view('blank', 'Blank, hole centres marked', {
        shapes: [
          region(outline, holes),
          stroke('centre', [0, middle], [answer.markAt, middle]),
          ...centres.map((x) => stroke('scribe', [x, 0], [x, input.widthMm])),
        ],
        dimensions: [
          { from: [0, 0], to: [answer.markAt, 0], offset: -3.6, text: `cut ${formatPlain(answer.markAt, 2)}` },
          { from: [0, 0], to: [first, 0], offset: -1.6, text: formatPlain(first, 2) },
          ...(input.holeCount > 1
            ? [{ from: [first, 0] as const, to: [first + stepMm, 0] as const, offset: -1.6, text: formatPlain(stepMm, 2) }]
            : []),
          { from: [answer.markAt, 0], to: [answer.markAt, input.widthMm], offset: -1.2, text: formatPlain(input.widthMm, 2) },
        ],
        handles: [{ field: 'widthMm', label: 'width', at: [answer.markAt / 2, input.widthMm], along: [0, 1], gain: 1 }],
      }),
    ],
    sizedSteps: [
      ...holeSteps('holes', input.holeMm),
      ...flatSteps('the strip', answer.markAt, { dimension: 'rowMm', label: 'Row, over the holes', valueMm: rowMm, plusMinusMm: 0.2 }),
    ],
    method: `row of holes, ${ROW_TEXTS[school].title.toLowerCase()}`,
  })
}

export const holeRow = defineForm({
  id: 'hole-row',
  title: 'Row of holes',
  summary: 'Adjustment holes along a strip: how long the row is, the metal that stays, and a hole that takes its post and holds its nut.',
  input,
  example: {
    holeMm: 1.6,
    holeCount: 4,
    webMm: 1.2,
    edgeMm: 1.5,
    widthMm: 5,
    alloy: 'sterling-925',
    thicknessMm: '20 ga',
    postMm: 0.9,
    nutMm: 4.5,
  },
  ask: { words: ['row of holes', 'hole row', 'adjustment holes'], sizes: ['holeMm', 'webMm'] },
  answer: answerFor,
  outcomes: () => [],
  measured: ['holeMm', 'webMm', 'pitchMm', 'edgeMm'],
  varies: { holeCount: 1 },
  plan: planHoleRow,
})
