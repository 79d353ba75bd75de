import * as z from 'zod'
import { cutAlong } from '../../../drawing/cut'
import { circleOutline, ellipseOutline, roundedRectangle, setOffMm } from '../../../geometry/outline'
import type { Outline } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { roundOvalMm } from '../../common/oval'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  stripView,
  targetOf,
  view,
  wireBlank,
} from '../../common/plan-kit'
import { aroundSolid } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const OVAL_TEXTS = {
  slot: {
    title: 'Straight sides, round ends',
    why: 'What round pliers opened inside a ring leave: two half circles of the jaw and two straight sides.',
  },
  ellipse: { title: 'An ellipse', why: 'What an oval mandrel leaves: curved all the way round.' },
} as const
type Oval = keyof typeof OVAL_TEXTS

const input = () =>
  z
    .strictObject({
      longMm: lengthMm({ label: 'Inside length', min: 1, max: 80 }),
      shortMm: lengthMm({ label: 'Inside width', min: 0.6, max: 80 }),
      alloy: commonFields.alloy(),
      thicknessMm: thicknessMm({ label: 'Wire', min: 0.2, max: 6 }),
      kerfMm: lengthMm({ label: 'Saw kerf', min: 0, max: 1 }).default(0.25),
      ...closingFields(0.1),
      schools: schoolsField({ oval: ['slot', 'ellipse'] }),
    })
    .refine((value) => value.shortMm <= value.longMm, {
      path: ['shortMm'],
      error: 'Inside width: it is more than the length; swap them',
    })
type Input = OutputOf<typeof input>

function insideOf(log: WorkingLog, { longMm, shortMm }: Input, school: Oval): number {
  const label = OVAL_TEXTS[school].title
  if (school === 'ellipse') return roundOvalMm(log, label, longMm, shortMm)
  return derive(log, {
    label,
    formula: '2·(a − b) + π·b',
    unit: 'mm',
    source: 'closed-form',
    given: [given('a', 'inside length', longMm), given('b', 'inside width', shortMm)],
  })
}

/** Wire of one ring: round its inside, and π times the wire. */
function lengthOf(log: WorkingLog, input: Input, school: Oval): number {
  return derive(log, {
    label: 'Wire in one ring',
    formula: 'P + π·w + k',
    unit: 'mm',
    source: 'parallel-curve',
    given: [
      given('P', 'round the inside', insideOf(log, input, school)),
      given('w', 'wire', input.thicknessMm),
      given('k', 'kerf', input.kerfMm),
    ],
    note: 'What the saw takes was wire of the coil.',
  })
}

function outlineOf({ longMm, shortMm, schools }: Input): Outline {
  return schools.oval === 'ellipse' ? ellipseOutline(longMm / 2, shortMm / 2) : roundedRectangle(longMm, shortMm, shortMm / 2)
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, wire: number): Check[] {
  return [
    limitCheck({
      code: 'room-for-two',
      ok: input.shortMm >= 2 * wire,
      level: 'warn',
      field: 'shortMm',
      source: 'bench-practice',
      actual: input.shortMm,
      limit: 2 * wire,
      good: 'Two rings of this wire lie side by side in it.',
      bad: `The width holds less than two wires: links jam; ${formatPlain(2 * wire, 2)} mm at least.`,
    }),
    {
      level: 'note',
      code: 'plier-mark',
      source: 'bench-practice',
      message: `Mark the round jaw where it is ${formatPlain(input.shortMm, 2)} mm across and open every ring at the mark: all come out alike. Keep the seam on a long side, and solder it first: a weak seam snaps.`,
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'wire for each', lengthOf(log, input, input.schools.oval))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('longMm', 'Inside length', input.longMm, 0.2)

function planJumpOval(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const rodMm = derive(log, {
    label: 'Rod for the round ring',
    formula: '(P + k)/π',
    unit: 'mm',
    source: 'closed-form',
    given: [given('P', 'round the inside', insideOf([], input, input.schools.oval)), given('k', 'kerf', input.kerfMm)],
    note: 'The round and the oval have the same length round.',
  })
  const answer = answerFor(log, input)
  const inside = outlineOf(input)
  const target = targetOf(outcomeOf(input))
  const wire = input.thicknessMm
  const [a, b] = [input.longMm / 2, input.shortMm / 2]
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'ring', lengthMm: answer.markAt })],
    results: {
      rodMm: { value: rodMm, unit: 'mm' },
      plierMarkMm: { value: input.shortMm, unit: 'mm' },
      insidePerimeterMm: { value: insideOf([], input, input.schools.oval), unit: 'mm' },
      outsideLongMm: { value: input.longMm + 2 * wire, unit: 'mm' },
    },
    choice: schoolChoice('oval', 'How it is drawn oval', input.schools.oval, OVAL_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, wire),
    views: [
      view('ring', 'Oval and the round it comes from', {
        shapes: [
          region(setOffMm(inside, wire), [[...inside].reverse()]),
          { kind: 'circle', layer: 'centre', centre: [0, 0], radiusMm: rodMm / 2 },
          cutAlong([0, b], [0, b + wire]),
        ],
        dimensions: [
          { from: [-a, 0], to: [a, 0], offset: 0, text: `${formatPlain(input.longMm, 2)} inside` },
          { from: [a + wire, -b], to: [a + wire, b], offset: -1.2, text: formatPlain(input.shortMm, 2) },
          { from: [-rodMm / 2, -rodMm / 2], to: [rodMm / 2, -rodMm / 2], offset: -1.8, text: `rod ${formatPlain(rodMm, 2)}` },
        ],
        handles: [{ field: 'longMm', label: 'length', at: [a, 0], along: [1, 0], gain: 2 }],
      }),
      stripView(
        answer.markAt,
        wire,
        { length: `${formatPlain(answer.markAt, 2)} each`, width: `${formatPlain(input.thicknessMm, 2)} wire` },
        'One turn, straight',
      ),
    ],
    sizedSteps: [
      { op: 'wind-coil', params: { insideRadiusMm: Math.min(1000, rodMm / 2) } },
      { op: 'squeeze-oval', params: { insideRadiusMm: b }, target },
      { op: 'tumble', params: {}, target },
    ],
    regions: ['outside', 'inside'],
    solids: aroundSolid(setOffMm(inside, wire / 2), circleOutline(wire / 2)),
    method: `oval ring, ${OVAL_TEXTS[input.schools.oval].title.toLowerCase()}`,
  })
}

export const jumpOval = defineForm({
  id: 'jump-oval',
  title: 'Oval rings from round',
  summary: 'Round rings squeezed oval: the rod to wind the round on, the plier mark, the wire of each.',
  input,
  example: { longMm: 6.4, shortMm: 3.8, alloy: 'sterling-925', thicknessMm: '18 ga' },
  ask: { words: ['oval ring', 'oval jump ring', 'oval link'], sizes: ['longMm', 'shortMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['longMm', 'shortMm'],
  plan: planJumpOval,
})
