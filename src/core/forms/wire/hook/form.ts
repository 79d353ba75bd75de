import * as z from 'zod'
import type { BentSegment } from '../../../drawing/solid/solid'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { bentView } from '../../common/bent-part'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { answerOf, asked, completePlan, hazardNotes, limitCheck, schoolChoice, stripView, targetOf, wireBlank } from '../../common/plan-kit'
import { wireSolid } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const SHAPE_TEXTS = {
  'hook-and-eye': { title: 'A hook on an eye', why: 'The small end is a closed eye for the chain; the large end hooks over a ring.' },
  's-hook': { title: 'An S', why: 'Both ends are open half circles with turned tips: fits either way round, and one end is pressed shut.' },
  'bent-tongue': {
    title: 'Folded at a right angle, then half a loop',
    why: 'A quarter bend out of the plate and half a loop beyond it: a catch made out of the edge itself.',
  },
} as const
type Shape = keyof typeof SHAPE_TEXTS

const FORMULAS: Readonly<Record<Shape, string>> = {
  'hook-and-eye': 'π·(e + w) + s + π·(h + w)/2 + k',
  's-hook': 'k + π·(e + w)/2 + s + π·(h + w)/2 + k',
  'bent-tongue': 's + π·(e + w)/4 + π·(h + w)/2 + k',
}

const input = () =>
  z.strictObject({
    hookMm: lengthMm({ label: 'Hook inside diameter', min: 1, max: 60 }),
    eyeMm: lengthMm({ label: 'Small bend inside diameter', min: 0.5, max: 40 }),
    alloy: commonFields.alloy(),
    thicknessMm: thicknessMm({ label: 'Wire', min: 0.5, max: 6 }),
    straightMm: lengthMm({ label: 'Straight between', min: 0, max: 100 }).default(4),
    tipMm: lengthMm({ label: 'Tip after the hook', min: 0, max: 40 }).default(3),
    ringMm: lengthMm({ label: 'Wire it hooks over', min: 0.3, max: 20, help: 'Must lie in the hook.' }).default(1.2),
    ...closingFields(0.5),
    schools: schoolsField({ shape: ['hook-and-eye', 's-hook', 'bent-tongue'] }),
  })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input, school: Shape): number {
  return derive(log, {
    label: SHAPE_TEXTS[school].title,
    formula: FORMULAS[school],
    unit: 'mm',
    source: 'pappus',
    given: [
      given('e', 'small bend, inside', input.eyeMm),
      given('w', 'wire', input.thicknessMm),
      given('s', 'straight', input.straightMm),
      given('h', 'hook, inside', input.hookMm),
      given('k', 'tip', input.tipMm),
    ],
  })
}

/** From the tip of the hook to its other end. */
function segmentsOf({ eyeMm, hookMm, thicknessMm: wire, straightMm, tipMm, schools }: Input): BentSegment[] {
  const radiusMm = (eyeMm + wire) / 2
  const hook = [{ straightMm: tipMm }, { radiusMm: (hookMm + wire) / 2, turnRad: Math.PI }]
  if (schools.shape === 'bent-tongue') return [...hook, { radiusMm, turnRad: -Math.PI / 2 }, { straightMm }]
  if (schools.shape === 's-hook') return [...hook, { straightMm }, { radiusMm, turnRad: -Math.PI }, { straightMm: tipMm }]
  return [...hook, { straightMm }, { radiusMm, turnRad: -2 * Math.PI }]
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input): Check[] {
  return [
    limitCheck({
      code: 'hook-takes-ring',
      ok: input.hookMm > 1.15 * input.ringMm,
      level: 'stop',
      field: 'hookMm',
      source: 'bench-practice',
      actual: input.hookMm,
      limit: 1.15 * input.ringMm,
      good: `The wire of ${formatPlain(input.ringMm, 2)} mm lies in the hook with ${formatPlain(input.hookMm - input.ringMm, 2)} mm to spare.`,
      bad: `A wire of ${formatPlain(input.ringMm, 2)} mm does not go into a hook of ${formatPlain(input.hookMm, 2)} mm: make the hook wider.`,
    }),
    limitCheck({
      code: 'hook-stiffness',
      ok: input.hookMm <= 8 * input.thicknessMm,
      level: 'warn',
      field: 'thicknessMm',
      source: 'bench-practice',
      actual: input.thicknessMm,
      limit: input.hookMm / 8,
      good: 'Stout enough to keep its bend once it is hammered.',
      bad: `Under an eighth of the hook it pulls open: ${formatPlain(input.hookMm / 8, 2)} mm of wire at least, hammered after the last heat.`,
    }),
    {
      level: 'note',
      code: 'spring-last',
      source: 'bench-practice',
      message:
        'Every torch step first; then bend, and hammer the hook flat from both sides: soft wire has no spring. Sand the tip after hammering.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.shape))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('hookMm', 'Hook inside diameter', input.hookMm, 0.3)

function planHook(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const calculatedMm = lengthOf([], input, input.schools.shape)
  const answer = answerFor(log, input)
  const target = targetOf(outcomeOf(input))
  const middle = (input.hookMm + input.thicknessMm) / 2
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'hook', lengthMm: answer.markAt })],
    results: { lengthMm: { value: calculatedMm, unit: 'mm' }, hookOutsideMm: { value: 2 * middle + input.thicknessMm, unit: 'mm' } },
    choice: schoolChoice('shape', 'What kind of catch', input.schools.shape, SHAPE_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input),
    views: [
      bentView({
        title: 'As it is bent',
        segments: segmentsOf(input),
        thicknessMm: input.thicknessMm,
        start: [-input.tipMm, 0],
        dimensions: [
          {
            from: [0, input.thicknessMm / 2],
            to: [0, input.thicknessMm / 2 + input.hookMm],
            offset: 0,
            text: `${formatPlain(input.hookMm, 2)} inside`,
          },
        ],
        handles: [{ field: 'hookMm', label: 'hook', at: [0, input.thicknessMm / 2 + input.hookMm], along: [0, 1], gain: 1 }],
      }),
      stripView(
        answer.markAt,
        input.thicknessMm,
        { length: `cut ${formatPlain(answer.markAt, 1)}`, width: `${formatPlain(input.thicknessMm, 2)} wire` },
        'Straight',
      ),
    ],
    sizedSteps: [
      { op: 'saw', params: { what: 'the wire', cutMm: Math.min(2000, Math.max(0.5, answer.markAt)) } },
      { op: 'form-hook', params: { insideRadiusMm: input.hookMm / 2, what: 'the hook' }, target },
      { op: 'tumble', params: {}, target },
    ],
    solids: wireSolid(segmentsOf(input), input.thicknessMm),
    method: `hook, ${SHAPE_TEXTS[input.schools.shape].title.toLowerCase()}`,
  })
}

export const hook = defineForm({
  id: 'hook',
  title: 'Hook or catch',
  summary: 'A clasp bent from wire or from the edge itself: hook on an eye, S, or folded tongue, and whether it takes its ring.',
  input,
  example: { hookMm: 6, eyeMm: 2.6, alloy: 'yellow-brass-c260', thicknessMm: '16 ga', straightMm: 5, tipMm: 3.5 },
  ask: { words: ['hook', 'catch', 'clasp'], sizes: ['hookMm', 'eyeMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['hookMm', 'eyeMm', 'straightMm', 'tipMm'],
  plan: planHook,
})
