import * as z from 'zod'
import type { DrawingView } from '../../../drawing/drawing'
import { rectangleOutline, setOffMm } from '../../../geometry/outline'
import type { Outline } from '../../../geometry/point'
import { OVER_THE_STONE } from '../../../operations/setting/set-stone'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  bySchool,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  stripView,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { aroundSolid, stripSection } from '../../common/solids'
import { cornerFits, notTurned, roundStoneMm, STONE_CORNER, STONE_TURNED, stoneFields, stoneOutline, stoneShape } from '../../common/stone'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const REPEAT_TEXTS = {
  nearest: {
    title: 'Whole repeats, nearest',
    why: 'The pattern closes on itself; the stone sits a little loose or a little tight.',
    formula: 'p·max(1, N)',
  },
  over: {
    title: 'Whole repeats, over',
    why: 'Never too small for the stone: the wall is pressed in until it touches.',
    formula: 'p·max(1, N)',
  },
  plain: {
    title: 'By the stone alone',
    why: 'An exact fit; the pattern breaks at the seam, which goes where it shows least.',
    formula: 'L',
  },
} as const
type Repeat = keyof typeof REPEAT_TEXTS

const input = () =>
  z
    .strictObject({
      shape: stoneShape(),
      ...stoneFields,
      patternMm: lengthMm({ label: 'One repeat of the pattern', min: 0.3, max: 30, help: 'Along the gallery strip.' }),
      galleryMm: lengthMm({ label: 'Gallery height', min: 0.5, max: 30 }).default(3),
      turnMm: lengthMm({ label: 'Stone turns in at', min: 0.1, max: 50 }).default(1.2),
      bearingMm: lengthMm({ label: 'Bearing inside, from below', min: 0, max: 20, help: 'What the stone stands on.' }).default(1),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness('Wall'),
      easeMm: lengthMm({ label: 'Ease on the size', min: 0, max: 1 }).default(0.05),
      ...closingFields(0.1),
      schools: schoolsField({ repeat: ['nearest', 'over', 'plain'] }),
    })
    .refine(notTurned, STONE_TURNED)
    .refine(cornerFits, STONE_CORNER)
type Input = OutputOf<typeof input>

function exactOf(log: WorkingLog, input: Input): number {
  return derive(log, {
    label: 'Round the stone, middle of the wall',
    formula: 'P + π·(t + e)',
    unit: 'mm',
    source: 'parallel-curve',
    given: [
      given('P', 'round the stone', roundStoneMm(log, input)),
      given('t', 'wall', input.thicknessMm),
      given('e', 'ease', input.easeMm),
    ],
  })
}

const repeatsOf = (school: Repeat, repeats: number) => (school === 'over' ? Math.ceil(repeats - 1e-9) : Math.round(repeats))

function lengthOf(log: WorkingLog, input: Input, school: Repeat): number {
  const exact = exactOf(log, input)
  if (school === 'plain') return bySchool(log, REPEAT_TEXTS[school], 'parallel-curve', [given('L', 'round the stone', exact)])
  return bySchool(log, REPEAT_TEXTS[school], 'bench-practice', [
    given('p', 'one repeat', input.patternMm),
    given('N', 'repeats', repeatsOf(school, exact / input.patternMm), 'count'),
  ])
}

/** How loose the stone sits, on its size: what whole repeats leave over, and the ease. */
function roomOf(log: WorkingLog, input: Input): number {
  return derive(log, {
    label: 'Room round the stone',
    formula: '(L − X)/π + e',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('L', 'cut', lengthOf([], input, input.schools.repeat)),
      given('X', 'exact', exactOf([], input)),
      given('e', 'ease', input.easeMm),
    ],
    note: 'On the size: half of it on each side.',
  })
}

/** What the checks weigh. */
interface Weighed {
  readonly looseMm: number
  readonly over: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { looseMm, over }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'gallery-fit',
      ok: looseMm >= 0 && looseMm <= 0.35,
      level: 'warn',
      field: 'patternMm',
      source: 'house-default',
      actual: looseMm,
      limit: 0.35,
      good: `The stone has ${formatPlain(looseMm, 2)} mm of room on its size.`,
      bad:
        looseMm < 0
          ? `${formatPlain(-looseMm, 2)} mm too tight: the stone does not go in. One repeat more, or the fit by the stone alone.`
          : `${formatPlain(looseMm, 2)} mm loose: the wall has to be pressed in all round, or cut by the stone alone.`,
    }),
    limitCheck({
      code: 'bezel-height',
      ok: over >= 0.3 && over <= 1.5,
      level: 'warn',
      field: 'galleryMm',
      source: 'house-default',
      actual: over,
      limit: 0.5,
      good: `${formatPlain(over, 2)} mm stands over the turn of the stone.`,
      bad: `${formatPlain(over, 2)} mm stands over the turn of the stone; 0.3 to 1.5 holds it without hiding it.`,
    }),
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly a: number
  readonly marks: number
  readonly stone: Outline
  readonly strip: DrawingView
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { a, marks, stone, strip }: Drawn): DrawingView[] {
  return [
    view('plan', 'Stone and wall', {
      shapes: [region(setOffMm(stone, input.thicknessMm), [[...stone].reverse()])],
      dimensions: [
        {
          from: [-a, -input.stoneWidthMm / 2],
          to: [a, -input.stoneWidthMm / 2],
          offset: -2,
          text: `stone ${formatPlain(input.stoneLengthMm, 2)}`,
        },
      ],
      handles: [{ field: 'stoneLengthMm', label: 'length', at: [a, 0], along: [1, 0], gain: 2 }],
    }),
    {
      ...strip,
      shapes: [
        ...strip.shapes,
        ...Array.from({ length: marks }, (_, i) =>
          stroke('scribe', [(i + 1) * input.patternMm, 0], [(i + 1) * input.patternMm, input.galleryMm]),
        ),
      ],
    },
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.repeat))
}

const outcomeOf = (input: Input): OutcomeSpec =>
  asked('insideLongMm', 'Inside length', input.stoneLengthMm + roomOf([], input), 0.1, 1 / Math.PI)

function planGallery(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const exact = exactOf([], input)
  const answer = answerFor(log, input)
  const looseMm = roomOf(log, input)
  const over = input.galleryMm - input.bearingMm - input.turnMm
  const stone = stoneOutline(input)
  const a = input.stoneLengthMm / 2
  const marks = Math.min(80, Math.floor(answer.markAt / input.patternMm))
  const target = targetOf(outcomeOf(input))
  const strip = stripView(answer.markAt, input.galleryMm, {
    length: `cut ${formatPlain(answer.markAt, 2)}`,
    width: `${formatPlain(input.galleryMm, 2)} high`,
  })
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'gallery', outline: rectangleOutline(answer.markAt, input.galleryMm) })],
    results: {
      exactMm: { value: exact, unit: 'mm' },
      repeatsCount: { value: answer.markAt / input.patternMm, unit: 'count' },
      roomMm: { value: looseMm, unit: 'mm' },
      overTheTurnMm: { value: over, unit: 'mm' },
    },
    choice: schoolChoice('repeat', 'How the pattern closes', input.schools.repeat, REPEAT_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, { looseMm, over }),
    views: viewsOf(input, { a, marks, stone, strip }),
    sizedSteps: bentSteps({
      what: 'the gallery',
      cutMm: answer.markAt,
      insideRadiusMm: input.stoneWidthMm / 2,
      on: 'a bezel mandrel',
      target,
    }),
    regions: ['outside', 'inside', OVER_THE_STONE],
    solids: aroundSolid(setOffMm(stone, input.thicknessMm / 2), stripSection(input.galleryMm, input.thicknessMm)),
    method: `gallery bezel, ${REPEAT_TEXTS[input.schools.repeat].title.toLowerCase()}`,
  })
}

export const bezelGallery = defineForm({
  id: 'bezel-gallery',
  title: 'Gallery bezel',
  summary: 'A patterned wall round a stone: how many whole repeats close on it, how loose that leaves the stone, how high it stands.',
  input,
  // what it is soldered to is a part of its own
  upgrades: [({ plateAlloy: _, ...input }) => input],
  onlyWhen: { cornerMm: ['shape', 'cushion'] },
  example: {
    shape: 'oval',
    stoneLengthMm: 14,
    stoneWidthMm: 10,
    patternMm: 1.6,
    alloy: 'fine-silver',
    thicknessMm: '26 ga',
    galleryMm: 3.2,
  },
  ask: { words: ['gallery', 'gallery bezel'], sizes: ['stoneLengthMm', 'stoneWidthMm', 'patternMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['stoneLengthMm', 'stoneWidthMm', 'cornerMm', 'patternMm'],
  plan: planGallery,
})
