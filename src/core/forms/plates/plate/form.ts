import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import { offsetOutline } from '../../../geometry/clip'
import { netAreaMm2, perimeterMm } from '../../../geometry/outline'
import { type Bounds, boundsOf, type Outline } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { choice, count, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { cornerFields } from '../../common/free-outline'
import { platePlaces } from '../../common/places'
import {
  answerOf,
  asked,
  cleanUpOf,
  completePlan,
  hazardNotes,
  onlySchool,
  region,
  sheetBlank,
  targetOf,
  view,
} from '../../common/plan-kit'
import { PLATE_SHAPES, plateOutline } from '../../common/plate-outlines'
import { flatSteps, holeSteps, windowSteps } from '../../common/sized-steps'
import type { Answer, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'
import { openingChecks, openingsOf, WINDOWS, windowOf } from './openings'

const input = () =>
  z
    .strictObject({
      shape: choice('Shape', PLATE_SHAPES).default('rectangle'),
      lengthMm: lengthMm({ label: 'Length', min: 2, max: 500, help: 'Of a hexagon it follows from the width.' }),
      widthMm: lengthMm({ label: 'Width', min: 2, max: 500, help: 'Across the flats for a hexagon, the chord for a fan.' }),
      cornerMm: lengthMm({ label: 'Corner radius', min: 0, max: 200, help: 'Of a rectangle, a polygon or a free outline.' }).default(2),
      sideCount: count({ label: 'Sides', min: 3, max: 24, help: 'Of a polygon.' }).default(5),
      ...cornerFields,
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      holeMm: lengthMm({ label: 'Holes', min: 0, max: 60, help: '0 for none.' }).default(0),
      holeCount: count({ label: 'How many holes', min: 1, max: 12 }).default(2),
      holePitchMm: lengthMm({ label: 'Between hole centres', min: 0, max: 480, help: 'In a row along the middle.' }).default(20),
      window: choice('Window', WINDOWS).default('none'),
      windowLengthMm: lengthMm({ label: 'Window length', min: 0.5, max: 450, help: 'In the middle of the plate.' }).default(10),
      windowWidthMm: lengthMm({ label: 'Window width', min: 0.5, max: 450 }).default(6),
      cleanUpMm: commonFields.cleanUp(0.25),
      ...closingFields(0.1),
      schools: schoolsField({ cut: ['saw'] }),
    })
    .refine((value) => value.shape !== 'fan' || value.widthMm < 2 * value.lengthMm, {
      path: ['widthMm'],
      error: 'Width: the chord of a fan must be less than twice its radius',
    })
    .refine((value) => value.shape !== 'hexagon' || value.lengthMm >= value.widthMm, {
      path: ['lengthMm'],
      error: 'Length: a hexagon is longer across its points than across its flats; enter at least the width',
    })
    .refine((value) => value.shape !== 'double-d' || value.widthMm < value.lengthMm, {
      path: ['widthMm'],
      error: 'Width: the straight sides of a double D lie closer together than its circle is wide; enter less than the length',
    })
type Input = OutputOf<typeof input>

/** What the views draw. */
interface Drawn {
  readonly box: Bounds
  readonly cut: Outline
  readonly finished: Outline
  readonly grow: number
  readonly holes: readonly Outline[]
  readonly plain: string
  readonly sawLine: string
  readonly upright: boolean
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { box, cut, finished, grow, holes, plain, sawLine, upright }: Drawn): DrawingView[] {
  return [
    view('blank', 'Blank', {
      shapes: [region(finished, holes), cutAround(cut, 'outside'), ...windowOf(input).map((window) => cutAround(window, 'inside'))],
      dimensions: [
        {
          from: [box.minX - (upright ? 0 : grow), box.minY - grow],
          to: [box.maxX + (upright ? 0 : grow), box.minY - grow],
          offset: -2,
          text: upright ? plain : sawLine,
        },
        {
          from: [box.maxX + grow, box.minY - (upright ? grow : 0)],
          to: [box.maxX + grow, box.maxY + (upright ? grow : 0)],
          offset: -1.2,
          text: upright ? sawLine : plain,
        },
      ],
      handles: [
        upright
          ? { field: 'lengthMm', label: 'length', at: [0, box.maxY], along: [0, 1], gain: 2 }
          : { field: 'lengthMm', label: 'length', at: [box.maxX, 0], along: [1, 0], gain: 2 },
      ],
    }),
  ]
}

/** How long and how wide the finished outline is over all; a shield stands upright. */
function overAll(input: Input) {
  const finished = plateOutline(input)
  const box = boundsOf(finished)
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY]
  const upright = input.shape === 'shield'
  return { finished, box, upright, overall: upright ? high : wide, across: upright ? wide : high }
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length over all', overAll(input).overall, cleanUpOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('lengthMm', 'Length', overAll(input).overall, 0.2, 1)

function planPlate(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const { finished, box, upright, overall, across } = overAll(input)
  const holes = openingsOf(input)
  const answer = answerFor(log, input)
  const grow = Math.max(0, (answer.markAt - overall) / 2)
  const cut = grow > 0.004 ? (offsetOutline(finished, grow)[0] ?? finished) : finished
  const sawLine = `saw outside at ${formatPlain(answer.markAt, 2)}`
  const plain = `${formatPlain(across, 2)} finished`
  const areaMm2 = netAreaMm2(cut, holes)
  derive(log, {
    label: 'Area of the blank',
    formula: 'A − H',
    unit: 'mm2',
    source: 'closed-form',
    given: [given('A', 'outline', netAreaMm2(cut), 'mm2'), given('H', 'its holes', netAreaMm2(cut) - areaMm2, 'mm2')],
  })
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'plate', outline: cut, holes, areaMm2 })],
    results: {
      areaMm2: { value: areaMm2, unit: 'mm2' },
      perimeterMm: { value: perimeterMm(finished), unit: 'mm' },
      acrossMm: { value: across, unit: 'mm' },
    },
    choice: onlySchool('cut', 'How it is cut', {
      id: 'saw',
      title: 'Saw and file true',
      value: answer.value,
      why: 'Outside the line all round; holes are drilled before the rim is sawn.',
    }),
    checks: [...openingChecks(input, finished), ...hazardNotes(input.alloy)],
    views: viewsOf(input, { box, cut, finished, grow, holes, plain, sawLine, upright }),
    sizedSteps: [
      ...holeSteps('holes', input.holeMm),
      ...(input.window === 'none' ? [] : windowSteps('the window, inside its line')),
      ...flatSteps('the outline', answer.markAt, target),
    ],
    without: [...(input.holeMm > 0 ? [] : ['holes']), ...(input.window === 'none' ? ['window'] : [])],
    places: platePlaces(finished, holes, input.thicknessMm),
    solids: [{ solid: { kind: 'plate', outline: finished, holes, thicknessMm: input.thicknessMm }, at: [0, 0, 0] }],
    method: `plate, ${PLATE_SHAPES[input.shape].toLowerCase()}`,
  })
}

export const plate = defineForm({
  id: 'plate',
  title: 'Plate',
  summary: 'A flat plate from a simple outline, with a row of holes: the saw line, the metal that stays, what it weighs.',
  input,
  onlyWhen: {
    cornerMm: ['shape', 'rectangle', 'polygon', 'free'],
    sideCount: ['shape', 'polygon'],
    corners: ['shape', 'free'],
    mirror: ['shape', 'free'],
    windowLengthMm: ['window', 'rectangle', 'slot', 'oval'],
    windowWidthMm: ['window', 'rectangle', 'slot', 'oval'],
  },
  example: {
    shape: 'shield',
    lengthMm: 34,
    widthMm: 27,
    alloy: 'yellow-brass-c260',
    thicknessMm: '19 ga',
    holeMm: 2,
    holeCount: 2,
    holePitchMm: 15,
  },
  ask: { words: ['plate', 'badge', 'label'], sizes: ['lengthMm', 'widthMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['lengthMm'],
  varies: { cleanUpMm: 0.1 },
  plan: planPlate,
})
