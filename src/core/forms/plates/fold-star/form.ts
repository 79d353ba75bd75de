import * as z from 'zod'
import { cutAlong, cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import { starRim } from '../../../drawing/solid/formed'
import type { Solid } from '../../../drawing/solid/solid'
import { boundsOf, type Point } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm, ratio } from '../../../units/fields'
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
  region,
  schoolChoice,
  sheetBlank,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const SHEETS = { four: 'Square, four rays', six: 'Hexagon, six rays', eight: 'Octagon, eight rays' } as const
const RAYS: Readonly<Record<keyof typeof SHEETS, number>> = { four: 4, six: 6, eight: 8 }

const CUT_TEXTS = {
  half: { title: 'Cut half way', why: 'Each ray is split to half its reach and both halves twisted apart: twice as many points as rays.' },
  none: { title: 'Left whole', why: 'The creases alone make the star: as many points as rays, stiffer and quicker.' },
} as const

const input = () =>
  z.strictObject({
    sheet: choice('Sheet', SHEETS).default('four'),
    reachMm: lengthMm({ label: 'Reach of a ray', min: 4, max: 200, help: 'From the middle to its tip, before folding.' }),
    alloy: commonFields.alloy(),
    thicknessMm: commonFields.thickness(),
    foldRatio: ratio({ label: 'Folded up by', min: 0, max: 0.9, help: 'Share of a full fold: 0.5 stands at half.' }).default(0.35),
    cleanUpMm: commonFields.cleanUp(0.2),
    ...closingFields(0.5),
    schools: schoolsField({ cut: ['half', 'none'] }),
  })
type Input = OutputOf<typeof input>

const pointsOf = (input: Input, school: Input['schools']['cut']) => RAYS[input.sheet] * (school === 'half' ? 2 : 1)

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, points: number): Check[] {
  return [
    limitCheck({
      code: 'fold-gauge',
      ok: input.thicknessMm <= 0.65,
      level: 'warn',
      field: 'thicknessMm',
      source: 'bench-practice',
      actual: input.thicknessMm,
      limit: 0.65,
      good: 'Thin enough to crease by hand and open again.',
      bad: 'Over 0.65 mm folds do not go tight and open badly: thinner sheet, or score the creases.',
    }),
    limitCheck({
      code: 'ray-width',
      ok: input.reachMm >= 20 * input.thicknessMm,
      level: 'note',
      field: 'reachMm',
      source: 'house-default',
      actual: input.reachMm,
      limit: 20 * input.thicknessMm,
      good: 'Room enough for the creases to lie clean.',
      bad: 'Small for its thickness: the creases run into one another near the middle.',
    }),
    {
      level: 'note',
      code: 'fold-order',
      source: 'bench-practice',
      message: `Fold all, collapse, straighten, and only then cut and twist: a cut sheet folds askew. ${points} points. Anneal between the folds.`,
    },
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly answer: FormPlan['answer']
  readonly cut: Point[]
  readonly cutDepthMm: number
  readonly each: number[]
  readonly r: number
  readonly school: 'half' | 'none'
  readonly sheet: Point[]
  readonly star: Star
  readonly tip: (i: number, share: number) => Point
}

type Star = Extract<Solid, { kind: 'star' }>

/** From above when it is folded: ridges to the points, valleys between them. */
function foldedView(star: Star): DrawingView {
  const rim = starRim(star, 1).map(([x, y]): Point => [x, y])
  const box = boundsOf(rim)
  return view('folded', 'Folded, from above', {
    shapes: [region(rim), ...rim.map((end, i) => stroke(i % 2 === 0 ? 'scribe' : 'centre', [0, 0], end))],
    dimensions: [
      { from: [box.minX, box.minY], to: [box.maxX, box.minY], offset: -2, text: `${formatPlain(box.maxX - box.minX, 1)} across, folded` },
    ],
    handles: [],
  })
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { answer, cut, cutDepthMm, each, r, school, sheet, star, tip }: Drawn): DrawingView[] {
  return [
    view('blank', 'Creases: ridge full, valley dashed', {
      shapes: [
        region(sheet),
        ...each.map((i) => stroke('scribe', [0, 0], tip(i, school === 'half' ? 0.5 : 1))),
        ...sheet.map((corner) => stroke('fold', [0, 0], corner)),
        ...(school === 'half' ? each.map((i) => cutAlong(tip(i, 0.5), tip(i, 1))) : []),
        cutAround(cut, 'outside'),
      ],
      dimensions: [
        { from: [-r, -r], to: [r, -r], offset: -2, text: `saw outside at ${formatPlain(answer.markAt, 2)}` },
        ...(cutDepthMm > 0 ? [{ from: tip(0, 0.5), to: tip(0, 1), offset: 1, text: `cut ${formatPlain(cutDepthMm, 2)}` }] : []),
      ],
      handles: [{ field: 'reachMm', label: 'reach', at: [input.reachMm, 0], along: [1, 0], gain: 1 }],
    }),
    foldedView(star),
  ]
}

const acrossOf = (log: WorkingLog, input: Input) =>
  derive(log, {
    label: 'Sheet across its flats',
    formula: '2·R',
    unit: 'mm',
    source: 'closed-form',
    given: [given('R', 'reach of a ray', input.reachMm)],
    note: 'A ray runs from the middle to the middle of a side.',
  })

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut across the flats', acrossOf(log, input), cleanUpOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('reachMm', 'Reach of a ray, flat', input.reachMm, 0.3)

function planStar(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.cut
  const rays = RAYS[input.sheet]
  const cornerMm = derive(log, {
    label: 'Crease between rays, middle to corner',
    formula: 'R/cos(π/n)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('R', 'reach of a ray', input.reachMm), given('n', 'rays', rays, 'count')],
  })
  const cutDepthMm = derive(log, {
    label: 'Cut in from each tip',
    formula: school === 'half' ? 'R/2' : '0·R',
    unit: 'mm',
    source: 'bench-practice',
    given: [given('R', 'reach of a ray', input.reachMm)],
  })
  const answer = answerFor(log, input)
  const points = pointsOf(input, school)
  const standsMm = input.reachMm * Math.cos((input.foldRatio * Math.PI) / 4)
  const polygon = (reach: number) =>
    Array.from({ length: rays }, (_, i): Point => {
      const angle = ((2 * i + 1) * Math.PI) / rays
      const out = reach / Math.cos(Math.PI / rays)
      return [out * Math.cos(angle), out * Math.sin(angle)]
    })
  const [sheet, cut] = [polygon(input.reachMm), polygon(answer.markAt / 2)]
  const tip = (i: number, share: number): Point => [
    share * input.reachMm * Math.cos((2 * i * Math.PI) / rays),
    share * input.reachMm * Math.sin((2 * i * Math.PI) / rays),
  ]
  const each = Array.from({ length: rays }, (_, i) => i)
  const target = targetOf(outcomeOf(input))
  const r = answer.markAt / 2
  const star: Star = {
    kind: 'star',
    rays,
    reachMm: input.reachMm,
    liftRad: (input.foldRatio * Math.PI) / 4,
    thicknessMm: input.thicknessMm,
  }
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'sheet', outline: cut })],
    results: {
      pointsCount: { value: points, unit: 'count' },
      cornerMm: { value: cornerMm, unit: 'mm' },
      cutDepthMm: { value: cutDepthMm, unit: 'mm' },
      sideMm: { value: 2 * input.reachMm * Math.tan(Math.PI / rays), unit: 'mm' },
      standsMm: { value: standsMm, unit: 'mm' },
    },
    choice: { ...schoolChoice('cut', 'What is done to the tips', school, CUT_TEXTS, (id) => pointsOf(input, id)), unit: 'count' },
    checks: checksOf(input, points),
    views: viewsOf(input, { answer, cut, cutDepthMm, each, r, school, sheet, star, tip }),
    sizedSteps: [
      { op: 'shear', params: { what: 'the sheet', cutMm: Math.min(2000, answer.markAt) } },
      { op: 'fold', params: { insideRadiusMm: input.thicknessMm / 2, what: 'all ridges, then all valleys', region: 'creases' } },
      { op: 'open-layers', params: {}, target },
    ],
    ...(school === 'half' ? {} : { without: ['cut-rays'] }),
    regions: ['faces', 'creases'],
    solids: [{ solid: star, at: [0, 0, 0] }],
    method: `folded star, ${SHEETS[input.sheet].toLowerCase()}`,
  })
}

export const foldStar = defineForm({
  id: 'fold-star',
  title: 'Folded star',
  summary: 'A star creased out of one sheet: which lines are ridges, which valleys, how deep to cut, how many points.',
  input,
  example: { sheet: 'six', reachMm: 22, alloy: 'copper-c110', thicknessMm: '26 ga' },
  ask: { words: ['star', 'folded star'], sizes: ['reachMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['reachMm'],
  varies: { cleanUpMm: 0.1 },
  plan: planStar,
})
