import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import { offsetOutline } from '../../../geometry/clip'
import { windowToEdgeMm } from '../../../geometry/distance'
import { netAreaMm2 } from '../../../geometry/outline'
import { boundsOf, type Outline } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { angleDeg, choice, lengthMm, words } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { cornerFields } from '../../common/free-outline'
import { platePlaces } from '../../common/places'
import {
  answerOf,
  asked,
  bySchool,
  cleanUpOf,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import { flatSteps } from '../../common/sized-steps'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'
import { EYES, eyeWindows, MASKS, maskOutline } from './shapes'

const MEASURE_TEXTS = {
  over: {
    title: 'Over the form, by paper',
    why: 'A paper strip laid over the face or the model from temple to temple: the metal follows it.',
    formula: 'w',
  },
  front: {
    title: 'Straight across, and the depth',
    why: 'From temple to temple by calipers and how far the middle stands forward: the blank is the arc over them.',
    formula: '(w^2/4 + d^2)/d·asin(w·d/(w^2/4 + d^2))',
  },
} as const
type Measure = keyof typeof MEASURE_TEXTS

const input = () =>
  z
    .strictObject({
      outline: choice('Outline', MASKS).default('half'),
      widthMm: lengthMm({ label: 'Temple to temple', min: 20, max: 500 }),
      heightMm: lengthMm({ label: 'Brow to lower edge', min: 10, max: 600, help: 'Over the form.' }),
      depthMm: lengthMm({ label: 'Stands forward in the middle', min: 1, max: 200, help: 'Where it is measured straight across.' }).default(
        30,
      ),
      ...cornerFields,
      cornerMm: lengthMm({ label: 'Corner radius', min: 0, max: 60, help: 'Of a free outline.' }).default(6),
      eye: choice('Eyes', EYES).default('almond'),
      eyeLengthMm: lengthMm({ label: 'Eye length', min: 3, max: 120 }),
      eyeWidthMm: lengthMm({ label: 'Eye width', min: 2, max: 120 }),
      eyeTiltDeg: angleDeg({ label: 'Outer corner up by', min: -60, max: 60 }).default(6),
      eyesApartMm: lengthMm({ label: 'Eyes apart, middle to middle', min: 8, max: 250 }),
      eyesUpMm: lengthMm({ label: 'Eyes above the middle', min: -200, max: 200 }).default(0),
      eyeCorners: words(
        'Corners of a free eye',
        2000,
        'Of the right one, such as 0 0; 10 4; 20 0; 10 -4; stretched to its length and width.',
      ).default('0 0; 10 -4; 20 1; 8 5'),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      cleanUpMm: commonFields.cleanUp(1),
      ...closingFields(0.5, 'paper'),
      schools: schoolsField({ measure: ['over', 'front'] }),
    })
    .refine((value) => value.depthMm <= value.widthMm / 2, {
      path: ['depthMm'],
      error: 'Stands forward in the middle: at most half of temple to temple; deeper is raised as a vessel is',
    })
    .refine((value) => value.eyeWidthMm <= value.eyeLengthMm, {
      path: ['eyeWidthMm'],
      error: 'Eye width: it is more than the length; swap them',
    })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input, school: Measure): number {
  return bySchool(log, MEASURE_TEXTS[school], school === 'over' ? 'bench-practice' : 'closed-form', [
    given('w', 'temple to temple', input.widthMm),
    given('d', 'stands forward', input.depthMm),
  ])
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut width', lengthOf(log, input, input.schools.measure), cleanUpOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('widthMm', 'Temple to temple', input.widthMm, 2)

/** Least metal between an eye and the edge, and between the two eyes, mm; negative where they run over. */
function bridges(outline: Outline, eyes: readonly Outline[]) {
  const [left = [], right = []] = eyes
  const nearest = Math.min(...right.map(([x]) => x))
  return { edgeMm: Math.min(windowToEdgeMm(left, outline), windowToEdgeMm(right, outline)), betweenMm: 2 * nearest }
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, outline: Outline, eyes: readonly Outline[]): Check[] {
  const { edgeMm, betweenMm } = bridges(outline, eyes)
  return [
    limitCheck({
      code: 'eye-edge',
      ok: edgeMm >= 6,
      level: edgeMm <= 0 ? 'stop' : 'warn',
      field: 'eyesApartMm',
      source: 'bench-practice',
      actual: edgeMm,
      limit: 6,
      good: `${formatPlain(edgeMm, 1)} mm of metal stays between an eye and the edge.`,
      bad:
        edgeMm <= 0
          ? 'The eyes run over the edge: bring them closer together, or make them smaller.'
          : `Only ${formatPlain(edgeMm, 1)} mm stays between an eye and the edge: it stretches and tears there as the form is worked; 6 mm is the usual least.`,
    }),
    limitCheck({
      code: 'eye-bridge',
      ok: betweenMm >= 10,
      level: betweenMm <= 0 ? 'stop' : 'warn',
      field: 'eyesApartMm',
      source: 'bench-practice',
      actual: betweenMm,
      limit: 10,
      good: `${formatPlain(betweenMm, 1)} mm of metal stays over the nose.`,
      bad:
        betweenMm <= 0
          ? 'The eyes run into one another: set them further apart.'
          : `Only ${formatPlain(betweenMm, 1)} mm stays over the nose, where the metal is worked most; 10 mm is the usual least.`,
    }),
    {
      level: 'note',
      code: 'eyes-small-first',
      source: 'bench-practice',
      message:
        'Cut the eyes a little small: they open and shift as the nose and the brow are raised, and are filed to their line on the finished form.',
    },
    {
      level: 'note',
      code: 'mask-half-template',
      source: 'bench-practice',
      message: 'Draw one half on folded paper and cut both at once, so that the two sides are alike; scribe the middle line on the metal.',
    },
    ...hazardNotes(input.alloy),
  ]
}

interface Drawn {
  readonly finished: Outline
  readonly cut: Outline
  readonly eyes: readonly Outline[]
  readonly answer: Answer
}

function blankView(input: Input, { finished, cut, eyes, answer }: Drawn): DrawingView {
  const box = boundsOf(cut)
  const bare = boundsOf(finished)
  return view('blank', 'Blank', {
    shapes: [
      region(finished, eyes),
      cutAround(cut, 'outside'),
      ...eyes.map((eye) => cutAround(eye, 'inside')),
      stroke('centre', [0, box.minY], [0, box.maxY]),
    ],
    dimensions: [
      { from: [box.minX, box.minY], to: [box.maxX, box.minY], offset: -2, text: `saw outside at ${formatPlain(answer.markAt, 1)}` },
      { from: [bare.maxX, bare.minY], to: [bare.maxX, bare.maxY], offset: -1.2, text: `${formatPlain(input.heightMm, 1)} finished` },
      {
        from: [-input.eyesApartMm / 2, input.eyesUpMm],
        to: [input.eyesApartMm / 2, input.eyesUpMm],
        offset: 0,
        text: `eyes ${formatPlain(input.eyesApartMm, 1)} apart`,
      },
    ],
    handles: [
      { field: 'widthMm', label: 'width', at: [box.maxX, 0], along: [1, 0], gain: 2 },
      { field: 'eyesApartMm', label: 'eyes', at: [input.eyesApartMm / 2, input.eyesUpMm], along: [1, 0], gain: 2 },
    ],
  })
}

function planMask(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.measure
  const flatMm = lengthOf([], input, school)
  const answer = answerFor(log, input)
  const finished = maskOutline(input, flatMm, input.heightMm)
  const grow = (answer.markAt - flatMm) / 2
  const cut = Math.abs(grow) > 0.004 ? (offsetOutline(finished, grow)[0] ?? finished) : finished
  const eyes = eyeWindows(input)
  const areaMm2 = netAreaMm2(cut, eyes)
  const target = targetOf(outcomeOf(input))
  const windowsOn = (['eye-left', 'eye-right'] as const).flatMap((at) => [
    { op: 'saw', at, params: { what: 'the eye, inside its line', side: 'inside' } } as const,
    { op: 'file', at, params: { what: 'the eye nearly to its line' } } as const,
  ])
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'mask', outline: cut, holes: eyes, areaMm2 })],
    results: {
      areaMm2: { value: areaMm2, unit: 'mm2' },
      flatWidthMm: { value: flatMm, unit: 'mm' },
      bridgeMm: { value: bridges(finished, eyes).betweenMm, unit: 'mm' },
    },
    choice: schoolChoice('measure', 'How the width is measured', school, MEASURE_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, finished, eyes),
    views: [blankView(input, { finished, cut, eyes, answer })],
    sizedSteps: [...windowsOn, ...flatSteps('the outline', answer.markAt, target)],
    places: platePlaces(finished, eyes, input.thicknessMm),
    solids: [{ solid: { kind: 'plate', outline: finished, holes: eyes, thicknessMm: input.thicknessMm }, at: [0, 0, 0] }],
    method: `mask, ${MASKS[input.outline].toLowerCase()}`,
  })
}

export const maskBlank = defineForm({
  id: 'mask-blank',
  title: 'Mask',
  summary: 'Sheet for a mask raised over landmarks: outline and eye windows of any shape, measured over the form or straight across.',
  input,
  onlyWhen: {
    corners: ['outline', 'free'],
    mirror: ['outline', 'free'],
    cornerMm: ['outline', 'free'],
    eyeCorners: ['eye', 'free'],
  },
  example: {
    widthMm: 186,
    heightMm: 92,
    eyeLengthMm: 37,
    eyeWidthMm: 17,
    eyesApartMm: 64,
    eyesUpMm: 8,
    alloy: 'copper-c110',
    thicknessMm: '19 ga',
  },
  ask: { words: ['mask'], sizes: ['widthMm', 'heightMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['widthMm', 'depthMm'],
  varies: { cleanUpMm: 0.5 },
  plan: planMask,
})
