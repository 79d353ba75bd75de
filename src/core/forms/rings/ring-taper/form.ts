import * as z from 'zod'
import { drawClosedBand } from '../../../drawing/closed-band'
import { BAND_LENGTH_SCHOOLS, bandLengthMm } from '../../../forming/band-length'
import type { Outline, Point } from '../../../geometry/point'
import { MM_PER_US_SIZE } from '../../../tables/rings/rings'
import { wideBandUsSizes } from '../../../tables/rings/wide-band'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm, ringDiameterMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import type { WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { completePlan, hazardNotes, limitCheck, region, schoolChoice, sheetBlank, stroke, targetOf, view } from '../../common/plan-kit'
import { bandLengthChoice, fittedAnswer, fittedBand, fittedOutcome } from '../../common/ring-fit'
import { bentSteps } from '../../common/sized-steps'
import { ringSolid, stripSection, taperOf } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const FIT_TEXTS = {
  'wide-band': {
    title: 'By its widest point',
    why: 'The front grips the finger as a band of its width does; the house table makes it larger.',
  },
  mean: { title: 'By its mean width', why: 'Only a part of it is wide: the table is read at the middle of both widths.' },
  'as-measured': { title: 'As measured', why: 'The size was taken with a gauge as wide as the front.' },
} as const
type Fit = keyof typeof FIT_TEXTS

const input = () =>
  z
    .strictObject({
      insideDiameterMm: ringDiameterMm({ label: 'Size', min: 8, max: 35, help: 'US, UK or ISO size, or the inside diameter.' }),
      frontMm: lengthMm({ label: 'Width in front', min: 1, max: 40 }),
      backMm: lengthMm({ label: 'Width at the back', min: 0.8, max: 40 }),
      taper: choice('Edge', { straight: 'Straight from front to back', swell: 'Swelling, a smooth curve' }).default('straight'),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      jointAllowanceMm: lengthMm({ label: 'Joint and filing', min: 0, max: 5 }).default(0),
      ...closingFields(0.5),
      schools: schoolsField({ length: BAND_LENGTH_SCHOOLS, fit: ['wide-band', 'mean', 'as-measured'] }),
    })
    .refine((value) => value.backMm <= value.frontMm, {
      path: ['backMm'],
      error: 'Width at the back: it is wider than the front; swap them',
    })
type Input = OutputOf<typeof input>

function fitOf({ frontMm, backMm }: Input, school: Fit, bench: Bench): number {
  if (school === 'as-measured') return 0
  return wideBandUsSizes(school === 'mean' ? (frontMm + backMm) / 2 : frontMm, bench.figures) * MM_PER_US_SIZE
}

const STEPS = 48

/** The strip from back to back, its widest in the middle. */
function taperOutline({ frontMm, backMm, taper }: Input, lengthMm: number): Outline {
  const half = (share: number) => {
    const rise = taper === 'straight' ? 1 - Math.abs(2 * share - 1) : Math.sin(Math.PI * share) ** 2
    return (backMm + (frontMm - backMm) * rise) / 2
  }
  const shares = taper === 'straight' ? [0, 0.5, 1] : Array.from({ length: STEPS + 1 }, (_, i) => i / STEPS)
  const upper = shares.map((share): Point => [share * lengthMm, half(share)])
  return [...upper.map(([x, y]): Point => [x, -y]), ...upper.reverse()]
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input): Check[] {
  return [
    limitCheck({
      code: 'taper-spread',
      ok: input.frontMm <= 4 * input.backMm,
      level: 'warn',
      field: 'backMm',
      source: 'bench-practice',
      actual: input.backMm,
      limit: input.frontMm / 4,
      good: 'The back is wide enough to bend evenly with the front.',
      bad: 'The back is under a quarter of the front: it bends first and kinks; bend the front over a former before the ends.',
    }),
    {
      level: 'note',
      code: 'mirror-line',
      source: 'bench-practice',
      message:
        'Scribe the middle line along the strip and the line across its middle first; saw outside both edges, then file one edge to the other.',
    },
    ...hazardNotes(input.alloy),
  ]
}

const answerFor = (log: WorkingLog, input: Input, bench: Bench): Answer =>
  fittedAnswer(log, input, fitOf(input, input.schools.fit, bench), 'cut length')

const outcomeOf = (input: Input, bench: Bench): OutcomeSpec => fittedOutcome(input, fitOf(input, input.schools.fit, bench))

function planTaper(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const fitMm = fitOf(input, input.schools.fit, bench)
  const band = fittedBand([], input, fitMm)
  const inside = band.insideDiameterMm
  const calculatedMm = bandLengthMm([], input.schools.length, band)
  const answer = answerFor(log, input, bench)
  const outline = taperOutline(input, answer.markAt)
  const target = targetOf(outcomeOf(input, bench))
  const [section] = drawClosedBand({
    insideDiameterMm: inside,
    thicknessMm: input.thicknessMm,
    widthMm: input.frontMm,
    cutMm: answer.markAt,
    lengthMm: Math.min(calculatedMm, answer.markAt),
    wire: true,
  }).views
  const f = input.frontMm / 2
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'band', outline })],
    results: {
      insideMm: { value: inside, unit: 'mm' },
      lengthMm: { value: calculatedMm, unit: 'mm' },
      edgeAngleDeg: { value: (Math.atan((input.frontMm - input.backMm) / answer.markAt) * 180) / Math.PI, unit: '°' },
    },
    choice: bandLengthChoice(input.schools.length, band),
    choices: [schoolChoice('fit', 'Fit of a wide front', input.schools.fit, FIT_TEXTS, (id) => fitOf(input, id, bench))],
    checks: checksOf(input),
    views: [
      ...(section ? [section] : []),
      view('blank', 'Blank', {
        shapes: [
          region(outline),
          stroke('scribe', [0, 0], [answer.markAt, 0]),
          stroke('centre', [answer.markAt / 2, -f], [answer.markAt / 2, f]),
        ],
        dimensions: [
          { from: [0, -f], to: [answer.markAt, -f], offset: -2, text: `cut ${formatPlain(answer.markAt, 2)}` },
          {
            from: [answer.markAt, -input.backMm / 2],
            to: [answer.markAt, input.backMm / 2],
            offset: -1.6,
            text: `${formatPlain(input.backMm, 2)} back`,
          },
        ],
        handles: [{ field: 'frontMm', label: 'front', at: [answer.markAt / 2, f], along: [0, 1], gain: 2 }],
      }),
    ],
    sizedSteps: bentSteps({ what: 'the tapered strip', cutMm: answer.markAt, insideRadiusMm: inside / 2, on: 'the ring mandrel', target }),
    regions: ['outside', 'inside'],
    solids: ringSolid(inside, input.thicknessMm / 2, stripSection(input.frontMm, input.thicknessMm), taperOf(outline)),
    method: 'tapered strip',
  })
}

export const ringTaper = defineForm({
  id: 'ring-taper',
  title: 'Tapered band',
  summary: 'A ring wide in front and narrow behind: the length by its fit, and the strip to saw with both edges mirrored.',
  input,
  example: { insideDiameterMm: 'UK M', frontMm: 11, backMm: 4.5, alloy: 'sterling-925', thicknessMm: '18 ga' },
  ask: { words: ['tapered band', 'tapered ring', 'wide band'], sizes: ['insideDiameterMm', 'frontMm', 'backMm'] },
  answer: answerFor,
  outcomes: (input, bench) => [outcomeOf(input, bench)],
  measured: ['insideDiameterMm'],
  varies: { frontMm: 2 },
  plan: planTaper,
})
