import * as z from 'zod'
import { rectangleOutline, roundedRectangle } from '../../../geometry/outline'
import type { Outline, Point } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  bySchool,
  completePlan,
  hazardNotes,
  jointOf,
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
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const BEND_TEXTS = {
  standard: {
    title: 'Sharp bends, by standard',
    why: 'In a sharp bend the line that keeps its length moves inward; the standard’s k says how far.',
    formula: '2·(a + b) − 8·(r + t) + 2·π·(r + max(0, min(1, 0.65 + 0.5·log10(r/t)))/2·t)',
  },
  middle: {
    title: 'Middle of the metal',
    why: 'Right for bends rounder than five thicknesses; cuts a little long for sharp ones.',
    formula: '2·(a + b) − 8·(r + t) + 2·π·(r + 0.5·t)',
  },
  scored: {
    title: 'Scored and folded',
    why: 'A groove leaves a tenth or two of the thickness: the inside sizes, and that ligament at each corner.',
    formula: '2·(a + b) − 8·t + 4·0.15·t',
  },
} as const
type School = keyof typeof BEND_TEXTS

const SEAMS = { corner: 'At a corner', side: 'In the middle of a side' } as const

const input = () =>
  z
    .strictObject({
      acrossMm: lengthMm({ label: 'Outside length', min: 2, max: 300 }),
      upMm: lengthMm({ label: 'Outside width', min: 2, max: 300 }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      seam: choice('Seam', SEAMS).default('corner'),
      widthMm: lengthMm({ label: 'Length of the tube', min: 1, max: 500 }).default(20),
      bendRadiusMm: lengthMm({
        label: 'Inside bend radius',
        min: 0.05,
        max: 40,
        help: 'Of the corner; a score and fold takes no notice of it.',
      }).default(0.5),
      jointAllowanceMm: lengthMm({ label: 'Joint and filing', min: 0, max: 5 }).default(0),
      ...closingFields(0.1),
      schools: schoolsField({ bend: ['standard', 'middle', 'scored'] }),
    })
    .refine((value) => 2 * (value.bendRadiusMm + value.thicknessMm) <= Math.min(value.acrossMm, value.upMm), {
      path: ['bendRadiusMm'],
      error: 'Inside bend radius: two corners do not fit on the short side; it must be smaller',
    })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input, school: School): number {
  const all = [
    given('a', 'outside length', input.acrossMm),
    given('b', 'outside width', input.upMm),
    given('r', 'inside bend radius', input.bendRadiusMm),
    given('t', 'thickness', input.thicknessMm),
  ]
  return bySchool(log, BEND_TEXTS[school], school === 'standard' ? 'din-6935' : school === 'middle' ? 'hill' : 'bench-practice', all)
}

/** What a corner takes along the line that keeps its length, and what a side leaves straight beside two of them, mm. */
function cornerOf(log: WorkingLog, { thicknessMm, bendRadiusMm, schools }: Input): { cornerMm: number; lessMm: number } {
  if (schools.bend === 'scored') return { cornerMm: 0.15 * thicknessMm, lessMm: 2 * thicknessMm }
  const cornerMm = derive(log, {
    label: 'Round one corner',
    formula: schools.bend === 'middle' ? 'π/2·(r + 0.5·t)' : 'π/2·(r + max(0, min(1, 0.65 + 0.5·log10(r/t)))/2·t)',
    unit: 'mm',
    source: schools.bend === 'middle' ? 'hill' : 'din-6935',
    given: [given('r', 'inside bend radius', bendRadiusMm), given('t', 'thickness', thicknessMm)],
  })
  return { cornerMm, lessMm: 2 * (bendRadiusMm + thicknessMm) }
}

/** Where the middle of each bend lies from the end of the strip: four of them, or three and half a bend at each end where the seam is at a corner. */
function creasesOf(log: WorkingLog, input: Input): number[] {
  const { cornerMm, lessMm } = cornerOf(log, input)
  const [across, up] = [input.acrossMm - lessMm + cornerMm, input.upMm - lessMm + cornerMm]
  const first = derive(log, {
    label: 'First crease from the end',
    formula: input.seam === 'corner' ? 's + k' : '(s + k)/2',
    unit: 'mm',
    source: 'closed-form',
    given: [given('s', 'straight side', input.acrossMm - lessMm), given('k', 'round one corner', cornerMm)],
    note: input.seam === 'corner' ? 'Half a bend is left at each end: they meet in the seam.' : 'The seam lies in the middle of this side.',
  })
  return input.seam === 'corner'
    ? [first, first + up, first + up + across]
    : [first, first + up, first + up + across, first + up + across + up]
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, t: number): Check[] {
  return [
    limitCheck({
      code: 'bend-radius',
      ok: input.bendRadiusMm >= 0.5 * t || input.schools.bend === 'scored',
      level: 'warn',
      field: 'bendRadiusMm',
      source: 'trade-limit',
      actual: input.bendRadiusMm,
      limit: 0.5 * t,
      good: 'The corners are round enough for annealed metal.',
      bad: 'Sharper than half the thickness inside: anneal, bend across the rolling direction, or score and solder the corner.',
    }),
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.bend), jointOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('acrossMm', 'Outside length', input.acrossMm, 0.2)

function planBox(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const calculatedMm = lengthOf([], input, input.schools.bend)
  const answer = answerFor(log, input)
  const { acrossMm: a, upMm: b, thicknessMm: t } = input
  const target = targetOf(outcomeOf(input))
  const creases = creasesOf(log, input)
  const [innerRadius, outerRadius] = input.schools.bend === 'scored' ? [0, 0] : [input.bendRadiusMm, input.bendRadiusMm + t]
  const section = (outline: Outline): Point[] => outline.map(([x, y]) => [x + a / 2, y + b / 2])
  const seamAt = (from: Point, to: Point): readonly Point[] => [from, to]
  const blank = stripView(answer.markAt, input.widthMm, {
    length: `cut ${formatPlain(answer.markAt, 2)}`,
    width: `${formatPlain(input.widthMm, 2)} long`,
  })
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'strip', outline: rectangleOutline(answer.markAt, input.widthMm) })],
    results: {
      lengthMm: { value: calculatedMm, unit: 'mm' },
      insideAcrossMm: { value: a - 2 * t, unit: 'mm' },
      insideUpMm: { value: b - 2 * t, unit: 'mm' },
      firstCreaseMm: { value: creases[0] ?? 0, unit: 'mm' },
      creasesCount: { value: creases.length, unit: 'count' },
    },
    choice: schoolChoice('bend', 'Calculation', input.schools.bend, BEND_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, t),
    views: [
      view('section', 'Section', {
        shapes: [
          region(section(roundedRectangle(a, b, outerRadius)), [section(roundedRectangle(a - 2 * t, b - 2 * t, innerRadius)).reverse()]),
          stroke('scribe', ...(input.seam === 'corner' ? seamAt([0, 0], [t, t]) : seamAt([a / 2, 0], [a / 2, t]))),
        ],
        dimensions: [
          { from: [0, 0], to: [a, 0], offset: -1.6, text: `${formatPlain(a, 2)} outside` },
          { from: [a, 0], to: [a, b], offset: -1.2, text: formatPlain(b, 2) },
        ],
        handles: [{ field: 'acrossMm', label: 'width', at: [a, b / 2], along: [1, 0], gain: 1 }],
      }),
      {
        ...blank,
        shapes: [...blank.shapes, ...creases.map((x) => stroke('fold', [x, 0], [x, input.widthMm]))],
        dimensions: [
          ...blank.dimensions,
          ...creases.map((x, i) => ({
            from: [creases[i - 1] ?? 0, input.widthMm] as const,
            to: [x, input.widthMm] as const,
            offset: 1.4,
            text: formatPlain(x - (creases[i - 1] ?? 0), 2),
          })),
        ],
      },
    ],
    sizedSteps: bentSteps({
      what: 'the strip',
      cutMm: answer.markAt,
      insideRadiusMm: input.bendRadiusMm,
      on: 'a square bar',
      bend: { what: 'its corners', manner: 'fold' },
      target,
    }),
    regions: ['outside', 'inside'],
    solids: aroundSolid(roundedRectangle(a - t, b - t, input.bendRadiusMm + t / 2), stripSection(input.widthMm, t)),
    method: `box strip, ${BEND_TEXTS[input.schools.bend].title.toLowerCase()}`,
  })
}

export const boxTube = defineForm({
  id: 'box-tube',
  title: 'Square or rectangular tube',
  summary: 'A strip folded at four corners and soldered shut: how long to cut, by how the corners are bent.',
  input,
  example: { acrossMm: 18, upMm: 11, alloy: 'red-brass-c230', thicknessMm: '21 ga', widthMm: 30, bendRadiusMm: 0.6 },
  ask: { words: ['box strip', 'square tube'], sizes: ['acrossMm', 'upMm', 'widthMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['acrossMm', 'upMm', 'bendRadiusMm'],
  plan: planBox,
})
