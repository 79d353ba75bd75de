import * as z from 'zod'
import type { DrawingView } from '../../../drawing/drawing'
import { BAND_LENGTH_SCHOOLS, bandLengthMm } from '../../../forming/band-length'
import { rectangleOutline } from '../../../geometry/outline'
import { MM_PER_US_SIZE } from '../../../tables/rings/rings'
import { wideBandUsSizes } from '../../../tables/rings/wide-band'
import type { Bench } from '../../../toolwall/tools'
import { count, lengthMm, ringDiameterMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
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
import { bandLengthChoice, fittedAnswer, fittedBand, fittedOutcome } from '../../common/ring-fit'
import { bentSteps } from '../../common/sized-steps'
import { stripSection } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const FIT_TEXTS = {
  'one-band': {
    title: 'As one wide band',
    why: 'Worn together they grip like a band of their whole width: all are made larger by the house table.',
  },
  'as-measured': { title: 'Each as measured', why: 'The size was taken with a gauge as wide as the set, or they are worn apart.' },
} as const

const input = () =>
  z.strictObject({
    insideDiameterMm: ringDiameterMm({ label: 'Size', min: 8, max: 35, help: 'US, UK or ISO size, or the inside diameter.' }),
    ringCount: count({ label: 'Rings in the set', min: 2, max: 12 }).default(3),
    widthMm: lengthMm({ label: 'Width of each ring', min: 0.5, max: 12 }).default(2),
    gapMm: lengthMm({ label: 'Gap between rings', min: 0, max: 3, help: 'So that they turn on one another.' }).default(0.1),
    alloy: commonFields.alloy(),
    thicknessMm: commonFields.thickness(),
    jointAllowanceMm: lengthMm({ label: 'Joint and filing per ring', min: 0, max: 5 }).default(0),
    kerfMm: lengthMm({ label: 'Saw kerf', min: 0, max: 2, help: 'Lost between strips sawn from one piece.' }).default(0.25),
    ...closingFields(0.5),
    schools: schoolsField({ length: BAND_LENGTH_SCHOOLS, fit: ['one-band', 'as-measured'] }),
  })
type Input = OutputOf<typeof input>

const setWidth = ({ ringCount, widthMm, gapMm }: Input) => ringCount * widthMm + (ringCount - 1) * gapMm

function fitOf(input: Input, school: Input['schools']['fit'], bench: Bench): number {
  return school === 'one-band' ? wideBandUsSizes(setWidth(input), bench.figures) * MM_PER_US_SIZE : 0
}

/** What the checks weigh. */
interface Weighed {
  readonly fitMm: number
  readonly wholeMm: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { fitMm, wholeMm }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'set-width',
      ok: wholeMm <= 12,
      level: 'note',
      field: 'ringCount',
      source: 'bench-practice',
      actual: wholeMm,
      limit: 12,
      good: `Worn together they are ${formatPlain(wholeMm, 1)} mm wide, and turn ${formatPlain(fitMm / MM_PER_US_SIZE, 2)} US sizes larger.`,
      bad: `${formatPlain(wholeMm, 1)} mm of rings reaches the joint of most fingers: fewer or narrower ones.`,
    }),
    {
      level: 'note',
      code: 'cut-together',
      source: 'bench-practice',
      message: 'Cut all strips at one setting and true them on one mark of the mandrel: a set shows a tenth of difference.',
    },
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly answer: FormPlan['answer']
  readonly outer: number
  readonly pitch: number
  readonly wholeMm: number
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { answer, outer, pitch, wholeMm }: Drawn): DrawingView[] {
  return [
    view('section', 'The set from the side', {
      shapes: [
        ...Array.from({ length: input.ringCount }, (_, i) =>
          region(rectangleOutline(input.widthMm, 2 * outer).map(([x, y]) => [x + i * pitch, y - outer] as const)),
        ),
        stroke('centre', [0, 0], [wholeMm, 0]),
      ],
      dimensions: [
        { from: [0, -outer], to: [wholeMm, -outer], offset: -1.8, text: `${formatPlain(wholeMm, 2)} together` },
        { from: [wholeMm, -outer], to: [wholeMm, outer], offset: -1.2, text: `${formatPlain(2 * outer, 2)} outside` },
      ],
      handles: [{ field: 'insideDiameterMm', label: 'inside diameter', at: [wholeMm / 2, outer], along: [0, 1], gain: 2 }],
    }),
    stripView(answer.markAt, input.widthMm, {
      length: `cut ${formatPlain(answer.markAt, 2)}`,
      width: `${formatPlain(input.widthMm, 2)}, ${input.ringCount} of it`,
    }),
  ]
}

const answerFor = (log: WorkingLog, input: Input, bench: Bench): Answer =>
  fittedAnswer(log, input, fitOf(input, input.schools.fit, bench), 'cut length of each')

const outcomeOf = (input: Input, bench: Bench): OutcomeSpec => fittedOutcome(input, fitOf(input, input.schools.fit, bench))

function planStack(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const wholeMm = derive(log, {
    label: 'Width of the whole set',
    formula: 'n·w + (n − 1)·g',
    unit: 'mm',
    source: 'closed-form',
    given: [given('n', 'rings', input.ringCount, 'count'), given('w', 'each', input.widthMm), given('g', 'play', input.gapMm)],
  })
  const fitMm = fitOf(input, input.schools.fit, bench)
  const band = fittedBand([], input, fitMm)
  const inside = band.insideDiameterMm
  const calculatedMm = bandLengthMm([], input.schools.length, band)
  const answer = answerFor(log, input, bench)
  const pieceMm = derive(log, {
    label: 'Piece that gives all strips',
    formula: 'n·w + (n − 1)·k',
    unit: 'mm',
    source: 'closed-form',
    given: [given('n', 'rings', input.ringCount, 'count'), given('w', 'each', input.widthMm), given('k', 'kerf', input.kerfMm)],
  })
  const target = targetOf(outcomeOf(input, bench))
  const outer = inside / 2 + input.thicknessMm
  const pitch = input.widthMm + input.gapMm
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'strip', outline: rectangleOutline(answer.markAt, input.widthMm), each: input.ringCount })],
    results: {
      setWidthMm: { value: wholeMm, unit: 'mm' },
      insideMm: { value: inside, unit: 'mm' },
      pieceWidthMm: { value: pieceMm, unit: 'mm' },
      lengthMm: { value: calculatedMm, unit: 'mm' },
    },
    choice: bandLengthChoice(input.schools.length, band),
    choices: [schoolChoice('fit', 'Fit of the whole set', input.schools.fit, FIT_TEXTS, (id) => fitOf(input, id, bench))],
    checks: checksOf(input, { fitMm, wholeMm }),
    views: viewsOf(input, { answer, outer, pitch, wholeMm }),
    sizedSteps: bentSteps({ what: 'the strips', cutMm: answer.markAt, insideRadiusMm: inside / 2, on: 'the ring mandrel', target }),
    regions: ['outside', 'inside'],
    solids: Array.from({ length: input.ringCount }, (_, i) => ({
      solid: {
        kind: 'swept' as const,
        bends: [{ radiusMm: (inside + input.thicknessMm) / 2, turnRad: 2 * Math.PI }],
        section: stripSection(input.widthMm, input.thicknessMm),
      },
      at: [0, 0, i * pitch] as const,
    })),
    method: 'set of strips',
  })
}

export const ringStack = defineForm({
  id: 'ring-stack',
  title: 'Stacking set',
  summary: 'Several narrow rings worn together: made to the fit of one wide band, all strips from one piece.',
  input,
  example: { insideDiameterMm: 'US 7', ringCount: 4, widthMm: 1.8, alloy: 'yellow-brass-c260', thicknessMm: '18 ga' },
  ask: { words: ['stacking set', 'stacking rings', 'stack'], sizes: ['insideDiameterMm', 'widthMm'], count: 'ringCount' },
  answer: answerFor,
  outcomes: (input, bench) => [outcomeOf(input, bench)],
  measured: ['insideDiameterMm'],
  varies: { ringCount: 1 },
  plan: planStack,
})
