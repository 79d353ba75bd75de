import * as z from 'zod'
import { offsetOutline } from '../../../geometry/clip'
import { circleOutline, ellipseOutline, rectangleOutline, roundedRectangle, setOffMm } from '../../../geometry/outline'
import type { Bench } from '../../../toolwall/tools'
import { count, lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { roundOvalMm } from '../../common/oval'
import {
  answerOf,
  bySchool,
  completePlan,
  limitCheck,
  region,
  schoolChoice,
  stripView,
  stroke,
  view,
  wireBlank,
} from '../../common/plan-kit'
import { aroundSolid } from '../../common/solids'
import type { Answer, Check, FormPlan } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const SECTION_TEXTS = {
  block: {
    title: 'Round a block',
    why: 'Two flat sides and two edges: the wire turns square corners, each a quarter of a circle of its own thickness.',
    formula: '2·(a + b) + π·w',
  },
  round: { title: 'Round a tube or ring', why: 'A round or oval section: the wire lies on it all the way.', formula: 'P + π·w' },
} as const
type Section = keyof typeof SECTION_TEXTS

const input = () =>
  z.strictObject({
    acrossMm: lengthMm({ label: 'Across what is bound', min: 1, max: 300 }),
    throughMm: lengthMm({ label: 'Through it', min: 0.2, max: 300, help: 'The other way across.' }),
    alloy: commonFields.alloy(),
    thicknessMm: thicknessMm({ label: 'Wire', min: 0.2, max: 2 }),
    turnCount: count({ label: 'Bindings', min: 1, max: 40 }).default(2),
    kinkCount: count({ label: 'Kinks in each', min: 0, max: 8, help: 'Small Z bends that give when the metal grows.' }).default(2),
    kinkMm: lengthMm({ label: 'Wire in a kink', min: 0, max: 20 }).default(3),
    twistMm: lengthMm({ label: 'Each end, to twist', min: 5, max: 100 }).default(20),
    ...closingFields(5),
    schools: schoolsField({ section: ['block', 'round'] }),
  })
type Input = OutputOf<typeof input>

function onceOf(log: WorkingLog, input: Input, school: Section): number {
  return bySchool(log, SECTION_TEXTS[school], 'parallel-curve', [
    ...(school === 'round'
      ? [given('P', 'round it', roundOvalMm(log, 'Round it', input.acrossMm, input.throughMm))]
      : [given('a', 'across', input.acrossMm), given('b', 'through', input.throughMm)]),
    given('w', 'wire', input.thicknessMm),
  ])
}

function lengthOf(log: WorkingLog, input: Input, school: Section): number {
  return derive(log, {
    label: 'Wire for all bindings',
    formula: 'n·(P + c·k + 2·e)',
    unit: 'mm',
    source: 'bench-practice',
    given: [
      given('n', 'bindings', input.turnCount, 'count'),
      given('P', 'once round', onceOf(log, input, school)),
      given('c', 'kinks', input.kinkCount, 'count'),
      given('k', 'wire in a kink', input.kinkMm),
      given('e', 'end to twist', input.twistMm),
    ],
  })
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input): Check[] {
  return [
    limitCheck({
      code: 'kinks-give',
      ok: input.kinkCount > 0,
      level: 'warn',
      field: 'kinkCount',
      source: 'bench-practice',
      actual: input.kinkCount,
      limit: 1,
      good: 'The kinks give as the metal grows in the flame.',
      bad: 'Hot metal grows and wire does not: without a kink it cuts into the edges.',
    }),
    {
      level: 'note',
      code: 'binding-off',
      source: 'bench-practice',
      message:
        'Usually annealed iron: take it off before truing and before the pickle, which iron spoils. The weight shown is that of the metal chosen.',
    },
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'wire to cut', lengthOf(log, input, input.schools.section))
}

function planBinding(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.section
  const calculatedMm = lengthOf([], input, school)
  const answer = answerFor(log, input)
  const eachMm = calculatedMm / input.turnCount
  const [a, b] = [input.acrossMm / 2, input.throughMm / 2]
  const bound = school === 'block' ? rectangleOutline(2 * a, 2 * b).map(([x, y]) => [x - a, y - b] as const) : ellipseOutline(a, b)
  const wire = offsetOutline(bound, input.thicknessMm / 2)[0] ?? []
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'binding wire', lengthMm: answer.markAt })],
    results: { eachMm: { value: eachMm, unit: 'mm' }, onceRoundMm: { value: onceOf([], input, school), unit: 'mm' } },
    choice: schoolChoice('section', 'What it goes round', school, SECTION_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input),
    views: [
      view('section', 'What is bound, with the wire round it', {
        shapes: [region(bound), stroke('tool', ...wire, wire[0] ?? [0, 0])],
        dimensions: [
          { from: [-a, -b], to: [a, -b], offset: -1.8, text: formatPlain(input.acrossMm, 2) },
          { from: [a, -b], to: [a, b], offset: -1.4, text: formatPlain(input.throughMm, 2) },
        ],
        handles: [{ field: 'acrossMm', label: 'across', at: [a, 0], along: [1, 0], gain: 2 }],
      }),
      stripView(
        eachMm,
        input.thicknessMm,
        { length: `${formatPlain(eachMm, 1)} each, ${input.turnCount} of it`, width: `${formatPlain(input.thicknessMm, 2)} wire` },
        'Wire of one binding',
      ),
    ],
    sizedSteps: [{ op: 'saw', at: 'rough', params: { cutMm: Math.min(2000, answer.markAt) } }],
    solids: aroundSolid(
      setOffMm(school === 'block' ? roundedRectangle(2 * a, 2 * b, 0.2) : ellipseOutline(a, b), input.thicknessMm / 2),
      circleOutline(input.thicknessMm / 2),
    ),
    method: 'binding wire',
  })
}

export const bindingWire = defineForm({
  id: 'binding-wire',
  title: 'Binding wire',
  summary: 'Wire that holds parts together under the torch: how much for so many bindings, with kinks that give.',
  input,
  example: { acrossMm: 23, throughMm: 9, alloy: 'copper-c110', thicknessMm: 0.6, turnCount: 2 },
  ask: { words: ['binding wire', 'binding'], sizes: ['acrossMm', 'throughMm'], count: 'turnCount' },
  answer: answerFor,
  outcomes: () => [],
  measured: ['acrossMm', 'throughMm', 'kinkMm', 'twistMm'],
  varies: { turnCount: 1 },
  plan: planBinding,
})
