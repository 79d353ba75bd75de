import * as z from 'zod'
import type { DrawingView } from '../../../drawing/drawing'
import { circleOutline, netAreaMm2 } from '../../../geometry/outline'
import { boundsOf, type Outline } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { angleDeg, choice, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, note, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  limitCheck,
  onlySchool,
  region,
  sheetBlank,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'
import { aroundBead, scalloped } from './backing'
import { closingPitchMm, leftOverDeg, pitchCircleMm, placedBeads, type RowBead, SEATS, smallBeads } from './row'

const input = () =>
  z
    .strictObject({
      borderMm: lengthMm({ label: 'Border', min: 6, max: 120, help: 'Its diameter.' }),
      beadMm: lengthMm({ label: 'Bead', min: 1, max: 30 }),
      seat: choice('Beads sit', SEATS).default('inside'),
      gapMm: lengthMm({ label: 'Between beads', min: 0, max: 20, help: '0 where they touch.' }).default(0),
      largeMm: lengthMm({ label: 'One larger bead', min: 0, max: 40, help: 'In the middle of the row; 0 for none.' }).default(0),
      spanDeg: angleDeg({ label: 'Border goes round', min: 40, max: 360, help: 'Less than 360 for an open one.' }).default(360),
      rimMm: lengthMm({ label: 'Metal round the beads', min: 0.1, max: 10, help: 'Left outside them when the scallops are sawn.' }).default(
        0.5,
      ),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness('Backing'),
      ...closingFields(0.05),
      schools: schoolsField({ row: ['closed'] }),
    })
    .refine((value) => value.beadMm + value.gapMm <= 0.86 * pitchCircleMm(value), {
      path: ['beadMm'],
      error: 'Bead: fewer than three of this size go round such a border; it must be smaller, or the border larger',
    })
    .refine((value) => value.largeMm === 0 || (value.largeMm >= value.beadMm && value.largeMm <= 0.5 * pitchCircleMm(value)), {
      path: ['largeMm'],
      error: 'One larger bead: at least as large as the others, and at most half as wide as the circle they stand on',
    })
    .refine((value) => smallBeads(value) >= 2, {
      path: ['spanDeg'],
      error: 'Border goes round: fewer than two beads go on so short a border; it must go further round',
    })
type Input = OutputOf<typeof input>

/** What the checks weigh. */
interface Weighed {
  readonly beads: number
  readonly closedMm: number
  readonly givenMm: number
  readonly overDeg: number
}

/** Over the row so much may be left, mm. */
const MOST_OVER_MM = 0.3

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { beads, closedMm, givenMm, overDeg }: Weighed): Check[] {
  const overMm = (overDeg * Math.PI * givenMm) / 360
  return [
    limitCheck({
      code: 'row-closes',
      ok: overMm <= MOST_OVER_MM,
      level: 'note',
      field: 'borderMm',
      source: 'closed-form',
      actual: overMm,
      limit: MOST_OVER_MM,
      good: `${beads} beads fill the row.`,
      bad: `${beads} beads leave ${formatPlain(overMm, 2)} mm over on this border; on a border of ${formatPlain(input.borderMm + closedMm - givenMm, 2)} mm they fill it.`,
    }),
    {
      level: 'note',
      code: 'row-in-jig',
      source: 'bench-practice',
      message:
        'Saw a jig to the scalloped outline out of thick sheet that solder does not take to, painted with a barrier; in it the beads are joined to one another first, with medium solder or higher.',
    },
    {
      level: 'note',
      code: 'solder-then-saw',
      source: 'bench-practice',
      message:
        'Flatten each bead a little where it stands, solder the group to the backing with an easier solder than the row, then saw the scallops round the beads as they really lie.',
    },
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly answer: FormPlan['answer']
  readonly beads: readonly RowBead[]
  readonly outline: Outline
  readonly overAllMm: number
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { answer, beads, outline, overAllMm }: Drawn): DrawingView[] {
  return [
    view('row', 'Row and backing', {
      shapes: [
        region(outline),
        ...beads.map((bead) => region(aroundBead(bead))),
        stroke('scribe', ...circleOutline(answer.markAt / 2), [answer.markAt / 2, 0]),
        stroke('centre', ...circleOutline(input.borderMm / 2), [input.borderMm / 2, 0]),
      ],
      dimensions: [
        {
          from: [-overAllMm / 2, -overAllMm / 2],
          to: [overAllMm / 2, -overAllMm / 2],
          offset: -1.8,
          text: `${formatPlain(overAllMm, 2)} over all`,
        },
        {
          from: [-answer.markAt / 2, 0],
          to: [answer.markAt / 2, 0],
          offset: 0,
          text: `pitch ${formatPlain(answer.markAt, 2)}, ${beads.length} beads`,
        },
      ],
      handles: [{ field: 'borderMm', label: 'border', at: [input.borderMm / 2, 0], along: [1, 0], gain: 2 }],
    }),
  ]
}

/** How many beads there are in all, the larger one among them. */
const beadsOf = (input: Input) => smallBeads(input) + (input.largeMm > 0 ? 1 : 0)

/** The plain closed row has a formula; beside a larger bead, or on an open border, the circle is solved for. */
const isPlain = (input: Input) => input.largeMm === 0 && input.spanDeg === 360

function closedOf(log: WorkingLog, input: Input): number {
  const small = smallBeads(input)
  const beads = [given('d', 'bead', input.beadMm), given('g', 'between', input.gapMm), given('n', 'beads', small, 'count')]
  if (isPlain(input))
    return derive(log, {
      label: 'Pitch circle that they close',
      formula: '(d + g)/sin(π/n)',
      unit: 'mm',
      source: 'closed-form',
      given: beads,
    })
  const large = input.largeMm > 0 ? [given('D', 'larger bead', input.largeMm)] : []
  const formula =
    input.largeMm > 0
      ? 'angles between bead and bead, 2·asin((d + g)/P), and twice that beside D, add up to the way round'
      : '2·asin((d + g)/P)·(n − 1) = way round'
  return note(log, {
    kind: 'solve',
    label: 'Pitch circle that they fill',
    formula,
    value: closingPitchMm(input, small),
    unit: 'mm',
    source: 'closed-form',
    given: [...beads, ...large, given('a', 'way round', input.spanDeg, '°')],
  })
}

function answerFor(log: WorkingLog, input: Input): Answer {
  const pitch = [
    given('d', 'bead', input.beadMm),
    given('g', 'between', input.gapMm),
    given('P', 'pitch circle of the border', pitchCircleMm(input)),
  ]
  if (isPlain(input))
    derive(log, { label: 'Beads in the row', formula: 'floor(π/asin((d + g)/P))', unit: 'count', source: 'closed-form', given: pitch })
  else
    note(log, {
      kind: 'solve',
      label: input.largeMm > 0 ? 'Small beads beside the larger one' : 'Beads in the row',
      formula: 'as many whole ones as go in',
      value: smallBeads(input),
      unit: 'count',
      source: 'closed-form',
      given: pitch,
    })
  return answerOf(log, input, 'pitch circle', closedOf(log, input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('pitchMm', 'Pitch circle', closedOf([], input), 0.2, 1)

function planRow(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const givenMm = pitchCircleMm(input)
  const small = smallBeads(input)
  const closedMm = closedOf([], input)
  const answer = answerFor(log, input)
  const beads = placedBeads(input, small, answer.markAt)
  const outline = scalloped(beads, answer.markAt, input.rimMm, input.spanDeg < 360)
  const box = boundsOf(outline)
  const overAllMm = Math.max(box.maxX - box.minX, box.maxY - box.minY)
  const overDeg = leftOverDeg(input, small)
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'backing', outline, areaMm2: netAreaMm2(outline) })],
    results: {
      beadsCount: { value: beadsOf(input), unit: 'count' },
      pitchDeg: { value: (2 * Math.asin((input.beadMm + input.gapMm) / closedMm) * 180) / Math.PI, unit: '°' },
      beadDeg: { value: (2 * Math.asin(input.beadMm / givenMm) * 180) / Math.PI, unit: '°' },
      overAllMm: { value: overAllMm, unit: 'mm' },
      leftOverDeg: { value: overDeg, unit: '°' },
      borderToFitMm: { value: input.borderMm + closedMm - givenMm, unit: 'mm' },
    },
    choice: onlySchool('row', 'How they are spaced', {
      id: 'closed',
      title: 'As many whole beads as go round',
      value: answer.value,
      why: 'Middles on one circle, chord from middle to middle; what is over is taken up by the circle.',
    }),
    checks: checksOf(input, { beads: beads.length, closedMm, givenMm, overDeg }),
    views: viewsOf(input, { answer, beads, outline, overAllMm }),
    sizedSteps: [
      { op: 'saw', at: 'around', params: { what: 'the scallops', cutMm: Math.min(2000, Math.max(0.5, overAllMm)) } },
      { op: 'file', at: 'around', params: { what: 'the edge to the line' }, target },
      { op: 'finish', params: {}, target },
    ],
    method: `bead row, ${SEATS[input.seat].toLowerCase()}`,
  })
}

export const beadRow = defineForm({
  id: 'bead-row',
  title: 'Row of beads',
  summary:
    'Beads round a border, closed or open, alike or with one larger: how many go in, the circle through their middles, the jig and the scalloped backing.',
  input,
  example: { borderMm: 37, beadMm: 4.3, seat: 'outside', alloy: 'red-brass-c230', thicknessMm: '19 ga' },
  ask: { words: ['bead row', 'row of bead'], sizes: ['borderMm', 'beadMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['beadMm', 'gapMm', 'largeMm'],
  plan: planRow,
})
