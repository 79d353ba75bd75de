import * as z from 'zod'
import type { DrawingView } from '../../../drawing/drawing'
import { rectangleOutline, setOffMm } from '../../../geometry/outline'
import type { Outline, Point } from '../../../geometry/point'
import { OVER_THE_STONE } from '../../../operations/setting/set-stone'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { wallPlaces } from '../../common/places'
import {
  answerOf,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  stripView,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { aroundSolid, stripSection } from '../../common/solids'
import {
  cornerFits,
  notTurned,
  roundStoneMm,
  STONE_CORNER,
  STONE_SHAPES,
  STONE_TURNED,
  stoneFields,
  stoneOutline,
} from '../../common/stone'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const SHAPES = { ...STONE_SHAPES, wrapped: 'Any convex shape, as wrapped' } as const

const LENGTH_TEXTS = {
  outline: {
    title: 'From the outline',
    why: 'Round the stone, and π times the wall: exact for any smooth convex stone, whatever its shape.',
  },
  'wrap-and-trim': {
    title: 'Wrap, mark, leave 2',
    why: 'Wrap the strip itself, mark it and cut two millimetres over: the fit decides, the number only checks it.',
  },
} as const
type School = keyof typeof LENGTH_TEXTS

const input = () =>
  z
    .strictObject({
      shape: choice('Stone', SHAPES).default('oval'),
      ...stoneFields,
      roundMm: lengthMm({
        label: 'Round the stone',
        min: 6,
        max: 500,
        help: 'Measured by wrapping a strip; used for any other shape.',
      }).default(40),
      stoneHeightMm: lengthMm({ label: 'Stone height', min: 0.5, max: 60 }).default(4),
      turnMm: lengthMm({ label: 'Turns in at', min: 0.1, max: 50, help: 'Height where the stone begins to curve inward.' }).default(1.2),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness('Wall'),
      easeMm: lengthMm({ label: 'Ease on the size', min: 0, max: 1, help: 'So that the stone drops in: 0 to 0.1.' }).default(0.05),
      stepMm: lengthMm({
        label: 'Bearing under the stone',
        min: 0,
        max: 20,
        help: 'Added to the height for a stepped or gallery bezel.',
      }).default(0),
      ...closingFields(0.1),
      schools: schoolsField({ length: ['outline', 'wrap-and-trim'] }),
    })
    .refine(notTurned, STONE_TURNED)
    .refine(cornerFits, STONE_CORNER)
type Input = OutputOf<typeof input>

function roundOf(log: WorkingLog, input: Input): number {
  if (input.shape !== 'wrapped') return roundStoneMm(log, input)
  return derive(log, {
    label: 'Round the stone',
    formula: 'P',
    unit: 'mm',
    source: 'own-choice',
    given: [given('P', 'as wrapped', input.roundMm)],
  })
}

function lengthOf(log: WorkingLog, input: Input, school: School): number {
  return derive(log, {
    label: LENGTH_TEXTS[school].title,
    formula: school === 'outline' ? 'P + π·(t + e)' : 'P + π·(t + e) + 2',
    unit: 'mm',
    source: school === 'outline' ? 'parallel-curve' : 'bench-practice',
    given: [given('P', 'round the stone', roundOf(log, input)), given('t', 'wall', input.thicknessMm), given('e', 'ease', input.easeMm)],
  })
}

/** The plan of the stone with its wall about it, the wall set off along the normals of the outline. */
function settingView(input: Input) {
  const stone = stoneOutline(input)
  const a = input.stoneLengthMm / 2
  return view('plan', 'Stone and wall', {
    shapes: [region(setOffMm(stone, input.thicknessMm), [[...stone].reverse()])],
    dimensions: [
      {
        from: [-a, -input.stoneWidthMm / 2],
        to: [a, -input.stoneWidthMm / 2],
        offset: -2,
        text: `stone ${formatPlain(input.stoneLengthMm, 2)}`,
      },
      {
        from: [a * 1.06, -input.stoneWidthMm / 2],
        to: [a * 1.06, input.stoneWidthMm / 2],
        offset: -1,
        text: formatPlain(input.stoneWidthMm, 2),
      },
    ],
    handles: [{ field: 'stoneLengthMm', label: 'length', at: [a, 0], along: [1, 0], gain: 2 }],
  })
}

/** Cut along the stone: the wall up past where it turns in, and the step it may stand on. */
function wallView({ stoneLengthMm, stoneHeightMm, turnMm, stepMm, thicknessMm: t }: Input, heightMm: number): DrawingView {
  const half = stoneLengthMm / 2
  const crownMm = stepMm + Math.max(stoneHeightMm, turnMm)
  const wall = (x: number): Outline => rectangleOutline(t, heightMm).map(([px, py]): Point => [px + x, py])
  return view('wall', 'Along the stone', {
    shapes: [
      stroke(
        'tool',
        [-half, stepMm],
        [half, stepMm],
        [half, stepMm + turnMm],
        [0.6 * half, crownMm],
        [-0.6 * half, crownMm],
        [-half, stepMm + turnMm],
        [-half, stepMm],
      ),
      region(wall(-half - t)),
      region(wall(half)),
    ],
    dimensions: [
      { from: [half + t, 0], to: [half + t, heightMm], offset: -1, text: `wall ${formatPlain(heightMm, 2)}` },
      { from: [-half - t, stepMm], to: [-half - t, stepMm + turnMm], offset: 1, text: `turn ${formatPlain(turnMm, 2)}` },
    ],
    handles: [{ field: 'turnMm', label: 'turn of the stone', at: [half, stepMm + turnMm], along: [0, 1], gain: 1 }],
  })
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, over: number): Check[] {
  return [
    limitCheck({
      code: 'bezel-height',
      ok: over >= 0.3 && over <= 1.5,
      level: 'warn',
      field: 'turnMm',
      source: 'house-default',
      actual: over,
      limit: 0.5,
      good: `${formatPlain(over, 2)} mm stands over the turn of the stone, to push over.`,
      bad:
        over < 0.3
          ? `Only ${formatPlain(over, 2)} mm stands over the turn: the stone falls out.`
          : `${formatPlain(over, 2)} mm stands over the turn: it hides the stone and wrinkles; is the turn measured right?`,
    }),
    limitCheck({
      code: 'bezel-wall',
      ok: input.thicknessMm >= 0.25 && input.thicknessMm <= 0.45,
      level: 'note',
      field: 'thicknessMm',
      source: 'bench-practice',
      actual: input.thicknessMm,
      limit: 0.4,
      good: 'A wall that pushes over by hand.',
      bad: '0.25 to 0.40 mm of fine silver is usual: thinner tears, thicker wants a punch and hammer.',
    }),
    {
      level: 'note',
      code: 'fit-first',
      source: 'bench-practice',
      message: 'Solder the seam in hard, try the stone, then solder the cup to its plate: a wrong cup scraps the whole piece.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.length))
}

/** Where the strip is wrapped, marked and trimmed to the stone, the fit decides and not the length it was cut at. */
const fitDecides = ({ schools }: Input) => schools.length === 'wrap-and-trim'

/** The room for the stone: across it, or round it where only its round is known. */
function outcomeOf({ shape, stoneLengthMm, roundMm, easeMm }: Input): OutcomeSpec {
  if (shape === 'wrapped')
    return {
      dimension: 'insideRoundMm',
      label: 'Round the inside',
      valueMm: roundMm + Math.PI * easeMm,
      plusMinusMm: 0.3,
      follows: 1,
    }
  return {
    dimension: 'insideLongMm',
    label: 'Inside length',
    valueMm: stoneLengthMm + easeMm,
    plusMinusMm: 0.1,
    follows: 1 / Math.PI,
  }
}

function planBezel(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const calculatedMm = lengthOf([], input, input.schools.length)
  const heightMm = derive(log, {
    label: 'Height of the wall',
    formula: 'max(s/3, u + l) + b',
    unit: 'mm',
    source: 'house-default',
    given: [
      given('s', 'stone height', input.stoneHeightMm),
      given('u', 'turns in at', input.turnMm),
      given('l', 'over the turn', input.stoneLengthMm > 10 ? 1 : 0.5),
      given('b', 'bearing', input.stepMm),
    ],
    note: 'A third of the stone, or its turn and what is pushed over, whichever is more.',
  })
  const answer = answerFor(log, input)
  const middle = setOffMm(stoneOutline(input), input.thicknessMm / 2)
  const over = heightMm - input.stepMm - input.turnMm
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'bezel', outline: rectangleOutline(answer.markAt, heightMm) })],
    results: {
      lengthMm: { value: calculatedMm, unit: 'mm' },
      heightMm: { value: heightMm, unit: 'mm' },
      overTheTurnMm: { value: over, unit: 'mm' },
      platePlusMm: { value: input.stoneLengthMm + 2 * input.thicknessMm + 4, unit: 'mm' },
    },
    choice: schoolChoice('length', 'Calculation', input.schools.length, LENGTH_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, over),
    views: [
      settingView(input),
      wallView(input, heightMm),
      stripView(answer.markAt, heightMm, { length: `cut ${formatPlain(answer.markAt, 2)}`, width: `${formatPlain(heightMm, 2)} high` }),
    ],
    sizedSteps: bentSteps({
      what: 'the strip',
      cutMm: answer.markAt,
      insideRadiusMm: Math.max(0.5, input.stoneWidthMm / 2),
      on: 'a bezel mandrel',
      target,
    }),
    regions: ['outside', 'inside', OVER_THE_STONE],
    places: wallPlaces({ middle, heightMm, thicknessMm: input.thicknessMm }),
    solids: aroundSolid(middle, stripSection(heightMm, input.thicknessMm)),
    holds: [
      {
        solid: { kind: 'stone', outline: stoneOutline(input), turnMm: input.turnMm, heightMm: Math.max(input.stoneHeightMm, input.turnMm) },
        at: [0, 0, input.stepMm],
      },
    ],
    method: `bezel, ${LENGTH_TEXTS[input.schools.length].title.toLowerCase()}`,
  })
}

export const bezel = defineForm({
  id: 'bezel',
  title: 'Bezel',
  summary: 'A wall round a stone of any convex shape: how long and how high to cut it, and whether it will hold.',
  input,
  // what it is soldered to is a part of its own
  upgrades: [({ plateAlloy: _, ...input }) => input],
  onlyWhen: { cornerMm: ['shape', 'cushion'], roundMm: ['shape', 'wrapped'] },
  example: {
    shape: 'oval',
    stoneLengthMm: 16,
    stoneWidthMm: 12,
    stoneHeightMm: 5,
    turnMm: 1.4,
    alloy: 'fine-silver',
    thicknessMm: '28 ga',
  },
  ask: { words: ['bezel'], sizes: ['stoneLengthMm', 'stoneWidthMm'] },
  answer: answerFor,
  outcomes: (input) => (fitDecides(input) ? [] : [outcomeOf(input)]),
  measured: ['stoneLengthMm', 'stoneWidthMm', 'cornerMm', 'roundMm'],
  plan: planBezel,
})
