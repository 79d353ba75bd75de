import * as z from 'zod'
import { rectangleOutline, roundedRectangle } from '../../../geometry/outline'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  bySchool,
  completePlan,
  hazardNotes,
  limitCheck,
  measuringBand,
  region,
  schoolChoice,
  sheetBlank,
  stripView,
  stroke,
  view,
} from '../../common/plan-kit'
import { closedRoute } from '../../common/routes'
import { aroundSolid, stripSection } from '../../common/solids'
import type { Check, FormPlan } from '../../contract'
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

const input = () =>
  z
    .strictObject({
      acrossMm: lengthMm({ label: 'Outside, one way', min: 2, max: 300 }),
      upMm: lengthMm({ label: 'Outside, other way', min: 2, max: 300 }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
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
    given('a', 'outside, one way', input.acrossMm),
    given('b', 'outside, other way', input.upMm),
    given('r', 'inside bend radius', input.bendRadiusMm),
    given('t', 'thickness', input.thicknessMm),
  ]
  return bySchool(log, BEND_TEXTS[school], school === 'standard' ? 'din-6935' : school === 'middle' ? 'hill' : 'bench-practice', all)
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

function planBox(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const reckonedMm = lengthOf(log, input, input.schools.bend)
  const answer = answerOf(log, input, 'cut length', reckonedMm, [
    { symbol: 'j', name: 'joint and filing', valueMm: input.jointAllowanceMm },
  ])
  const { acrossMm: a, upMm: b, thicknessMm: t } = input
  const target = { dimension: 'acrossMm', label: 'Outside, one way', valueMm: a, plusMinusMm: 0.2 }
  const creases = [0, a, a + b, 2 * a + b].map((at) => (at / (2 * (a + b))) * answer.markAt).slice(1)
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
      lengthMm: { value: reckonedMm, unit: 'mm' },
      insideAcrossMm: { value: a - 2 * t, unit: 'mm' },
      insideUpMm: { value: b - 2 * t, unit: 'mm' },
    },
    choice: schoolChoice('bend', 'How the bends are reckoned', input.schools.bend, BEND_TEXTS, (id) => lengthOf([], input, id)),
    sensitivity: [
      { input: 'cut length', change: '± 0.4 mm', effect: '± 0.1 mm on each side' },
      {
        input: 'inside bend radius',
        change: '+ 0.5 mm',
        effect: `${formatPlain(lengthOf([], { ...input, bendRadiusMm: input.bendRadiusMm + 0.5 }, input.schools.bend) - reckonedMm, 2)} mm of length`,
      },
    ],
    checks: checksOf(input, t),
    uncertainty: measuringBand(input.measuredWith, Math.SQRT2 * 2, 1.5),
    views: [
      view('section', 'Section', {
        shapes: [
          region(rectangleOutline(a, b), [
            [
              [t, t],
              [t, b - t],
              [a - t, b - t],
              [a - t, t],
            ],
          ]),
        ],
        dimensions: [
          { from: [0, 0], to: [a, 0], offset: -1.6, text: `${formatPlain(a, 2)} outside` },
          { from: [a, 0], to: [a, b], offset: -1.2, text: formatPlain(b, 2) },
        ],
        handles: [{ field: 'acrossMm', label: 'width', at: [a, b / 2], along: [1, 0], gain: 1 }],
      }),
      { ...blank, shapes: [...blank.shapes, ...creases.map((x) => stroke('scribe', [x, 0], [x, input.widthMm]))] },
    ],
    route: closedRoute({
      what: 'the strip',
      cutMm: answer.markAt,
      insideRadiusMm: input.bendRadiusMm,
      on: 'a square bar',
      bend: { what: 'its corners', manner: 'fold' },
      target,
    }),
    regions: ['outside', 'inside'],
    solids: aroundSolid(roundedRectangle(a - t, b - t, input.bendRadiusMm + t / 2), stripSection(input.widthMm, t)),
    learns: { target, blankPerMm: 4 },
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
  plan: planBox,
})
