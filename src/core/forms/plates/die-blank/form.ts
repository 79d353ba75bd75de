import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import { arcPoints, ellipseOutline, roundedRectangle } from '../../../geometry/outline'
import type { Bench } from '../../../toolwall/tools'
import { choice, count, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
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
  stroke,
  view,
} from '../../common/plan-kit'
import { sheetAlong } from '../../common/shell'
import type { Check, FormPlan } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const DIE_TEXTS = {
  held: {
    title: 'Rim held, the metal stretches',
    why: 'The margin is clamped and nothing is drawn in: the metal thins in the impression.',
    formula: 'a + 2·m',
  },
  free: {
    title: 'Rim free, it draws in',
    why: 'The blank lies loose: the way over the form is longer than across it, and the rim comes in by the difference.',
    formula: 'a + 2·m + (s − a)',
  },
  pancake: {
    title: 'Sheared by the die',
    why: 'A cutting die leaves the part on a small tab: a margin all round, and the tab to saw and file.',
    formula: 'a + 2·m + b',
  },
} as const
type Die = keyof typeof DIE_TEXTS

const input = () =>
  z
    .strictObject({
      shape: choice('Impression', { oval: 'Oval or round', rectangle: 'Rectangle, rounded corners' }).default('oval'),
      lengthMm: lengthMm({ label: 'Impression, long way', min: 2, max: 300 }),
      widthMm: lengthMm({ label: 'Impression, short way', min: 2, max: 300 }),
      depthMm: lengthMm({ label: 'Depth', min: 0, max: 60, help: '0 for a flat cut-out.' }).default(2),
      marginMm: lengthMm({ label: 'Margin all round', min: 0, max: 60 }).default(5),
      partCount: count({ label: 'Parts in one impression', min: 1, max: 24 }).default(1),
      tabMm: lengthMm({ label: 'Tab left by the die', min: 0, max: 30 }).default(2),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      ...closingFields(0.5),
      schools: schoolsField({ die: ['held', 'free', 'pancake'] }),
    })
    .refine((value) => value.widthMm <= value.lengthMm, {
      path: ['widthMm'],
      error: 'Impression, short way: it is longer than the long way; turn them round',
    })
    .refine((value) => value.depthMm <= value.widthMm / 2, {
      path: ['depthMm'],
      error: 'Depth: half the short way at most; deeper has to be raised or drawn',
    })
type Input = OutputOf<typeof input>

/** The way over the form along its middle: an arc of the depth over the long way. */
function wayOver(log: WorkingLog, { lengthMm: a, depthMm: h }: Input): number {
  const depth = Math.max(h, 1e-6)
  return derive(log, {
    label: 'Way over the form',
    formula: '(a^2/4 + h^2)/h·2·atan(2·h/a)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('a', 'across', a), given('h', 'depth', depth)],
  })
}

function lengthOf(log: WorkingLog, input: Input, school: Die): number {
  const all = [
    given('a', 'impression', input.lengthMm),
    given('m', 'margin', input.marginMm),
    given('s', 'way over the form', school === 'free' ? wayOver(log, input) : input.lengthMm),
    given('b', 'tab', input.tabMm),
  ]
  return bySchool(log, DIE_TEXTS[school], school === 'free' ? 'closed-form' : 'bench-practice', all)
}

/** Shallower than this an impression is drawn flat: no line is that thin. */
const SHALLOWEST_MM = 0.01

/** Along the impression: margin, the way up and over, margin. */
function sectionView({ lengthMm: long, depthMm, thicknessMm }: Input, halfMm: number): DrawingView {
  const radius = depthMm > SHALLOWEST_MM ? (long * long) / (8 * depthMm) + depthMm / 2 : 0
  const half = radius > 0 ? (radius < depthMm ? Math.PI - Math.asin(long / 2 / radius) : Math.asin(Math.min(1, long / 2 / radius))) : 0
  const over = radius > 0 ? [...arcPoints([0, depthMm - radius], radius, Math.PI / 2 - half, Math.PI / 2 + half)].reverse() : []
  const end = Math.max(halfMm, long / 2)
  const way = [[-end, 0] as const, ...over, [end, 0] as const]
  return view('section', 'Pressed, along the impression', {
    shapes: [region(sheetAlong(way, thicknessMm))],
    dimensions: [{ from: [end, 0], to: [end, Math.max(depthMm, 0.01)], offset: -1, text: `${formatPlain(depthMm, 2)} deep` }],
    handles: [{ field: 'depthMm', label: 'depth', at: [0, depthMm], along: [0, 1], gain: 1 }],
  })
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, least: number): Check[] {
  return [
    limitCheck({
      code: 'die-margin',
      ok: input.marginMm >= 4,
      level: 'warn',
      field: 'marginMm',
      source: 'house-default',
      actual: input.marginMm,
      limit: 4,
      good: 'Margin enough to be held all round.',
      bad: 'Under 4 mm the margin slips out of the die on one side and the form comes out lopsided.',
    }),
    limitCheck({
      code: 'die-thinning',
      ok: least >= 0.75 * input.thicknessMm,
      level: 'warn',
      field: 'depthMm',
      source: 'house-default',
      actual: least,
      limit: 0.75 * input.thicknessMm,
      good: `The thinnest it comes to is about ${formatPlain(least, 2)} mm.`,
      bad: `Held all round it thins to about ${formatPlain(least, 2)} mm: anneal half way, or leave the rim free to draw in.`,
    }),
    {
      level: 'note',
      code: 'saw-outside-raised',
      source: 'bench-practice',
      message: `Saw just outside the raised part${input.partCount > 1 ? `; ${input.partCount} parts come out of each impression` : ''}. Press behind a guard, with eye protection; never strike a die that is cracked.`,
    },
    ...hazardNotes(input.alloy),
  ]
}

function planDie(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.die
  const reckonedMm = lengthOf(log, input, school)
  const answer = answerOf(log, input, 'cut length', reckonedMm)
  const acrossMm = input.widthMm + (answer.markAt - input.lengthMm)
  const outline = roundedRectangle(answer.markAt, acrossMm, Math.min(3, input.marginMm))
  const form =
    input.shape === 'oval'
      ? ellipseOutline(input.lengthMm / 2, input.widthMm / 2)
      : roundedRectangle(input.lengthMm, input.widthMm, Math.min(2, input.widthMm / 4))
  // a cap of this depth over the short way, stretched with its rim held, has so much more area
  const thinning = 1 - 1 / (1 + (2 * input.depthMm ** 2) / ((input.lengthMm * input.widthMm) / 2))
  const least = school === 'held' ? input.thicknessMm * (1 - thinning) : input.thicknessMm
  const target = { dimension: 'marginMm', label: 'Margin left all round', valueMm: input.marginMm, plusMinusMm: 1 }
  const [x, y] = [answer.markAt / 2, acrossMm / 2]
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'die blank', outline })],
    results: {
      acrossMm: { value: acrossMm, unit: 'mm' },
      partsCount: { value: input.partCount, unit: 'count' },
      drawsInMm: { value: school === 'free' ? (wayOver([], input) - input.lengthMm) / 2 : 0, unit: 'mm' },
      thinnestMm: { value: least, unit: 'mm' },
      tabMm: { value: school === 'pancake' ? input.tabMm : 0, unit: 'mm' },
    },
    choice: schoolChoice('die', 'How it is formed', school, DIE_TEXTS, (id) => lengthOf([], input, id)),
    sensitivity: [
      { input: 'margin', change: '+ 1 mm', effect: '+ 2 mm both ways' },
      {
        input: 'depth',
        change: '+ 0.5 mm',
        effect: `+ ${formatPlain(wayOver([], { ...input, depthMm: input.depthMm + 0.5 }) - wayOver([], input), 2)} mm of way over the form`,
      },
    ],
    checks: checksOf(input, least),
    uncertainty: measuringBand(input.measuredWith, 1),
    views: [
      view('blank', 'Blank and impression', {
        shapes: [region(outline), stroke('scribe', ...form, form[0] ?? [0, 0]), cutAround(outline, 'outside')],
        dimensions: [
          { from: [-x, -y], to: [x, -y], offset: -2, text: `cut ${formatPlain(answer.markAt, 1)}` },
          { from: [x, -y], to: [x, y], offset: -1.2, text: formatPlain(acrossMm, 1) },
          { from: [-input.lengthMm / 2, 0], to: [input.lengthMm / 2, 0], offset: 0, text: `impression ${formatPlain(input.lengthMm, 1)}` },
        ],
        handles: [{ field: 'marginMm', label: 'margin', at: [x, 0], along: [1, 0], gain: 1 }],
      }),
      sectionView(input, x),
    ],
    route: [
      { op: 'saw', params: { what: 'the blank', cutMm: Math.min(2000, answer.markAt) } },
      { op: 'anneal', params: {} },
      { op: 'pickle', params: {} },
      { op: 'stamp', params: { depthMm: Math.min(2, Math.max(0.02, input.depthMm)), what: 'in the die' }, target },
      { op: 'saw', params: { what: school === 'pancake' ? 'the tab' : 'just outside the raised part' } },
      { op: 'finish', params: {} },
    ],
    regions: ['impression', 'margin'],
    ...(input.depthMm > SHALLOWEST_MM && input.marginMm > SHALLOWEST_MM
      ? {
          solids: [
            {
              solid: { kind: 'pressed' as const, outline, impression: form, depthMm: input.depthMm, thicknessMm: input.thicknessMm },
              at: [0, 0, 0] as const,
            },
          ],
        }
      : {}),
    learns: { target, blankPerMm: 2 },
    method: `die, ${DIE_TEXTS[school].title.toLowerCase()}`,
  })
}

export const dieBlank = defineForm({
  id: 'die-blank',
  title: 'Blank for a die',
  summary: 'Sheet for an impression or cutting die: margin, what draws in, how thin it gets, parts in one go, the tab to remove.',
  input,
  example: { lengthMm: 28, widthMm: 19, depthMm: 3, alloy: 'fine-silver', thicknessMm: '24 ga' },
  ask: { words: ['die blank', 'die', 'impression'], sizes: ['lengthMm', 'widthMm', 'depthMm'] },
  plan: planDie,
})
