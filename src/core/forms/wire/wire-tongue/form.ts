import * as z from 'zod'
import type { BentSegment } from '../../../drawing/solid/solid'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { bentView } from '../../common/bent-part'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { answerOf, asked, completePlan, hazardNotes, limitCheck, schoolChoice, stripView, targetOf, wireBlank } from '../../common/plan-kit'
import { wireSolid } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const EYE_TEXTS = {
  round: {
    title: 'A round eye',
    why: 'Bent round a rod as wide as the bar is at its widest: turns freely, and stands off a flat bar.',
    formula: 'a + π·(max(b, t) + w)',
  },
  snug: {
    title: 'An eye that follows the bar',
    why: 'Two half circles and the flats of the bar between them: does not rattle.',
    formula: 'a + π·(min(b, t) + w) + 2·(max(b, t) − min(b, t))',
  },
} as const
type Eye = keyof typeof EYE_TEXTS

const input = () =>
  z.strictObject({
    tipMm: lengthMm({ label: 'Middle of the bar to the tip', min: 4, max: 150 }),
    barMm: lengthMm({ label: 'Bar width', min: 0.8, max: 40 }),
    barThickMm: lengthMm({ label: 'Bar thickness', min: 0.4, max: 8 }),
    alloy: commonFields.alloy(),
    thicknessMm: thicknessMm({ label: 'Wire', min: 0.8, max: 8 }),
    ...closingFields(0.5),
    schools: schoolsField({ eye: ['round', 'snug'] }),
  })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, { tipMm, barMm, barThickMm, thicknessMm: wire }: Input, eye: Eye): number {
  const { title, formula } = EYE_TEXTS[eye]
  return derive(log, {
    label: title,
    formula,
    unit: 'mm',
    source: 'pappus',
    given: [
      given('a', 'middle of the bar to the tip', tipMm),
      given('b', 'bar', barMm),
      given('t', 'its thickness', barThickMm),
      given('w', 'wire', wire),
    ],
    note: 'Middle of the wire; the eye is closed against the shank.',
  })
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.eye))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('tipMm', 'Middle of the bar to the tip', input.tipMm, 0.4)

/** From the tip to the end of the closed eye. */
function segmentsOf({ tipMm, barMm, barThickMm, thicknessMm: wire, schools }: Input): BentSegment[] {
  const [narrow, wide] = [Math.min(barMm, barThickMm), Math.max(barMm, barThickMm)]
  const flat = schools.eye === 'snug' ? wide - narrow : 0
  const half = { radiusMm: ((schools.eye === 'snug' ? narrow : wide) + wire) / 2, turnRad: Math.PI }
  return [
    { straightMm: tipMm },
    ...(flat > 0 ? [{ straightMm: flat / 2 }, half, { straightMm: flat }, half, { straightMm: flat / 2 }] : [half, half]),
  ]
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input): Check[] {
  const least = input.tipMm / 15
  return [
    limitCheck({
      code: 'tongue-stiffness',
      ok: input.thicknessMm >= least,
      level: 'warn',
      field: 'thicknessMm',
      source: 'bench-practice',
      actual: input.thicknessMm,
      limit: least,
      good: 'Stout enough to carry the pull of the strap.',
      bad: `A tongue under a fifteenth of its length bends under the strap: ${formatPlain(least, 2)} mm of wire at least.`,
    }),
    {
      level: 'note',
      code: 'tongue-polish-first',
      source: 'bench-practice',
      message: 'Polish the frame before the tongue goes on; close its eye on the bar until it turns freely and does not slide.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function planTongue(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.eye
  const answer = answerFor(log, input)
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'tongue', lengthMm: answer.markAt })],
    results: {
      lengthMm: { value: lengthOf([], input, school), unit: 'mm' },
      rodMm: { value: school === 'round' ? Math.max(input.barMm, input.barThickMm) : Math.min(input.barMm, input.barThickMm), unit: 'mm' },
    },
    choice: schoolChoice('eye', 'How the eye goes round the bar', school, EYE_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input),
    views: [
      bentView({
        title: 'As it is bent',
        segments: segmentsOf(input),
        thicknessMm: input.thicknessMm,
        start: [-input.tipMm, 0],
        dimensions: [{ from: [-input.tipMm, 0], to: [0, 0], offset: -2, text: `${formatPlain(input.tipMm, 2)} to the tip` }],
        handles: [{ field: 'tipMm', label: 'tip', at: [-input.tipMm, 0], along: [-1, 0], gain: 1 }],
      }),
      stripView(
        answer.markAt,
        input.thicknessMm,
        { length: `cut ${formatPlain(answer.markAt, 1)}`, width: `${formatPlain(input.thicknessMm, 2)} wire` },
        'Straight',
      ),
    ],
    sizedSteps: [
      { op: 'saw', params: { what: 'the wire', cutMm: answer.markAt } },
      {
        op: 'bend',
        params: {
          insideRadiusMm: (school === 'round' ? Math.max(input.barMm, input.barThickMm) : Math.min(input.barMm, input.barThickMm)) / 2,
          what: 'the eye round the bar',
          manner: 'shape',
        },
        target,
      },
      { op: 'smooth-ends', params: {} },
    ],
    solids: wireSolid(segmentsOf(input), input.thicknessMm),
    method: `wire tongue, ${EYE_TEXTS[school].title.toLowerCase()}`,
  })
}

export const wireTongue = defineForm({
  id: 'wire-tongue',
  title: 'Wire tongue',
  summary: 'The tongue of a buckle: a closed eye round the bar and the length from there to the tip.',
  input,
  example: { tipMm: 17, barMm: 3.6, barThickMm: 1.6, alloy: 'yellow-brass-c260', thicknessMm: '13 ga' },
  ask: { words: ['wire tongue', 'tongue'], sizes: ['tipMm', 'barMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['tipMm', 'barMm', 'barThickMm'],
  plan: planTongue,
})
