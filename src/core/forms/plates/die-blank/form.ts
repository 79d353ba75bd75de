import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import { DEEPEST_CLAMPED } from '../../../forming/press'
import { arcPoints, ellipseOutline, netAreaMm2, roundedRectangle } from '../../../geometry/outline'
import { ALLOYS } from '../../../metals/alloys'
import { massWith } from '../../../tables/figures'
import type { Bench } from '../../../toolwall/tools'
import { choice, count, lengthMm, ratio } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  bySchool,
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
import { sheetAlong } from '../../common/shell'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const DIE_TEXTS = {
  held: {
    title: 'Rim held, the metal stretches',
    why: 'The margin is clamped and nothing is drawn in: the metal thins in the impression.',
    formula: 'a + 2·m',
  },
  free: {
    title: 'Rim free, it draws in',
    why: 'The blank lies loose and keeps its area: the rim comes in until the margin gives what the form took.',
    formula: 'a + 2·m + (√((a + w + 4·m)^2 + 4·π·h^2) − (a + w + 4·m))/2',
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
      lengthMm: lengthMm({ label: 'Impression length', min: 2, max: 300 }),
      widthMm: lengthMm({ label: 'Impression width', min: 2, max: 300 }),
      depthMm: lengthMm({ label: 'Depth', min: 0, max: 60, help: '0 for a flat cut-out.' }).default(2),
      marginMm: lengthMm({ label: 'Margin all round', min: 0, max: 60 }).default(5),
      partCount: count({ label: 'Parts in one impression', min: 1, max: 24 }).default(1),
      tabMm: lengthMm({ label: 'Tab left by the die', min: 0, max: 30 }).default(2),
      dustGrainMm: lengthMm({
        label: 'Dust fused on, its grain',
        min: 0,
        max: 2,
        help: 'Filings, before the part is cut out; 0 for none.',
      }).default(0),
      dustRatio: ratio({ label: 'Share of the sheet covered', min: 0.05, max: 1 }).default(0.6),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      ...closingFields(0.5),
      schools: schoolsField({ die: ['held', 'free', 'pancake'] }),
    })
    .refine((value) => value.widthMm <= value.lengthMm, {
      path: ['widthMm'],
      error: 'Impression width: it is more than the length; swap them',
    })
    .refine((value) => value.depthMm <= value.widthMm / 2, {
      path: ['depthMm'],
      error: 'Depth: half the width at most; deeper has to be raised or drawn',
    })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input, school: Die): number {
  const all = [
    given('a', 'impression', input.lengthMm),
    given('m', 'margin', input.marginMm),
    ...(school === 'free' ? [given('w', 'impression width', input.widthMm), given('h', 'depth', input.depthMm)] : []),
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

/** What the checks weigh. */
interface Weighed {
  readonly least: number
  /** Depth as a share of half the width. */
  readonly deep: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { least, deep }: Weighed): Check[] {
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
      ok: input.schools.die !== 'held' || (least >= 0.75 * input.thicknessMm && deep <= DEEPEST_CLAMPED),
      level: 'warn',
      field: 'depthMm',
      source: 'house-default',
      actual: least,
      limit: 0.75 * input.thicknessMm,
      good: `The thinnest it comes to is about ${formatPlain(least, 2)} mm.`,
      bad:
        deep > DEEPEST_CLAMPED
          ? `Held all round it thins to about ${formatPlain(least, 2)} mm in the middle: past half of its half width a held sheet goes on thinning there until it splits. Stop at ${formatPlain((DEEPEST_CLAMPED * input.widthMm) / 2, 1)} mm and anneal, or leave the rim free to draw in.`
          : `Held all round it thins to about ${formatPlain(least, 2)} mm in the middle: anneal half way, or leave the rim free to draw in.`,
    }),
    {
      level: 'note',
      code: 'saw-outside-raised',
      source: 'bench-practice',
      message: `Saw just outside the raised part${input.partCount > 1 ? `; ${input.partCount} parts come out of each impression` : ''}. Press behind a guard, with eye protection; never strike a die that is cracked.`,
    },
    ...dustNotes(input),
    ...hazardNotes(input.alloy),
  ]
}

/** What is said of dust that is fused on. */
function dustNotes({ dustGrainMm, alloy }: Input): Check[] {
  if (dustGrainMm === 0) return []
  return [
    {
      level: 'note',
      code: 'fuse-dust-first',
      field: 'dustGrainMm',
      source: 'bench-practice',
      message: `Fuse the dust on before the part is cut out: the heat rounds thin edges. The sheet is brought just under where it melts, about ${formatPlain(ALLOYS[alloy].solidusC, 0)} °C, until the surface glistens; probe that the grains hold before it is cut.`,
    },
  ]
}

/** Dust for one side of the blank: one layer of round grains weighs 2/3 of its grain times its density, g. */
function dustG(log: WorkingLog, { alloy, dustGrainMm, dustRatio }: Input, areaMm2: number, { figures }: Bench): number {
  if (dustGrainMm === 0) return 0
  return derive(log, {
    label: 'Dust to sprinkle on',
    formula: '2/3·g·s·m',
    unit: 'g',
    source: 'closed-form',
    given: [
      given('g', 'grain', dustGrainMm),
      given('s', 'share covered', dustRatio, 'ratio'),
      given('m', 'mass of the sheet, 1 mm thick', massWith(alloy, areaMm2, figures), 'g'),
    ],
    note: 'One layer of round grains; what does not hold is swept up.',
  })
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.die))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('marginMm', 'Margin left all round', input.marginMm, 1)

function planDie(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.die
  const calculatedMm = lengthOf([], input, school)
  const answer = answerFor(log, input)
  const acrossMm = input.widthMm + (answer.markAt - input.lengthMm)
  const outline = roundedRectangle(answer.markAt, acrossMm, Math.min(3, input.marginMm))
  const form =
    input.shape === 'oval'
      ? ellipseOutline(input.lengthMm / 2, input.widthMm / 2)
      : roundedRectangle(input.lengthMm, input.widthMm, Math.min(2, input.widthMm / 4))
  const deep = input.depthMm / (input.widthMm / 2)
  const least =
    school === 'held'
      ? derive(log, {
          label: 'Thinnest, in the middle',
          formula: 't·(1 + (h/b)^2)^(n − 2)',
          unit: 'mm',
          source: 'clamped-bulge',
          given: [
            given('t', 'thickness', input.thicknessMm),
            given('h', 'depth', input.depthMm),
            given('b', 'half the width', input.widthMm / 2),
            given('n', 'how fast the metal hardens', ALLOYS[input.alloy].hardeningExponent, 'ratio'),
          ],
          note: 'With its rim held the sheet stretches most in the middle; an estimate.',
        })
      : input.thicknessMm
  const target = targetOf(outcomeOf(input))
  const dust = dustG(log, input, netAreaMm2(outline), bench)
  const [x, y] = [answer.markAt / 2, acrossMm / 2]
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'die blank', outline })],
    results: {
      acrossMm: { value: acrossMm, unit: 'mm' },
      partsCount: { value: input.partCount, unit: 'count' },
      drawsInMm: { value: school === 'free' ? (calculatedMm - input.lengthMm) / 2 - input.marginMm : 0, unit: 'mm' },
      thinnestMm: { value: least, unit: 'mm' },
      tabMm: { value: school === 'pancake' ? input.tabMm : 0, unit: 'mm' },
      ...(dust > 0 ? { dustG: { value: dust, unit: 'g' as const } } : {}),
    },
    choice: schoolChoice('die', 'How it is formed', school, DIE_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, { least, deep }),
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
    sizedSteps: [
      { op: 'saw', at: 'rough', params: { cutMm: Math.min(2000, answer.markAt) } },
      ...(dust > 0 ? [{ op: 'fuse-dust', params: { dustG: dust } } as const] : []),
      {
        op: 'press-die',
        params: {
          depthMm: input.depthMm,
          halfMm: Math.max(0.5, input.widthMm / 2),
          rimHeld: school === 'held',
          ...(school === 'pancake' ? { what: 'the part out with the die' } : {}),
        },
        target,
      },
      { op: 'saw', params: { what: school === 'pancake' ? 'the tab' : 'just outside the raised part' } },
      { op: 'finish', params: {} },
    ],
    without: dust > 0 ? ['anneal'] : ['fuse-dust'],
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
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['lengthMm', 'depthMm', 'marginMm'],
  varies: { tabMm: 0.5 },
  plan: planDie,
})
