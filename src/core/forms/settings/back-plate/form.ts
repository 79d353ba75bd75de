import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import { offsetOutline } from '../../../geometry/clip'
import { netAreaMm2 } from '../../../geometry/outline'
import { boundsOf, type Outline } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { given, type WorkingLog } from '../../../working/derive'
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
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import { flatSteps, windowSteps } from '../../common/sized-steps'
import { cornerFits, notTurned, STONE_CORNER, STONE_TURNED, stoneFields, stoneOutline, stoneShape } from '../../common/stone'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'
import { PlanRefusal } from '../../refusal'

const EDGE_TEXTS = {
  flush: {
    title: 'Flush with the wall',
    why: 'The plate is filed back to the wall after soldering; a little is left outside to stand solder on.',
    formula: 'a + 2·w + 2·c',
  },
  ledge: {
    title: 'A ledge round it',
    why: 'A border stays outside the wall, for beads, twisted wire or a pattern.',
    formula: 'a + 2·w + 2·b + 2·c',
  },
} as const
type Edge = keyof typeof EDGE_TEXTS

const input = () =>
  z
    .strictObject({
      shape: stoneShape(),
      ...stoneFields,
      wallMm: lengthMm({ label: 'Wall of the bezel', min: 0.1, max: 3 }).default(0.3),
      borderMm: lengthMm({ label: 'Ledge outside the wall', min: 0, max: 30 }).default(1.5),
      ledgeMm: lengthMm({
        label: 'Ledge under the stone',
        min: 0,
        max: 60,
        help: 'Left round the window; 0 leaves the back closed.',
      }).default(0),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      cleanUpMm: commonFields.cleanUp(0.5),
      ...closingFields(0.1),
      schools: schoolsField({ edge: ['flush', 'ledge'] }),
    })
    .refine(notTurned, STONE_TURNED)
    .refine(cornerFits, STONE_CORNER)
    .refine((value) => value.ledgeMm === 0 || value.ledgeMm < value.stoneWidthMm / 2 - 0.5, {
      path: ['ledgeMm'],
      error: 'Ledge under the stone: no window stays; it must be half a millimetre under half the width',
    })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input, school: Edge): number {
  return bySchool(log, EDGE_TEXTS[school], 'parallel-curve', [
    given('a', 'stone length', input.stoneLengthMm),
    given('w', 'wall', input.wallMm),
    given('b', 'ledge outside', input.borderMm),
    given('c', 'clean-up', input.cleanUpMm),
  ])
}

/** The window under the stone: its outline set in by the ledge. Throws PlanRefusal where nothing, or more than one piece, is left of it. */
function windowOf({ ledgeMm }: Input, stone: Outline): Outline[] {
  if (ledgeMm === 0) return []
  const inner = offsetOutline(stone, -ledgeMm)
  const [window] = inner
  if (inner.length === 1 && window) return [[...window].reverse()]
  throw new PlanRefusal({ path: 'ledgeMm', message: 'Ledge under the stone: no window stays; a narrower ledge, or 0 for a closed back' })
}

/** What the checks weigh. */
interface Weighed {
  readonly school: 'flush' | 'ledge'
  readonly windowLongMm: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { school, windowLongMm }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'solder-shelf',
      ok: school === 'ledge' || input.cleanUpMm >= 0.4,
      level: 'warn',
      field: 'cleanUpMm',
      source: 'bench-practice',
      actual: input.cleanUpMm,
      limit: 0.4,
      good: 'There is room outside the wall to stand solder on.',
      bad: 'Leave half a millimetre outside the wall, or there is nowhere to stand the solder.',
    }),
    ...(input.ledgeMm > 0
      ? [
          limitCheck({
            code: 'stone-ledge',
            ok: input.ledgeMm >= 1,
            level: 'warn' as const,
            field: 'ledgeMm',
            source: 'bench-practice' as const,
            actual: input.ledgeMm,
            limit: 1,
            good: `The stone rests on ${formatPlain(input.ledgeMm, 2)} mm of ledge all round.`,
            bad: `A ledge of ${formatPlain(input.ledgeMm, 2)} mm hardly holds a stone: 1 mm is the usual least.`,
          }),
          {
            level: 'note' as const,
            code: 'spare-disc',
            source: 'bench-practice' as const,
            message: `The window gives back a piece ${formatPlain(windowLongMm, 2)} mm long: worth keeping.`,
          },
        ]
      : [
          {
            level: 'note' as const,
            code: 'closed-back',
            source: 'bench-practice' as const,
            message: 'A closed back: try the stone with a thread under it, so that it comes out again.',
          },
        ]),
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length over all', lengthOf(log, input, input.schools.edge))
}

const outcomeOf = (input: Input): OutcomeSpec =>
  asked('lengthMm', 'Plate over all', lengthOf([], input, input.schools.edge) - 2 * input.cleanUpMm, 0.2, 1)

function planBackPlate(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.edge
  const calculatedMm = lengthOf([], input, school)
  const answer = answerFor(log, input)
  const stone = stoneOutline(input)
  const outer = (answer.markAt - input.stoneLengthMm) / 2
  const outline = offsetOutline(stone, outer)[0] ?? []
  const window = windowOf(input, stone)
  const windowBox = boundsOf(window.flat())
  const reachMm = windowBox.maxX - windowBox.minX
  const plainMm = input.stoneLengthMm - 2 * input.ledgeMm
  // a set-off round end keeps its exact length; one that has grown sharp is as long as it is drawn
  const windowLongMm = Math.abs(reachMm - plainMm) < 0.02 ? plainMm : reachMm
  const areaMm2 = netAreaMm2(outline, window)
  const finishedMm = calculatedMm - 2 * input.cleanUpMm
  const target = targetOf(outcomeOf(input))
  const [a, b] = [answer.markAt / 2, input.stoneWidthMm / 2 + outer]
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'back plate', outline, holes: window, areaMm2 })],
    results: {
      windowMm: { value: windowLongMm, unit: 'mm' },
      windowAcrossMm: { value: windowBox.maxY - windowBox.minY, unit: 'mm' },
      acrossMm: { value: 2 * b, unit: 'mm' },
      finishedMm: { value: finishedMm, unit: 'mm' },
      areaMm2: { value: areaMm2, unit: 'mm2' },
    },
    choice: schoolChoice('edge', 'Where the plate ends', school, EDGE_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, { school, windowLongMm }),
    views: [
      view('blank', 'Blank', {
        shapes: [
          region(offsetOutline(stone, (finishedMm - input.stoneLengthMm) / 2)[0] ?? [], window),
          stroke('scribe', ...stone, stone[0] ?? [0, 0]),
          cutAround(outline, 'outside'),
          ...window.map((edge) => cutAround(edge, 'inside')),
        ],
        dimensions: [
          { from: [-a, -b], to: [a, -b], offset: -2, text: `saw outside at ${formatPlain(answer.markAt, 2)}` },
          { from: [a, -b], to: [a, b], offset: -1.2, text: formatPlain(2 * b, 2) },
          ...(windowLongMm > 0
            ? [
                {
                  from: [-windowLongMm / 2, 0] as const,
                  to: [windowLongMm / 2, 0] as const,
                  offset: 0,
                  text: `saw inside, ${formatPlain(windowLongMm, 2)}`,
                },
              ]
            : []),
        ],
        handles: [{ field: 'stoneLengthMm', label: 'length', at: [input.stoneLengthMm / 2, 0], along: [1, 0], gain: 2 }],
      }),
    ],
    sizedSteps: [
      ...(window.length > 0 ? windowSteps('the window, inside its line') : []),
      ...flatSteps('the plate', answer.markAt, target),
    ],
    ...(window.length > 0 ? {} : { without: ['window'] }),
    method: `back plate, ${EDGE_TEXTS[school].title.toLowerCase()}`,
  })
}

export const backPlate = defineForm({
  id: 'back-plate',
  title: 'Back plate of a bezel',
  summary: 'The plate a bezel stands on: flush or with a ledge for decoration, closed or with a window and a ledge under the stone.',
  input,
  onlyWhen: { cornerMm: ['shape', 'cushion'] },
  example: {
    shape: 'oval',
    stoneLengthMm: 16,
    stoneWidthMm: 12,
    alloy: 'sterling-925',
    thicknessMm: '22 ga',
    ledgeMm: 2,
    schools: { edge: 'ledge' },
  },
  ask: { words: ['back plate', 'base plate'], sizes: ['stoneLengthMm', 'stoneWidthMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['stoneLengthMm', 'wallMm', 'borderMm'],
  varies: { cleanUpMm: 0.1 },
  plan: planBackPlate,
})
