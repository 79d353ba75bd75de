import * as z from 'zod'
import type { DrawingView } from '../../../drawing/drawing'
import { rectangleOutline } from '../../../geometry/outline'
import type { Point } from '../../../geometry/point'
import { headStickOutMm } from '../../../tables/rivets/rivets'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { answerOf, asked, completePlan, hazardNotes, lengthBlank, limitCheck, schoolChoice, targetOf } from '../../common/plan-kit'
import { EDGE_SCHOOLS, edgeCheck, edgeChoice, gripOf, headedView, passageChecks, stackFields, stackView } from '../../common/rivet-stack'
import { holeSteps } from '../../common/sized-steps'
import { stackSolid } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const FLARE_TEXTS = {
  'half-tube': {
    title: 'Half the tube, 1 mm at most',
    why: 'What flares over without splitting: half the tube’s width on each side, never over a millimetre.',
  },
  'one-millimetre': { title: 'One millimetre', why: 'The bench rule for tubes of 2 mm and more; splits a narrow or hard tube.' },
  'two-walls': { title: 'Two walls', why: 'A low rim that only holds: for thin sheet and soft stones, two thicknesses of the wall.' },
} as const
type Flare = keyof typeof FLARE_TEXTS

const input = () =>
  z
    .strictObject({
      tubeMm: lengthMm({ label: 'Tube outside diameter', min: 0.8, max: 12 }),
      thicknessMm: thicknessMm({ label: 'Wall', min: 0.1, max: 3 }),
      alloy: commonFields.alloy(),
      ...stackFields,
      ...closingFields(0.1),
      schools: schoolsField({ flare: ['half-tube', 'one-millimetre', 'two-walls'], edge: EDGE_SCHOOLS }),
    })
    .refine((value) => value.tubeMm > 2.2 * value.thicknessMm, {
      path: ['thicknessMm'],
      error: 'Wall: it leaves no bore; a little under half the tube at most',
    })
    .refine((value) => value.holeMm >= value.tubeMm - 0.02, {
      path: ['holeMm'],
      error: 'Hole: it is smaller than the tube; it must be as large at least',
    })
type Input = OutputOf<typeof input>

function flareOf({ tubeMm, thicknessMm: wall }: Input, school: Flare): number {
  if (school === 'two-walls') return 2 * wall
  return school === 'half-tube' ? headStickOutMm('tube', tubeMm, 0) : 1
}

function lengthOf(log: WorkingLog, input: Input, school: Flare): number {
  return derive(log, {
    label: FLARE_TEXTS[school].title,
    formula: 'G + 2·f',
    unit: 'mm',
    source: 'bench-practice',
    given: [given('G', 'grip', gripOf(log, input)), given('f', 'out each side', flareOf(input, school))],
  })
}

/** How wide a rim comes out, laid flat. */
function rimOf(log: WorkingLog, input: Input): number {
  return derive(log, {
    label: 'Rim across, laid flat',
    formula: '√(D^2 + 4·(D − t)·f)',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('D', 'tube', input.tubeMm),
      given('t', 'wall', input.thicknessMm),
      given('f', 'out', flareOf(input, input.schools.flare)),
    ],
    note: 'The wall that stood out lies down round the hole, its volume and thickness kept.',
  })
}

/** What the checks weigh. */
interface Weighed {
  readonly answer: FormPlan['answer']
  readonly rimMm: number
  readonly strain: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { answer, rimMm, strain }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'rim-split',
      ok: strain <= 0.6,
      level: 'warn',
      field: 'tubeMm',
      source: 'house-default',
      actual: rimMm,
      limit: 1.6 * input.tubeMm,
      good: 'The rim opens little enough to flare without splitting, if it is soft.',
      bad: `The rim would open by ${formatPlain(100 * strain, 0)} %: it splits. Less out, or anneal between two goes.`,
    }),
    limitCheck({
      code: 'rim-holds',
      ok: rimMm >= input.holeMm + 0.4,
      level: 'warn',
      field: 'holeMm',
      source: 'bench-practice',
      actual: rimMm,
      limit: input.holeMm + 0.4,
      good: `The rim laps the hole by ${formatPlain((rimMm - input.holeMm) / 2, 2)} mm all round.`,
      bad: 'The rim hardly laps the hole: a snugger hole, or more tube out.',
    }),
    edgeCheck(input, input.schools.edge),
    ...passageChecks(input, answer.markAt, answer.markAt - flareOf(input, input.schools.flare)),
    {
      level: 'note',
      code: 'flare-both',
      source: 'bench-practice',
      message:
        'Anneal the ends, file them flat and square. Flare a little with a ball or centre punch, turn over, the other side, and only then lay both rims down.',
    },
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly flare: number
  readonly grip: number
  readonly headed: Point[]
  readonly outer: number
  readonly outline: (readonly [number, number])[]
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { flare, grip, headed, outer, outline }: Drawn): DrawingView[] {
  return [
    stackView(
      input,
      { outline, widthMm: input.tubeMm, title: 'Stack and tube' },
      {
        dimensions: [
          { from: [-outer, -flare], to: [outer, -flare], offset: -1.6, text: `tube ${formatPlain(input.tubeMm, 2)}` },
          { from: [-outer, grip + flare], to: [-outer, grip], offset: -1.4, text: `${formatPlain(flare, 2)} out` },
        ],
        handles: [{ field: 'upperMm', label: 'upper sheet', at: [outer, grip], along: [0, 1], gain: 1 }],
      },
    ),
    headedView(input, headed),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.flare))
}

const outcomeOf = (input: Input): OutcomeSpec =>
  asked('rimMm', 'Rim across', rimOf([], input), 0.3, (input.tubeMm - input.thicknessMm) / rimOf([], input))

function planTubeRivet(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.flare
  const flare = flareOf(input, school)
  const answer = answerFor(log, input)
  const middle = input.tubeMm - input.thicknessMm
  const rimMm = rimOf(log, input)
  const grip = gripOf([], input)
  const strain = (rimMm - input.tubeMm) / input.tubeMm
  const target = targetOf(outcomeOf(input))
  const outer = input.tubeMm / 2
  const outline = rectangleOutline(input.tubeMm, grip + 2 * flare).map(([x, y]) => [x - outer, y - flare] as const)
  const headed: Point[] = [
    [outer - input.thicknessMm, -input.thicknessMm],
    [rimMm / 2, -input.thicknessMm],
    [rimMm / 2, 0],
    [outer, 0],
    [outer, grip],
    [rimMm / 2, grip],
    [rimMm / 2, grip + input.thicknessMm],
    [outer - input.thicknessMm, grip + input.thicknessMm],
  ]
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [
      lengthBlank(input, bench, {
        name: 'tube rivet',
        stock: 'tube',
        lengthMm: answer.markAt,
        heightMm: input.tubeMm,
        sectionMm2: Math.PI * middle * input.thicknessMm,
      }),
    ],
    results: {
      gripMm: { value: grip, unit: 'mm' },
      flareMm: { value: flare, unit: 'mm' },
      rimMm: { value: rimMm, unit: 'mm' },
      boreMm: { value: input.tubeMm - 2 * input.thicknessMm, unit: 'mm' },
    },
    choice: schoolChoice('flare', 'How much stands out to flare', school, FLARE_TEXTS, (id) => lengthOf([], input, id)),
    choices: [edgeChoice(input, input.schools.edge)],
    checks: checksOf(input, { answer, rimMm, strain }),
    views: viewsOf(input, { flare, grip, headed, outer, outline }),
    sizedSteps: [
      ...holeSteps('hole', input.holeMm),
      { op: 'cut-rivet', params: { what: 'the tube, in a tube holder', cutMm: Math.max(0.5, answer.markAt) } },
      { op: 'rivet', params: { thinnedFraction: 0.15, what: 'both rims over, a little each side' }, target },
    ],
    solids: stackSolid(input, headed),
    method: `tube rivet, ${FLARE_TEXTS[school].title.toLowerCase()}`,
  })
}

export const rivetTube = defineForm({
  id: 'rivet-tube',
  title: 'Tube rivet',
  summary: 'A length of tube flared on both sides: how long to cut, whether its rim splits or holds, and whether it passes inside a ring.',
  input,
  example: { tubeMm: 2.4, thicknessMm: 0.3, alloy: 'sterling-925', upperMm: 0.9, lowerMm: 1.2, holeMm: 2.45 },
  ask: { words: ['tube rivet', 'eyelet'], sizes: ['tubeMm', 'upperMm', 'lowerMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['tubeMm', 'upperMm', 'lowerMm', 'betweenMm'],
  plan: planTubeRivet,
})
