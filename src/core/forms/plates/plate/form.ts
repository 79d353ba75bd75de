import * as z from 'zod'
import { offsetOutline } from '../../../geometry/clip'
import { circleHole, netAreaMm2, perimeterMm } from '../../../geometry/outline'
import { boundsOf, type Outline } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { choice, count, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { note, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  completePlan,
  hazardNotes,
  limitCheck,
  measuringBand,
  onlySchool,
  region,
  sheetBlank,
  stroke,
  view,
} from '../../common/plan-kit'
import { flatRoute } from '../../common/routes'
import type { FormPlan } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'
import { PLATE_SHAPES, plateOutline } from './outlines'

const input = z
  .strictObject({
    shape: choice('Shape', PLATE_SHAPES).default('rectangle'),
    lengthMm: lengthMm({ label: 'Long way', min: 2, max: 500, help: 'Of a hexagon it follows from the short way.' }),
    widthMm: lengthMm({ label: 'Short way', min: 2, max: 500, help: 'Across the flats for a hexagon, the chord for a fan.' }),
    cornerMm: lengthMm({ label: 'Corner radius', min: 0, max: 200, help: 'Of a rectangle.' }).default(2),
    alloy: commonFields.alloy(),
    thicknessMm: commonFields.thickness(),
    holeMm: lengthMm({ label: 'Holes', min: 0, max: 60, help: '0 for none.' }).default(0),
    holeCount: count({ label: 'How many holes', min: 1, max: 12 }).default(2),
    holePitchMm: lengthMm({ label: 'Between hole centres', min: 0, max: 480, help: 'In a row along the middle.' }).default(20),
    cleanUpMm: commonFields.cleanUp(0.25),
    ...closingFields(0.1),
    schools: schoolsField({ cut: ['saw'] }),
  })
  .refine((value) => value.shape !== 'fan' || value.widthMm < 2 * value.lengthMm, {
    path: ['widthMm'],
    error: 'Short way: the chord of a fan must be less than twice its radius',
  })
  .refine((value) => value.shape !== 'hexagon' || value.lengthMm >= value.widthMm, {
    path: ['lengthMm'],
    error: 'Long way: a hexagon is longer across its points than across its flats; enter at least the short way',
  })
type Input = OutputOf<typeof input>

function holesOf(input: Input): Outline[] {
  if (input.holeMm === 0) return []
  const first = (-(input.holeCount - 1) * input.holePitchMm) / 2
  return Array.from({ length: input.holeCount }, (_, i) => circleHole(input.holeMm / 2, [first + i * input.holePitchMm, 0]))
}

/** Least metal between the holes and the edge, and between one hole and the next; infinite where there is none to tear. */
function websOf(input: Input, outline: Outline): { edgeMm: number; betweenMm: number } {
  if (input.holeMm === 0) return { edgeMm: 1000, betweenMm: 1000 }
  const box = boundsOf(outline)
  const reach = ((input.holeCount - 1) * input.holePitchMm) / 2 + input.holeMm / 2
  const ends = Math.min(box.maxX, -box.minX) - reach
  const sides = Math.min(box.maxY, -box.minY) - input.holeMm / 2
  return { edgeMm: Math.min(ends, sides), betweenMm: input.holeCount > 1 ? input.holePitchMm - input.holeMm : 1000 }
}

function webChecks(input: Input, outline: Outline) {
  if (input.holeMm === 0) return []
  const { edgeMm, betweenMm } = websOf(input, outline)
  return [
    limitCheck({
      code: 'hole-edge-distance',
      ok: edgeMm >= 1,
      level: edgeMm < 0 ? 'stop' : 'warn',
      field: 'holePitchMm',
      source: 'bench-practice',
      actual: edgeMm,
      limit: 1,
      good: `${formatPlain(edgeMm, 2)} mm of metal stays between the holes and the edge.`,
      bad:
        edgeMm < 0
          ? 'The holes run over the edge: bring them closer together or make them smaller.'
          : `Only ${formatPlain(edgeMm, 2)} mm stays between a hole and the edge; 1 mm is the usual least.`,
    }),
    ...(input.holeCount > 1
      ? [
          limitCheck({
            code: 'hole-web',
            ok: betweenMm >= 1,
            level: betweenMm < 0 ? ('stop' as const) : ('warn' as const),
            field: 'holePitchMm',
            source: 'bench-practice' as const,
            actual: betweenMm,
            limit: 1,
            good: `${formatPlain(betweenMm, 2)} mm of metal stays between the holes.`,
            bad:
              betweenMm < 0
                ? 'The holes run into one another: space them further apart.'
                : `Only ${formatPlain(betweenMm, 2)} mm stays between the holes; 1 mm is the usual least.`,
          }),
        ]
      : []),
  ]
}

function planPlate(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const finished = plateOutline(input)
  const box = boundsOf(finished)
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY]
  const upright = input.shape === 'shield'
  const [overall, across] = upright ? [high, wide] : [wide, high]
  const holes = holesOf(input)
  const answer = answerOf(log, input, 'cut length over all', overall, [
    { symbol: 'c', name: 'clean-up a side', valueMm: input.cleanUpMm, times: 2 },
  ])
  const grow = Math.max(0, (answer.markAt - overall) / 2)
  const cut = grow > 0.004 ? (offsetOutline(finished, grow)[0] ?? finished) : finished
  const sawLine = `saw outside at ${formatPlain(answer.markAt, 2)}`
  const plain = `${formatPlain(across, 2)} finished`
  const areaMm2 = netAreaMm2(cut, holes)
  note(log, {
    kind: 'lookup',
    label: 'Area of the blank',
    formula: 'outline less its holes',
    value: areaMm2,
    unit: 'mm2',
    source: 'closed-form',
  })
  const target = { dimension: 'lengthMm', label: 'Long way', valueMm: overall, plusMinusMm: 0.2 }
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
    sensitivity: [{ input: 'clean-up', change: '+ 0.1 mm', effect: '+ 0.2 mm over all' }],
    checks: [...webChecks(input, finished), ...hazardNotes(input.alloy)],
    uncertainty: measuringBand(input.measuredWith, 1),
    views: [
      view('blank', 'Blank', {
        shapes: [region(finished, holes), stroke('saw', ...cut, cut[0] ?? [0, 0])],
        dimensions: [
          { from: [box.minX - grow, box.minY - grow], to: [box.maxX + grow, box.minY - grow], offset: -2, text: upright ? plain : sawLine },
          {
            from: [box.maxX + grow, box.minY - grow],
            to: [box.maxX + grow, box.maxY + grow],
            offset: -1.2,
            text: upright ? sawLine : plain,
          },
        ],
        handles: [
          upright
            ? { field: 'lengthMm', label: 'long way', at: [0, box.maxY], along: [0, 1], gain: 2 }
            : { field: 'lengthMm', label: 'long way', at: [box.maxX, 0], along: [1, 0], gain: 2 },
        ],
      }),
    ],
    route: [
      ...(input.holeMm > 0 ? [{ op: 'drill' as const, params: { diameterMm: Math.min(20, Math.max(0.3, input.holeMm)) } }] : []),
      ...flatRoute('the outline', answer.markAt, target),
    ],
    learns: { target, blankPerMm: 1 },
    method: `plate, ${PLATE_SHAPES[input.shape].toLowerCase()}`,
  })
}

export const plate = defineForm({
  id: 'plate',
  title: 'Plate',
  summary: 'A flat plate from a simple outline, with a row of holes: the saw line, the metal that stays, what it weighs.',
  inputVersion: 1,
  upgrades: [],
  input,
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
  plan: planPlate,
})
