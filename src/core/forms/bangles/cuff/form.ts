import * as z from 'zod'
import { answerBend } from '../../../forming/bend-answer'
import { arcPoints } from '../../../geometry/outline'
import type { Outline, Point } from '../../../geometry/point'
import { alloyWith } from '../../../tables/own-metal'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
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
  targetOf,
  view,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { bentSolid, stripSection, taperOf } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const LENGTH_TEXTS = {
  round: { title: 'Middle of the metal', why: 'Inside length between the ends, carried out to the middle of the thickness.' },
  'wrist-less-25': {
    title: 'Wrist less 25',
    why: 'The bench rule: leaves the usual gap without calculating; takes no account of thickness.',
  },
} as const
type School = keyof typeof LENGTH_TEXTS

const input = () =>
  z
    .strictObject({
      wristMm: lengthMm({ label: 'Round the wrist', min: 90, max: 300 }),
      easeMm: lengthMm({ label: 'Ease', min: 0, max: 20, help: 'Added to the wrist; 0 sits close.' }).default(0),
      gapMm: lengthMm({ label: 'Gap inside', min: 0, max: 80, help: 'Straight across, as calipers read it; 25 to 32 is usual.' }).default(
        28,
      ),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      widthMm: lengthMm({ label: 'Width in the middle', min: 3, max: 120 }).default(20),
      endWidthMm: lengthMm({ label: 'Width at the ends', min: 2, max: 120, help: 'The same as the middle for a straight cuff.' }).default(
        20,
      ),
      cornerMm: lengthMm({ label: 'Corner radius', min: 0, max: 60, help: '6 or more is kind to the wrist.' }).default(6),
      cleanUpMm: commonFields.cleanUp(0.25),
      ...closingFields(0.5),
      schools: schoolsField({ length: ['round', 'wrist-less-25'] }),
    })
    .refine((value) => value.gapMm < 0.95 * insideMm(value), {
      path: ['gapMm'],
      error: 'Gap inside: it is nearly as wide as the cuff; it must be narrower than the wrist is across',
    })
    .refine((value) => value.cornerMm <= value.endWidthMm / 2, {
      path: ['cornerMm'],
      error: 'Corner radius: it can be half the width at the ends at most',
    })
type Input = OutputOf<typeof input>

/** Worn inside, across. */
const insideMm = ({ wristMm, easeMm }: { readonly wristMm: number; readonly easeMm: number }) => (wristMm + easeMm) / Math.PI

/** The gap along the round of the cuff: calipers read its chord. */
function gapArcMm(log: WorkingLog, input: Input): number {
  return derive(log, {
    label: 'Gap along the round',
    formula: 'D·asin(g/D)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('D', 'inside width', insideMm(input)), given('g', 'gap, straight across', input.gapMm)],
  })
}

/** The cuff bent to a radius of the middle of its metal, annealed, and let go. */
const bentTo = (radiusMm: number, { alloy, thicknessMm, widthMm, endWidthMm }: Input, { figures }: Bench) =>
  answerBend(alloyWith(alloy, figures), { radiusMm, thicknessMm, widthMm: Math.max(widthMm, endWidthMm), strain: 0 })

/** The former it springs from to what is worn, and how far off it may spring from that, both across the inside; undefined where none is small enough. */
function formerOf(input: Input, bench: Bench) {
  const { formerRadiusMm } = bentTo((insideMm(input) + input.thicknessMm) / 2, input, bench)
  if (formerRadiusMm === null) return undefined
  const { leastMm, mostMm } = bentTo(formerRadiusMm, input, bench).between
  return {
    insideMm: 2 * formerRadiusMm - input.thicknessMm,
    plusMinusMm: leastMm === null || mostMm === null ? insideMm(input) / 2 : mostMm - leastMm,
  }
}

function lengthOf(log: WorkingLog, input: Input, school: School): number {
  if (school === 'wrist-less-25')
    return derive(log, {
      label: LENGTH_TEXTS[school].title,
      formula: 'C − 25',
      unit: 'mm',
      source: 'bench-practice',
      given: [given('C', 'round the wrist', input.wristMm)],
    })
  return derive(log, {
    label: LENGTH_TEXTS[school].title,
    formula: '(C − A)·(1 + π·t/C)',
    unit: 'mm',
    source: 'pappus',
    given: [
      given('C', 'worn inside, wrist and ease', input.wristMm + input.easeMm),
      given('A', 'gap along the round', gapArcMm(log, input)),
      given('t', 'thickness', input.thicknessMm),
    ],
  })
}

/** Straight or tapered blank about the origin, its ends rounded at the corners. */
function cuffOutline(lengthMm: number, { widthMm, endWidthMm, cornerMm }: Input): Outline {
  const [x, end, middle] = [lengthMm / 2, endWidthMm / 2, widthMm / 2]
  const r = Math.min(cornerMm, end, x / 2)
  const corner = (cx: number, cy: number, from: number): Point[] =>
    r > 0.01 ? arcPoints([cx, cy], r, from, from + Math.PI / 2) : [[cx, cy]]
  return [
    ...corner(x - r, -end + r, -Math.PI / 2),
    ...corner(x - r, end - r, 0),
    [0, middle],
    ...corner(-x + r, end - r, Math.PI / 2),
    ...corner(-x + r, -end + r, Math.PI),
    [0, -middle],
  ]
}

/** The worn cuff from the end: an open ring with its gap below. */
function wornView(input: Input) {
  const inner = (input.wristMm + input.easeMm) / (2 * Math.PI)
  const half = Math.max(0.01, Math.PI - Math.asin(Math.min(1, input.gapMm / (2 * inner))))
  const [from, to] = [Math.PI / 2 - half, Math.PI / 2 + half]
  const outer = inner + input.thicknessMm
  const foot = outer * 1.04
  return view('worn', 'Worn', {
    shapes: [region([...arcPoints([0, 0], outer, from, to), ...[...arcPoints([0, 0], inner, from, to)].reverse()])],
    dimensions: [
      { from: [-inner, 0], to: [inner, 0], offset: 0, text: `${formatPlain(2 * inner, 1)} inside` },
      { from: [-input.gapMm / 2, -foot], to: [input.gapMm / 2, -foot], offset: -1.6, text: `gap ${formatPlain(input.gapMm, 1)}` },
    ],
  })
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input): Check[] {
  return [
    limitCheck({
      code: 'gap',
      ok: input.gapMm === 0 || (input.gapMm >= 25 && input.gapMm <= 32),
      level: 'note',
      field: 'gapMm',
      source: 'house-default',
      actual: input.gapMm,
      limit: 25,
      good: input.gapMm === 0 ? 'Closed: this is a bangle, and has to pass the hand.' : 'A usual gap: the wrist goes in sideways.',
      bad: '25 to 32 mm is usual: smaller is hard to put on, larger slips off.',
    }),
    limitCheck({
      code: 'corners',
      ok: input.cornerMm >= 6 || input.cornerMm >= input.endWidthMm / 2 - 0.01,
      level: 'note',
      field: 'cornerMm',
      source: 'house-default',
      actual: input.cornerMm,
      limit: 6,
      good: 'The corners are round enough for a wrist.',
      bad: 'Under 6 mm the corners catch: round them more, and dress every edge.',
    }),
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.length), cleanUpOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('gapMm', 'Gap inside', Math.max(0.1, input.gapMm), 1)

/** Its gap, and how wide it stands when the former is out of it: no cut moves that. */
function outcomesOf(input: Input, bench: Bench): readonly OutcomeSpec[] {
  const former = formerOf(input, bench)
  const stands = former ? [asked('letGoMm', 'Inside across, let go', insideMm(input), former.plusMinusMm, 0)] : []
  return [outcomeOf(input), ...stands]
}

/** What it springs back from. */
const springCheck = (formerMm: number | undefined): Check => ({
  level: formerMm === undefined ? 'warn' : 'note',
  code: 'springback',
  source: 'springback',
  message:
    formerMm === undefined
      ? 'Metal this thin springs open again from any former: harder bends by hand, or thicker sheet.'
      : `It opens again as it comes off: annealed, bend it on about ${formatPlain(formerMm, 0)} mm across, ± 15 % of what it springs.`,
})

function planCuff(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const calculatedMm = lengthOf([], input, input.schools.length)
  const answer = answerFor(log, input)
  const worn = input.wristMm + input.easeMm
  const formerMm = formerOf(input, bench)?.insideMm
  const target = targetOf(outcomeOf(input))
  const outline = cuffOutline(answer.markAt, input)
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'cuff', outline })],
    results: {
      lengthMm: { value: calculatedMm, unit: 'mm' },
      insideDiameterMm: { value: worn / Math.PI, unit: 'mm' },
      insideLengthMm: { value: worn - gapArcMm([], input), unit: 'mm' },
      ...(formerMm === undefined ? {} : { formerMm: { value: formerMm, unit: 'mm' as const } }),
    },
    choice: schoolChoice('length', 'Calculation', input.schools.length, LENGTH_TEXTS, (id) => lengthOf([], input, id)),
    checks: [...checksOf(input), springCheck(formerMm)],
    views: [
      wornView(input),
      view('blank', 'Blank', {
        shapes: [region(outline)],
        dimensions: [
          {
            from: [-answer.markAt / 2, -input.widthMm / 2],
            to: [answer.markAt / 2, -input.widthMm / 2],
            offset: -2.2,
            text: `cut ${formatPlain(answer.markAt, 2)}`,
          },
          {
            from: [-answer.markAt / 2, input.endWidthMm / 2],
            to: [-answer.markAt / 2, -input.endWidthMm / 2],
            offset: -1.6,
            text: `${formatPlain(input.endWidthMm, 2)} at the end`,
          },
        ],
        handles: [{ field: 'widthMm', label: 'width in the middle', at: [0, input.widthMm / 2], along: [0, 1], gain: 2 }],
      }),
    ],
    sizedSteps: bentSteps({
      what: 'the cuff',
      cutMm: answer.markAt,
      insideRadiusMm: worn / (2 * Math.PI),
      on: 'the oval mandrel',
      bend: { what: 'it to the wrist', manner: 'round' },
      target,
    }),
    regions: ['outside', 'inside'],
    solids: bentSolid(
      [{ radiusMm: worn / (2 * Math.PI) + input.thicknessMm / 2, turnRad: (2 * Math.PI * (worn - gapArcMm([], input))) / worn }],
      stripSection(Math.max(input.widthMm, input.endWidthMm), input.thicknessMm),
      taperOf(outline),
    ),
    method: `cuff, ${LENGTH_TEXTS[input.schools.length].title.toLowerCase()}`,
  })
}

export const cuff = defineForm({
  id: 'cuff',
  title: 'Cuff',
  summary: 'An open bracelet, straight or tapered, with rounded ends: the blank for a wrist and a gap.',
  input,
  example: { wristMm: 158, gapMm: 27, alloy: 'copper-c110', thicknessMm: '17 ga', widthMm: 24, endWidthMm: 16, cornerMm: 7 },
  ask: { words: ['cuff'], sizes: ['wristMm', 'widthMm'] },
  answer: answerFor,
  outcomes: outcomesOf,
  measured: ['wristMm', 'gapMm'],
  plan: planCuff,
})
