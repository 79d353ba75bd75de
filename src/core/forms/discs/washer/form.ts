import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import { circleHole, circleOutline } from '../../../geometry/outline'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  cleanUpOf,
  completePlan,
  hazardNotes,
  limitCheck,
  onlySchool,
  region,
  sheetBlank,
  targetOf,
  view,
} from '../../common/plan-kit'
import { windowSteps } from '../../common/sized-steps'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const input = () =>
  z
    .strictObject({
      outsideMm: lengthMm({ label: 'Outside', min: 2, max: 400 }),
      windowMm: lengthMm({ label: 'Window', min: 0.5, max: 390 }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      cleanUpMm: commonFields.cleanUp(0.2),
      ...closingFields(0.1),
      schools: schoolsField({ cut: ['saw'] }),
    })
    .refine((value) => value.windowMm < value.outsideMm - 0.4, {
      path: ['windowMm'],
      error: 'Window: less than 0.2 mm of metal would stay round it; it must be smaller than the outside',
    })
    .refine((value) => value.windowMm > 2 * value.cleanUpMm, {
      path: ['cleanUpMm'],
      error: 'Filing allowance per side: it is more than the window; it must be less than half of it',
    })
type Input = OutputOf<typeof input>

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, web: number): Check[] {
  return [
    limitCheck({
      code: 'web',
      ok: web >= 1,
      level: 'warn',
      field: 'windowMm',
      source: 'bench-practice',
      actual: web,
      limit: 1,
      good: `${formatPlain(web, 2)} mm of metal stays all round; the window gives a spare disc.`,
      bad: `Only ${formatPlain(web, 2)} mm of metal stays all round; 1 mm is the usual least.`,
    }),
    {
      level: 'note',
      code: 'window-first',
      source: 'bench-practice',
      message: 'Pierce the window before the rim: there is more to hold.',
    },
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly answer: FormPlan['answer']
  readonly sawWindowMm: number
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { answer, sawWindowMm }: Drawn): DrawingView[] {
  return [
    view('blank', 'Blank', {
      shapes: [
        region(circleOutline(input.outsideMm / 2), [circleHole(input.windowMm / 2)]),
        cutAround(circleOutline(answer.markAt / 2), 'outside'),
        cutAround(circleOutline(sawWindowMm / 2), 'inside'),
      ],
      dimensions: [
        {
          from: [-answer.markAt / 2, -answer.markAt / 2],
          to: [answer.markAt / 2, -answer.markAt / 2],
          offset: -1.8,
          text: `saw outside at ${formatPlain(answer.markAt, 2)}`,
        },
        {
          from: [-input.windowMm / 2, 0],
          to: [input.windowMm / 2, 0],
          offset: 0,
          text: `window ${formatPlain(input.windowMm, 2)}, saw inside`,
        },
      ],
      handles: [{ field: 'outsideMm', label: 'outside', at: [input.outsideMm / 2, 0], along: [1, 0], gain: 2 }],
    }),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut diameter', input.outsideMm, cleanUpOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('outsideMm', 'Outside', input.outsideMm, 0.1)

function planWasher(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const answer = answerFor(log, input)
  const sawWindowMm = derive(log, {
    label: 'Saw the window at',
    formula: 'w − 2·c',
    unit: 'mm',
    source: 'bench-practice',
    given: [given('w', 'window', input.windowMm), given('c', 'filing allowance per side', input.cleanUpMm)],
    note: 'Inside its line, so that the file brings it out.',
  })
  const areaMm2 = (Math.PI / 4) * (answer.markAt ** 2 - sawWindowMm ** 2)
  const web = (input.outsideMm - input.windowMm) / 2
  const target = targetOf(outcomeOf(input))
  const hole = circleHole(sawWindowMm / 2)
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [
      sheetBlank(input, bench, {
        name: 'washer',
        outline: circleOutline(answer.markAt / 2),
        holes: [hole],
        areaMm2,
        circleRadiusMm: answer.markAt / 2,
      }),
    ],
    results: {
      sawWindowMm: { value: sawWindowMm, unit: 'mm' },
      webMm: { value: web, unit: 'mm' },
      spareDiscMm: { value: Math.max(0, sawWindowMm - 0.6), unit: 'mm' },
    },
    choice: onlySchool('cut', 'How it is cut', {
      id: 'saw',
      title: 'Saw and file true',
      value: answer.value,
      why: 'Outside its line on the rim, inside its line in the window; the disc from the window is a spare blank.',
    }),
    checks: checksOf(input, web),
    views: viewsOf(input, { answer, sawWindowMm }),
    sizedSteps: [
      ...windowSteps('the window, inside its line'),
      {
        op: 'saw',
        params: { what: 'the rim, outside its line', cutMm: answer.markAt },
        target: { ...target, dimension: 'cutMm', valueMm: answer.markAt },
      },
      { op: 'file', params: { what: 'the rim to the line' }, target },
      { op: 'finish', params: {}, target },
    ],
    method: 'sawn',
  })
}

export const washer = defineForm({
  id: 'washer',
  title: 'Washer, ring plate',
  summary: 'A flat ring with a round window: where to saw each edge, what stays, the disc it spares.',
  input,
  example: { outsideMm: 33, windowMm: 21, alloy: 'yellow-brass-c260', thicknessMm: '19 ga' },
  ask: { words: ['washer'], sizes: ['outsideMm', 'windowMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['outsideMm'],
  varies: { cleanUpMm: 0.1 },
  plan: planWasher,
})
