import * as z from 'zod'
import type { DrawingView } from '../../../drawing/drawing'
import { arcPoints, circleOutline, netAreaMm2 } from '../../../geometry/outline'
import { boundsOf, type Outline, type Point } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
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

const SEATS = { inside: 'Inside the border', on: 'On the border', outside: 'Outside the border' } as const

interface Sized {
  readonly borderMm: number
  readonly beadMm: number
  readonly seat: keyof typeof SEATS
}

/** Diameter of the circle through the middles of the beads, mm. */
function pitchCircleMm({ borderMm, beadMm, seat }: Sized): number {
  if (seat === 'on') return borderMm
  return seat === 'inside' ? borderMm - beadMm : borderMm + beadMm
}

const input = () =>
  z
    .strictObject({
      borderMm: lengthMm({ label: 'Border', min: 6, max: 120, help: 'Its diameter.' }),
      beadMm: lengthMm({ label: 'Bead', min: 1, max: 30 }),
      seat: choice('Beads sit', SEATS).default('inside'),
      gapMm: lengthMm({ label: 'Between beads', min: 0, max: 20, help: '0 where they touch.' }).default(0),
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
type Input = OutputOf<typeof input>

function middles(count: number, pitchMm: number): Point[] {
  return Array.from({ length: count }, (_, i): Point => {
    const angle = Math.PI / 2 + (2 * Math.PI * i) / count
    return [(pitchMm / 2) * Math.cos(angle), (pitchMm / 2) * Math.sin(angle)]
  })
}

function around([x, y]: Point, radiusMm: number): Outline {
  return circleOutline(radiusMm).map(([px, py]) => [px + x, py + y] as const)
}

/**
 * The backing: a disc to the middles of the beads with a scallop round each, counter-clockwise. Scallops meet one another on the
 * ray half way between two beads, or run out on the disc where they are too small to meet.
 */
function scalloped(count: number, pitchMm: number, scallopMm: number): Outline {
  const [radius, half] = [pitchMm / 2, Math.PI / count]
  const under = scallopMm ** 2 - (radius * Math.sin(half)) ** 2
  const meetMm = under > 0 ? radius * Math.cos(half) + Math.sqrt(under) : 0
  const meets = meetMm >= radius
  const at = meets ? half : Math.acos(Math.max(-1, 1 - scallopMm ** 2 / (2 * radius ** 2)))
  const far = meets ? meetMm : radius
  const open = Math.atan2(far * Math.sin(at), far * Math.cos(at) - radius)
  return middles(count, pitchMm).flatMap((centre, i) => {
    const turn = Math.PI / 2 + 2 * half * i
    const arc = arcPoints(centre, scallopMm, turn - open, turn + open)
    return meets ? arc.slice(0, -1) : [...arc.slice(0, -1), ...arcPoints([0, 0], radius, turn + at, turn + 2 * half - at).slice(0, -1)]
  })
}

/** What the checks weigh. */
interface Weighed {
  readonly beads: number
  readonly closedMm: number
  readonly given1: number
  readonly over: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { beads, closedMm, given1, over }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'row-closes',
      ok: over * beads <= 0.3,
      level: 'note',
      field: 'borderMm',
      source: 'closed-form',
      actual: over * beads,
      limit: 0.3,
      good: `${beads} beads close the row.`,
      bad: `${beads} beads leave ${formatPlain(over, 2)} mm between each on this border; on a border of ${formatPlain(input.borderMm + closedMm - given1, 2)} mm they close.`,
    }),
    {
      level: 'note',
      code: 'solder-then-saw',
      source: 'bench-practice',
      message: 'Flatten each bead a little where it stands, solder the row, then saw the scallops round the beads as they really lie.',
    },
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly answer: FormPlan['answer']
  readonly beads: number
  readonly centres: Point[]
  readonly outline: Outline
  readonly overAllMm: number
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { answer, beads, centres, outline, overAllMm }: Drawn): DrawingView[] {
  return [
    view('row', 'Row and backing', {
      shapes: [
        region(outline),
        ...centres.map((centre) => region(around(centre, input.beadMm / 2))),
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
          text: `pitch ${formatPlain(answer.markAt, 2)}, ${beads} beads`,
        },
      ],
      handles: [{ field: 'borderMm', label: 'border', at: [input.borderMm / 2, 0], along: [1, 0], gain: 2 }],
    }),
  ]
}

const beadsOf = (log: WorkingLog, input: Input) =>
  derive(log, {
    label: 'Beads in the row',
    formula: 'floor(π/asin((d + g)/P))',
    unit: 'count',
    source: 'closed-form',
    given: [
      given('d', 'bead', input.beadMm),
      given('g', 'between', input.gapMm),
      given('P', 'pitch circle of the border', pitchCircleMm(input)),
    ],
  })

const closedOf = (log: WorkingLog, input: Input) =>
  derive(log, {
    label: 'Pitch circle that they close',
    formula: '(d + g)/sin(π/n)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('d', 'bead', input.beadMm), given('g', 'between', input.gapMm), given('n', 'beads', beadsOf(log, input), 'count')],
  })

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'pitch circle', closedOf(log, input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('pitchMm', 'Pitch circle', closedOf([], input), 0.2, 1)

function planRow(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const given1 = pitchCircleMm(input)
  const step = input.beadMm + input.gapMm
  const beads = beadsOf([], input)
  const closedMm = closedOf([], input)
  const answer = answerFor(log, input)
  const centres = middles(beads, answer.markAt)
  const outline = scalloped(beads, answer.markAt, input.beadMm / 2 + input.rimMm)
  const box = boundsOf(outline)
  const overAllMm = Math.max(box.maxX - box.minX, box.maxY - box.minY)
  const over = given1 * Math.sin(Math.PI / beads) - step
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'backing', outline, areaMm2: netAreaMm2(outline) })],
    results: {
      beadsCount: { value: beads, unit: 'count' },
      pitchDeg: { value: 360 / beads, unit: '°' },
      beadDeg: { value: (2 * Math.asin(input.beadMm / given1) * 180) / Math.PI, unit: '°' },
      overAllMm: { value: overAllMm, unit: 'mm' },
      leftBetweenMm: { value: over, unit: 'mm' },
      borderToFitMm: { value: input.borderMm + closedMm - given1, unit: 'mm' },
    },
    choice: onlySchool('row', 'How they are spaced', {
      id: 'closed',
      title: 'As many whole beads as go round',
      value: answer.value,
      why: 'Middles on one circle, chord from middle to middle; what is over is taken up by the circle.',
    }),
    checks: checksOf(input, { beads, closedMm, given1, over }),
    views: viewsOf(input, { answer, beads, centres, outline, overAllMm }),
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
  summary: 'Beads round a border: how many go in, the circle through their middles, and the scalloped backing behind them.',
  input,
  example: { borderMm: 37, beadMm: 4.3, seat: 'outside', alloy: 'red-brass-c230', thicknessMm: '19 ga' },
  ask: { words: ['bead row', 'row of bead'], sizes: ['borderMm', 'beadMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['beadMm', 'gapMm'],
  plan: planRow,
})
