import * as z from 'zod'
import { arcPoints, circleOutline, rectangleOutline } from '../../../geometry/outline'
import type { Outline } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm, ratio, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  stripView,
  targetOf,
  view,
  wireBlank,
} from '../../common/plan-kit'
import { bentSolid } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const PROFILES = { 'half-round': 'Half round', square: 'Square', oblong: 'Oblong, twice as wide as high' } as const
type Profile = keyof typeof PROFILES

const LONGER_TEXTS = {
  kept: { title: 'Length kept', why: 'Equal area with nothing drawn longer: the widest the border can come out.' },
  drawn: {
    title: 'Grows longer as it is rolled',
    why: 'A part of the metal goes into length; the border comes out smaller, and less wire is cut.',
  },
} as const
type Longer = keyof typeof LONGER_TEXTS

const input = () =>
  z.strictObject({
    thicknessMm: thicknessMm({ label: 'Round wire', min: 0.5, max: 8 }),
    alloy: commonFields.alloy(),
    profile: choice('Rolled to', PROFILES).default('half-round'),
    borderMm: lengthMm({ label: 'Border, all round', min: 5, max: 2000, help: 'Along the edge it lies on.' }),
    growthRatio: ratio({ label: 'Grows longer by', min: 0, max: 0.6, help: 'From a trial piece: 0.1 is a tenth.' }).default(0.1),
    endsMm: lengthMm({ label: 'For the ends', min: 0, max: 60, help: 'Bruised by the rolls, cut off.' }).default(6),
    ...closingFields(1),
    schools: schoolsField({ longer: ['kept', 'drawn'] }),
  })
type Input = OutputOf<typeof input>

const growthOf = (input: Input, school: Longer) => (school === 'drawn' ? input.growthRatio : 0)

function lengthOf(log: WorkingLog, input: Input, school: Longer): number {
  return derive(log, {
    label: LONGER_TEXTS[school].title,
    formula: 'B/(1 + g)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('B', 'border', input.borderMm), given('g', 'growth', growthOf(input, school), 'ratio')],
  })
}

const WIDTH_FORMULA: Readonly<Record<Profile, string>> = {
  'half-round': 'd·√(2/(1 + g))',
  square: 'd·√(π/(4·(1 + g)))',
  oblong: 'd·√(π/(2·(1 + g)))',
}
const HEIGHT_SHARE: Readonly<Record<Profile, number>> = { 'half-round': 0.5, square: 1, oblong: 0.5 }

function sectionOutline(profile: Profile, wide: number, high: number): Outline {
  if (profile === 'half-round') return arcPoints([0, 0], high, 0, Math.PI)
  return rectangleOutline(wide, high).map(([x, y]) => [x - wide / 2, y] as const)
}

/** What the checks weigh. */
interface Weighed {
  readonly high: number
  readonly strain: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { high, strain }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'anneal-to-roll',
      ok: strain < 0.5,
      level: 'note',
      source: 'bench-practice',
      actual: high,
      limit: input.thicknessMm * Math.exp(-0.5),
      good: 'A light rolling: one anneal before it is enough.',
      bad: 'It is rolled to less than two thirds of its height: anneal before, and again half way.',
    }),
    {
      level: 'note',
      code: 'trial-first',
      source: 'bench-practice',
      message: 'Roll a trial piece of measured length, and put its growth above: a mill squeezes length as well as width.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'wire to cut', lengthOf(log, input, input.schools.longer), [
    { symbol: 'e', name: 'for the ends', valueMm: input.endsMm },
  ])
}

const outcomeOf = (input: Input): OutcomeSpec => asked('borderMm', 'Border, all round', input.borderMm, 1)

function planBorder(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const growth = growthOf(input, input.schools.longer)
  const wide = derive(log, {
    label: 'Width it comes out at',
    formula: WIDTH_FORMULA[input.profile],
    unit: 'mm',
    source: 'closed-form',
    given: [given('d', 'round wire', input.thicknessMm), given('g', 'growth', growth, 'ratio')],
    note: 'Area before is area after, less what went into length.',
  })
  const high = wide * HEIGHT_SHARE[input.profile]
  const answer = answerFor(log, input)
  const target = targetOf(outcomeOf(input))
  const strain = Math.log(input.thicknessMm / high)
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'wire', lengthMm: answer.markAt })],
    results: {
      widthMm: { value: wide, unit: 'mm' },
      heightMm: { value: high, unit: 'mm' },
      rolledMm: { value: input.borderMm, unit: 'mm' },
    },
    choice: schoolChoice('longer', 'What rolling does to the length', input.schools.longer, LONGER_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, { high, strain }),
    views: [
      view('section', 'Round and rolled, in section', {
        shapes: [
          region(circleOutline(input.thicknessMm / 2).map(([x, y]) => [x - 1.2 * wide, y + input.thicknessMm / 2] as const)),
          region(sectionOutline(input.profile, wide, high)),
        ],
        dimensions: [
          { from: [-wide / 2, 0], to: [wide / 2, 0], offset: -1.6, text: `${formatPlain(wide, 2)} wide` },
          { from: [wide / 2, 0], to: [wide / 2, high], offset: -1, text: formatPlain(high, 2) },
          {
            from: [-1.2 * wide - input.thicknessMm / 2, 0],
            to: [-1.2 * wide + input.thicknessMm / 2, 0],
            offset: -1.6,
            text: `wire ${formatPlain(input.thicknessMm, 2)}`,
          },
        ],
      }),
      stripView(
        answer.markAt,
        input.thicknessMm,
        { length: `cut ${formatPlain(answer.markAt, 1)}`, width: `${formatPlain(input.thicknessMm, 2)} wire` },
        'Before rolling',
      ),
    ],
    sizedSteps: [
      { op: 'saw', params: { what: 'the wire', cutMm: Math.min(2000, answer.markAt) } },
      { op: 'roll', params: { fromMm: input.thicknessMm, toMm: Math.min(input.thicknessMm, high) } },
      {
        op: 'bend',
        params: { insideRadiusMm: Math.min(1000, input.borderMm / (2 * Math.PI)), what: 'it round the edge', manner: 'shape' },
        target,
      },
      { op: 'finish', params: {}, target },
    ],
    solids: bentSolid([{ straightMm: input.borderMm }], sectionOutline(input.profile, wide, high)),
    method: `border, ${PROFILES[input.profile].toLowerCase()}`,
  })
}

export const borderWire = defineForm({
  id: 'border-wire',
  title: 'Rolled border wire',
  summary: 'A border rolled from round wire: what profile it comes out as, by equal area, and how much wire to cut.',
  input,
  example: { thicknessMm: '12 ga', alloy: 'copper-c110', profile: 'half-round', borderMm: 118 },
  ask: { words: ['border wire', 'border'], sizes: ['thicknessMm', 'borderMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['borderMm'],
  varies: { growthRatio: 0.05 },
  plan: planBorder,
})
