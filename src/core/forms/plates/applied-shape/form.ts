import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import type { Place } from '../../../drawing/place'
import type { SolidPart } from '../../../drawing/solid/solid'
import { offsetOutline } from '../../../geometry/clip'
import { circleOutline, netAreaMm2 } from '../../../geometry/outline'
import { boundsOf, type Outline, type Point } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { choice, count, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { aboutPath } from '../../common/bent-part'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { cornerFields } from '../../common/free-outline'
import { platePlaces } from '../../common/places'
import {
  answerOf,
  asked,
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
import { PLATE_SHAPES, plateOutline } from '../../common/plate-outlines'
import { flatSteps } from '../../common/sized-steps'
import { bentSolid, stripSection, taperOf } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const { oval, rectangle, slot, diamond, polygon, free } = PLATE_SHAPES
const SHAPES = { oval, rectangle, slot, diamond, polygon, free }

const MEASURE_TEXTS = {
  across: {
    title: 'Straight across, by calipers',
    why: 'From tip to tip of the bent shape: its outside is an arc over that chord, and the middle of the metal keeps its length.',
    formula: '(D + t)·asin(a/(D + 2·t))',
  },
  over: {
    title: 'Over the curve, by a paper strip',
    why: 'Along the outside of the bent shape; the middle of the metal, which keeps its length, is shorter.',
    formula: 'a·(D + t)/(D + 2·t)',
  },
} as const
type Measure = keyof typeof MEASURE_TEXTS

const input = () =>
  z
    .strictObject({
      shape: choice('Shape', SHAPES).default('oval'),
      lengthMm: lengthMm({ label: 'Along the curve', min: 1, max: 120, help: 'The way it is bent.' }),
      widthMm: lengthMm({ label: 'Across', min: 1, max: 120 }),
      onMm: lengthMm({ label: 'Goes on, outside diameter', min: 0, max: 400, help: 'Of the ring or bangle; 0 where it lies flat.' }),
      bandMm: lengthMm({ label: 'Width of the band under it', min: 0, max: 60, help: '0 where it does not matter.' }).default(0),
      cornerMm: lengthMm({ label: 'Corner radius', min: 0, max: 30, help: 'Of a rectangle, a polygon or a free outline.' }).default(0.5),
      sideCount: count({ label: 'Sides', min: 3, max: 24, help: 'Of a polygon.' }).default(5),
      ...cornerFields,
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      cleanUpMm: commonFields.cleanUp(0.15),
      ...closingFields(0.1),
      schools: schoolsField({ measure: ['across', 'over'] }),
    })
    .refine((value) => value.onMm === 0 || value.onMm >= 2, {
      path: ['onMm'],
      error: 'Goes on, outside diameter: 2 mm at least, or 0 where it lies flat',
    })
    .refine((value) => value.onMm === 0 || value.lengthMm <= 0.9 * (value.onMm + 2 * value.thicknessMm), {
      path: ['lengthMm'],
      error: 'Along the curve: it is nearly as long as what it goes on is wide; make it shorter, or a band of its own',
    })
type Input = OutputOf<typeof input>

/** Whether it is bent: it goes on something that it does not reach across. */
const isBent = ({ onMm, lengthMm, thicknessMm }: Input) => onMm >= 1 && lengthMm < onMm + 2 * thicknessMm

/** Length along the middle of the metal, mm. */
function flatLengthMm(log: WorkingLog, input: Input, school: Measure): number {
  const a = given('a', school === 'across' ? 'tip to tip' : 'over the curve', input.lengthMm)
  if (!isBent(input)) return derive(log, { label: 'Lies flat', formula: 'a', unit: 'mm', source: 'closed-form', given: [a] })
  const { title, formula } = MEASURE_TEXTS[school]
  return derive(log, {
    label: title,
    formula,
    unit: 'mm',
    source: 'closed-form',
    given: [a, given('D', 'what it goes on', input.onMm), given('t', 'thickness', input.thicknessMm)],
  })
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length along the curve', flatLengthMm(log, input, input.schools.measure), cleanUpOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('lengthMm', 'Along the curve', input.lengthMm, 0.15)

/** The finished shape laid flat, about its middle. */
function flatOutline(input: Input, lengthMm: number): Outline {
  const outline = plateOutline({ ...input, lengthMm })
  const { minX, maxX } = boundsOf(outline)
  return outline.map(([x, y]): Point => [(x - (minX + maxX) / 2) * (lengthMm / (maxX - minX)), y])
}

/** Radius of the middle of the metal where it is bent, and the angle it takes there. */
function bendOf({ onMm, thicknessMm }: Input, lengthMm: number) {
  const radiusMm = (onMm + thicknessMm) / 2
  return { radiusMm, turnRad: lengthMm / radiusMm }
}

/** The bent shape in space: its crown at the origin, its inside towards the ring. */
function bentShape(input: Input, outline: Outline, lengthMm: number): SolidPart[] {
  const { radiusMm, turnRad } = bendOf(input, lengthMm)
  const section = stripSection(input.widthMm, input.thicknessMm)
  const at = [-radiusMm * Math.sin(turnRad / 2), radiusMm * (Math.cos(turnRad / 2) - 1) + input.thicknessMm / 2, 0] as const
  return bentSolid([{ radiusMm, turnRad: -turnRad }], section, taperOf(outline)).map((part) => ({ ...part, at, turnRad: turnRad / 2 }))
}

/** Places of a bent shape: its inside lies on the ring. */
function bentPlaces(outline: Outline, thicknessMm: number): Place[] {
  const faces = { kind: 'face', blankCurve: outline, areaMm2: netAreaMm2(outline), thicknessMm } as const
  return [
    { ...faces, id: 'face', title: 'Face', side: 'outside', finishedFrame: { origin: [0, thicknessMm, 0], x: [1, 0, 0], y: [0, 0, -1] } },
    { ...faces, id: 'back', title: 'Back', side: 'inside', finishedFrame: { origin: [0, 0, 0], x: [1, 0, 0], y: [0, 0, 1] } },
  ]
}

const ORIGIN: Point = [0, 0]

/** On the ring as it is seen from the side of the ring. */
function onRingView(input: Input, lengthMm: number): DrawingView {
  const { radiusMm, turnRad } = bendOf(input, lengthMm)
  const steps = 24
  const path = Array.from({ length: steps + 1 }, (_, i): Point => {
    const angle = Math.PI / 2 + turnRad * (0.5 - i / steps)
    return [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)]
  })
  const ring = circleOutline(input.onMm / 2)
  const half = [Math.sin(turnRad / 2), Math.cos(turnRad / 2)].map((part) => part * (radiusMm + input.thicknessMm / 2))
  const [x = 0, y = 0] = half
  return view('side', 'On the ring', {
    shapes: [stroke('tool', ...ring, ring[0] ?? ORIGIN), region(aboutPath(path, input.thicknessMm))],
    dimensions: [{ from: [-x, y], to: [x, y], offset: 2, text: `${formatPlain(2 * x, 2)} tip to tip` }],
  })
}

function blankView(input: Input, finished: Outline, cut: Outline, answer: Answer): DrawingView {
  const box = boundsOf(cut)
  const bare = boundsOf(finished)
  return view('blank', 'Blank', {
    shapes: [region(finished), cutAround(cut, 'outside')],
    dimensions: [
      { from: [box.minX, box.minY], to: [box.maxX, box.minY], offset: -2, text: `saw outside at ${formatPlain(answer.markAt, 2)}` },
      { from: [bare.maxX, bare.minY], to: [bare.maxX, bare.maxY], offset: -1.2, text: `${formatPlain(input.widthMm, 2)} finished` },
    ],
    handles: [{ field: 'lengthMm', label: 'along', at: [box.maxX, 0], along: [1, 0], gain: 2 }],
  })
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, lengthMm: number): Check[] {
  const edgeMm = input.bandMm - input.widthMm
  const flat =
    input.onMm > 0
      ? []
      : [{ level: 'note', code: 'applied-flat', source: 'bench-practice', message: 'Sand its back flat before it is soldered.' } as const]
  return [
    ...flat,
    ...(input.onMm > 0
      ? [
          limitCheck({
            code: 'applied-wraps',
            ok: bendOf(input, lengthMm).turnRad <= Math.PI / 2,
            level: 'warn',
            field: 'lengthMm',
            source: 'bench-practice',
            actual: input.lengthMm,
            limit: Math.SQRT1_2 * input.onMm,
            good: 'Bend it over the mandrel to the curve of the ring before it is soldered; no light under it.',
            bad: 'It goes more than a quarter of the way round: its ends lift as it heats. Tie it on with wire, or make it shorter.',
          }),
        ]
      : []),
    ...(input.bandMm > 0
      ? [
          limitCheck({
            code: 'applied-overhang',
            ok: edgeMm >= 0,
            level: 'note',
            field: 'widthMm',
            source: 'bench-practice',
            actual: input.widthMm,
            limit: input.bandMm,
            good: `${formatPlain(edgeMm / 2, 2)} mm of the band stays to each side.`,
            bad: `It stands ${formatPlain(-edgeMm / 2, 2)} mm over the band on each side: solder holds only over the band, and the edges catch.`,
          }),
        ]
      : []),
    ...hazardNotes(input.alloy),
  ]
}

function planShape(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.measure
  const lengthMm = flatLengthMm([], input, school)
  const answer = answerFor(log, input)
  const finished = flatOutline(input, lengthMm)
  const grow = (answer.markAt - lengthMm) / 2
  const cut = Math.abs(grow) > 0.004 ? (offsetOutline(finished, grow)[0] ?? finished) : finished
  const areaMm2 = netAreaMm2(cut)
  const target = targetOf(outcomeOf(input))
  const bent = isBent(input)
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'shape', outline: cut, areaMm2 })],
    results: { areaMm2: { value: areaMm2, unit: 'mm2' }, flatLengthMm: { value: lengthMm, unit: 'mm' } },
    choice: schoolChoice('measure', 'How its length is measured', school, MEASURE_TEXTS, (id) => flatLengthMm([], input, id)),
    checks: checksOf(input, lengthMm),
    views: [blankView(input, finished, cut, answer), ...(bent ? [onRingView(input, lengthMm)] : [])],
    sizedSteps: [
      ...flatSteps('the outline', answer.markAt, target),
      { op: 'bend', params: { insideRadiusMm: Math.max(1, input.onMm / 2), what: 'it to the curve of the ring', manner: 'shape' } },
    ],
    without: bent ? [] : ['bend'],
    places: bent ? bentPlaces(finished, input.thicknessMm) : platePlaces(finished, [], input.thicknessMm),
    solids: bent
      ? bentShape(input, finished, lengthMm)
      : [{ solid: { kind: 'plate', outline: finished, holes: [], thicknessMm: input.thicknessMm }, at: [0, 0, 0] }],
    method: `applied shape, ${SHAPES[input.shape].toLowerCase()}`,
  })
}

export const appliedShape = defineForm({
  id: 'applied-shape',
  title: 'Applied shape',
  summary: 'A small shape to be soldered on a ring, a bangle or a flat piece: its blank, bent to the curve it goes on.',
  input,
  onlyWhen: {
    cornerMm: ['shape', 'rectangle', 'polygon', 'free'],
    sideCount: ['shape', 'polygon'],
    corners: ['shape', 'free'],
    mirror: ['shape', 'free'],
  },
  example: { lengthMm: 7.5, widthMm: 4.4, onMm: 20.5, alloy: 'sterling-925', thicknessMm: '20 ga' },
  ask: { words: ['applied shape', 'applied'], sizes: ['lengthMm', 'widthMm', 'onMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['lengthMm', 'onMm'],
  varies: { cleanUpMm: 0.05 },
  plan: planShape,
})
