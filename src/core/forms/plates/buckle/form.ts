import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import { offsetOutline } from '../../../geometry/clip'
import { netAreaMm2, roundedRectangle } from '../../../geometry/outline'
import type { Outline, Point } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { SLOT_REFUSAL, slotHasBridge, strapChecks, strapFields, strapResults, strapSteps, strapView } from '../../common/leather-strap'
import {
  answerOf,
  asked,
  cleanUpOf,
  completePlan,
  hazardNotes,
  lengthBlank,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import { flatSteps, windowSteps } from '../../common/sized-steps'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const BAR_TEXTS = {
  centre: { title: 'A bar across the middle', why: 'Two windows; the strap lies over the bar and the tongue turns on it.' },
  edge: { title: 'One window, heel bar', why: 'The strap folds round the back edge of the frame and the tongue with it.' },
} as const

const FRAMES = { rectangle: 'Rectangle', d: 'D: half an oval on the tongue’s side' } as const

const STRAPS = { none: 'Not made with it', with: 'Cut and punched with it' } as const

const input = () =>
  z
    .strictObject({
      frame: choice('Frame', FRAMES).default('rectangle'),
      strapMm: lengthMm({ label: 'Strap width', min: 5, max: 120 }),
      easeMm: lengthMm({ label: 'Ease for the strap', min: 0, max: 6 }).default(1),
      windowMm: lengthMm({
        label: 'Window along the strap',
        min: 3,
        max: 120,
        help: 'The room along the strap: one of two with a middle bar.',
      }),
      frameMm: lengthMm({ label: 'Frame width', min: 1, max: 40 }).default(5),
      barMm: lengthMm({ label: 'Bar width', min: 1, max: 40 }).default(3.5),
      cornerMm: lengthMm({ label: 'Outside corner radius', min: 0, max: 60 }).default(4),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      tongue: choice('Tongue', { with: 'Wire, cut with the frame', apart: 'A part of its own' }).default('with'),
      tongueMm: lengthMm({ label: 'Tongue wire', min: 0.8, max: 8 }).default(2.5),
      restMm: lengthMm({
        label: 'Tongue over the frame',
        min: 0,
        max: 20,
        help: 'How far its tip lies past the inner edge of the frame.',
      }).default(3),
      strap: choice('Strap', STRAPS).default('none'),
      leatherMm: lengthMm({ label: 'Leather thickness', min: 0.5, max: 10 }).default(3),
      ...strapFields(),
      girthMm: lengthMm({
        label: 'Goes round',
        min: 0,
        max: 2000,
        help: 'From the bar to the middle size hole; 0 if not known yet.',
      }).default(0),
      turnMm: lengthMm({ label: 'Turned back at the bar', min: 10, max: 300 }).default(60),
      tipMm: lengthMm({ label: 'Beyond the last hole', min: 5, max: 300 }).default(90),
      cleanUpMm: commonFields.cleanUp(0.3),
      ...closingFields(0.1),
      schools: schoolsField({ bar: ['centre', 'edge'] }),
    })
    .refine((value) => value.strap === 'none' || slotHasBridge(value), SLOT_REFUSAL)
    .refine((value) => value.restMm <= value.frameMm, {
      path: ['restMm'],
      error: 'Tongue over the frame: its tip would stand out past the frame; as wide as the frame at most',
    })
type Input = OutputOf<typeof input>

const hasStrap = ({ strap }: Input) => strap === 'with'

/** The strap cut, mm: what is turned back, the way round to its middle hole, half the row of holes and the tip. */
function strapLengthMm(log: WorkingLog, input: Input): number {
  return derive(log, {
    label: 'Strap, cut length',
    formula: 'r + g + (n − 1)/2·p + e',
    unit: 'mm',
    source: 'bench-practice',
    given: [
      given('r', 'turned back', input.turnMm),
      given('g', 'goes round', input.girthMm),
      given('n', 'size holes', input.holeCount, 'count'),
      given('p', 'between them', input.holePitchMm),
      given('e', 'beyond the last hole', input.tipMm),
    ],
    note: 'Measured from the bar; leather stretches a little, so punch the size holes last.',
  })
}

const barWidth = (input: Input, school: Input['schools']['bar']) => (school === 'centre' ? input.barMm : 0)

function alongOf(log: WorkingLog, input: Input, school: Input['schools']['bar']): number {
  return derive(log, {
    label: `Frame along the strap, ${BAR_TEXTS[school].title.toLowerCase()}`,
    formula: school === 'centre' ? '2·f + 2·w + b' : '2·f + w',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('f', 'frame', input.frameMm),
      given('w', 'window', input.windowMm),
      ...(school === 'centre' ? [given('b', 'bar', input.barMm)] : []),
    ],
  })
}

/** Half an oval on a straight side at x = 0, bulging to the right, counter-clockwise. */
function halfOval(alongMm: number, acrossMm: number): Point[] {
  return Array.from({ length: 121 }, (_, i): Point => {
    const angle = ((i - 60) * Math.PI) / 120
    return [alongMm * Math.cos(angle), (acrossMm / 2) * Math.sin(angle)]
  })
}

const mirrored = (outline: readonly Point[]): Point[] => outline.map(([x, y]): Point => [-x, y]).reverse()
const shifted = (outline: readonly Point[], by: number): Point[] => outline.map(([x, y]): Point => [x + by, y])

function windowsOf(input: Input): Outline[] {
  const across = input.strapMm + input.easeMm
  const centre = input.schools.bar === 'centre'
  if (input.frame === 'd') {
    const oval = halfOval(input.windowMm, across)
    if (!centre) return [[...shifted(oval, -input.windowMm / 2)].reverse()]
    const right = shifted(oval, input.barMm / 2)
    return [mirrored(right), right].map((window) => [...window].reverse())
  }
  const corner = Math.max(0, input.cornerMm - input.frameMm)
  const shift = centre ? (input.windowMm + input.barMm) / 2 : 0
  const places = shift > 0 ? [-shift, shift] : [0]
  return places.map((x) => [...shifted(roundedRectangle(input.windowMm, across, corner), x)].reverse())
}

/** The frame as it is finished: its windows and the metal round them. */
function frameOf(input: Input, along: number, across: number): Outline {
  if (input.frame === 'rectangle') return roundedRectangle(along, across, input.cornerMm)
  const centre = input.schools.bar === 'centre'
  const oval = halfOval(input.windowMm + input.frameMm, across)
  if (centre) {
    const right = shifted(oval, input.barMm / 2)
    return [...right, ...mirrored(right)]
  }
  const heel = -along / 2
  return [...shifted(oval, heel + input.frameMm), [heel, across / 2], [heel, -across / 2]]
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input): Check[] {
  return [
    limitCheck({
      code: 'window-takes-strap',
      ok: input.windowMm >= input.tongueMm + 4,
      level: 'warn',
      field: 'windowMm',
      source: 'bench-practice',
      actual: input.windowMm,
      limit: input.tongueMm + 4,
      good: 'Two thicknesses of strap go through the window.',
      bad: 'The window is hardly longer than the tongue is thick: a folded strap does not go through.',
    }),
    limitCheck({
      code: 'frame-stiff',
      ok: input.frameMm >= 2 * input.thicknessMm,
      level: 'note',
      field: 'frameMm',
      source: 'house-default',
      actual: input.frameMm,
      limit: 2 * input.thicknessMm,
      good: 'The frame is wide enough for its thickness to lie flat under a pull.',
      bad: 'A frame narrower than twice its thickness twists under a pull: widen it.',
    }),
    {
      level: 'note',
      code: 'windows-first',
      source: 'bench-practice',
      message: 'Saw and file the windows before the rim, bend the bar and polish, and put the tongue on last.',
    },
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly across: number
  readonly answer: FormPlan['answer']
  readonly barMm: number
  readonly finished: Outline
  readonly outline: Outline
  readonly shift: number
  readonly start: number
  readonly windows: Outline[]
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { across, answer, barMm, finished, outline, shift, start, windows }: Drawn): DrawingView[] {
  return [
    view('blank', 'Frame, and its tongue', {
      shapes: [
        region(finished, windows),
        cutAround(outline, 'outside'),
        ...windows.map((window) => cutAround(window, 'inside')),
        stroke(
          'tool',
          [start, -input.tongueMm / 2],
          [start + barMm / 2 + input.windowMm + input.restMm, -input.tongueMm / 2],
          [start + barMm / 2 + input.windowMm + input.restMm, input.tongueMm / 2],
          [start, input.tongueMm / 2],
        ),
      ],
      dimensions: [
        {
          from: [-answer.markAt / 2, -across / 2],
          to: [answer.markAt / 2, -across / 2],
          offset: -2,
          text: `saw outside at ${formatPlain(answer.markAt, 2)}`,
        },
        { from: [answer.markAt / 2, -across / 2], to: [answer.markAt / 2, across / 2], offset: -1.2, text: formatPlain(across, 2) },
        {
          from: [shift - input.windowMm / 2, across / 2],
          to: [shift + input.windowMm / 2, across / 2],
          offset: 1.4,
          text: `saw inside, ${formatPlain(input.windowMm, 2)}`,
        },
      ],
      handles: [{ field: 'strapMm', label: 'strap', at: [shift, (input.strapMm + input.easeMm) / 2], along: [0, 1], gain: 2 }],
    }),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length along the strap', alongOf(log, input, input.schools.bar), cleanUpOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('lengthMm', 'Frame along the strap', alongOf([], input, input.schools.bar), 0.2, 1)

function planBuckle(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.bar
  const along = alongOf([], input, school)
  const across = derive(log, {
    label: 'Frame across the strap',
    formula: 's + e + 2·f',
    unit: 'mm',
    source: 'closed-form',
    given: [given('s', 'strap', input.strapMm), given('e', 'ease', input.easeMm), given('f', 'frame', input.frameMm)],
  })
  const barMm = school === 'centre' ? input.barMm : input.frameMm
  const tongueLengthMm = derive(log, {
    label: 'Tongue cut length',
    formula: 'w + b/2 + o + π·(max(b, t) + m)',
    unit: 'mm',
    source: 'bench-practice',
    given: [
      given('w', 'window', input.windowMm),
      given('b', 'bar it turns on', barMm),
      given('o', 'over the frame', input.restMm),
      given('t', 'thickness', input.thicknessMm),
      given('m', 'tongue wire', input.tongueMm),
    ],
    note: 'From the middle of the bar to the tip, and a closed eye round the bar.',
  })
  const answer = answerFor(log, input)
  const grow = answer.markAt - along
  const finished = frameOf(input, along, across)
  const outline = offsetOutline(finished, grow / 2)[0] ?? finished
  const windows = windowsOf(input)
  const areaMm2 = netAreaMm2(outline, windows)
  const target = targetOf(outcomeOf(input))
  const shift = (barWidth(input, school) + input.windowMm) / 2
  const start = school === 'centre' ? 0 : -along / 2 + input.frameMm / 2
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [
      sheetBlank(input, bench, { name: 'frame', outline, holes: windows, areaMm2 }),
      ...(input.tongue === 'with'
        ? [
            lengthBlank(input, bench, {
              name: 'tongue',
              stock: 'wire',
              lengthMm: tongueLengthMm,
              heightMm: input.tongueMm,
              thicknessMm: input.tongueMm,
              sectionMm2: (Math.PI / 4) * input.tongueMm ** 2,
            }),
          ]
        : []),
    ],
    results: {
      acrossMm: { value: across, unit: 'mm' },
      tongueLengthMm: { value: tongueLengthMm, unit: 'mm' },
      windowAcrossMm: { value: input.strapMm + input.easeMm, unit: 'mm' },
      ...(hasStrap(input) ? strapResults(log, input) : {}),
      ...(hasStrap(input) && input.girthMm > 0 ? { strapLengthMm: { value: strapLengthMm(log, input), unit: 'mm' as const } } : {}),
    },
    ...(input.tongue === 'with' ? { regions: ['frame', 'tongue'], regionBlanks: { tongue: 'tongue' } } : { regions: ['frame'] }),
    choice: schoolChoice('bar', 'What the tongue turns on', school, BAR_TEXTS, (id) => alongOf([], input, id)),
    checks: [...checksOf(input), ...(hasStrap(input) ? strapChecks(input) : [])],
    views: [
      ...viewsOf(input, { across, answer, barMm, finished, outline, shift, start, windows }),
      ...(hasStrap(input) ? [strapView(input)] : []),
    ],
    ...(hasStrap(input) ? { companionSteps: strapSteps(input) } : {}),
    sizedSteps: [
      ...windowSteps(school === 'centre' ? 'both windows, inside the line' : 'the window, inside the line'),
      ...flatSteps('the rim', answer.markAt, target),
      ...(input.tongue === 'with'
        ? [
            {
              op: 'bend',
              params: { insideRadiusMm: barMm / 2, what: 'the eye of the tongue round the bar', manner: 'shape', region: 'tongue' },
            } as const,
          ]
        : []),
    ],
    without: input.tongue === 'with' ? [] : ['bend'],
    method: `buckle, ${BAR_TEXTS[school].title.toLowerCase()}`,
  })
}

export const buckle = defineForm({
  id: 'buckle',
  title: 'Buckle',
  summary: 'A frame with one or two windows for a strap, its bar and its tongue: what to saw, and how long the tongue is.',
  input,
  onlyWhen: {
    cornerMm: ['frame', 'rectangle'],
    leatherMm: ['strap', 'with'],
    slotMm: ['strap', 'with'],
    holeCount: ['strap', 'with'],
    holePitchMm: ['strap', 'with'],
    girthMm: ['strap', 'with'],
    turnMm: ['strap', 'with'],
    tipMm: ['strap', 'with'],
  },
  example: { strapMm: 24, windowMm: 9, frameMm: 4.5, alloy: 'yellow-brass-c260', thicknessMm: '14 ga' },
  ask: { words: ['buckle'], sizes: ['strapMm', 'windowMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['windowMm', 'frameMm', 'barMm'],
  plan: planBuckle,
})
