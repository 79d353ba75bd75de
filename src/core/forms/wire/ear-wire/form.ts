import * as z from 'zod'
import type { BentSegment } from '../../../drawing/solid/solid'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { bentView } from '../../common/bent-part'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  bySchool,
  completePlan,
  hazardNotes,
  limitCheck,
  schoolChoice,
  stripView,
  targetOf,
  wireBlank,
} from '../../common/plan-kit'
import { wireSolid } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const END_TEXTS = {
  eye: { title: 'A turned eye', why: 'The short end is turned once round: opens and closes to take the drop.', formula: 'π·(e + w)' },
  ball: {
    title: 'A melted ball',
    why: 'A ball stops the drop and needs no turning; the drop goes on before the bend.',
    formula: '2·e^3/(3·w^2)',
  },
  wrapped: {
    title: 'An eye, wrapped three times',
    why: 'The end goes three times round the leg under the eye: it cannot open, and takes the most wire.',
    formula: 'π·(e + w) + 3·π·2·w',
  },
} as const
type End = keyof typeof END_TEXTS

const input = () =>
  z.strictObject({
    rodMm: lengthMm({ label: 'Rod for the bend', min: 2, max: 40, help: 'What the top is bent over.' }),
    alloy: commonFields.alloy(),
    thicknessMm: thicknessMm({ label: 'Wire', min: 0.4, max: 2 }),
    tailMm: lengthMm({ label: 'Tail behind the ear', min: 3, max: 60 }).default(16),
    frontMm: lengthMm({ label: 'Front leg', min: 0, max: 60, help: 'From the top bend down to the eye.' }).default(7),
    endMm: lengthMm({ label: 'Eye inside, or ball', min: 0.8, max: 12 }).default(2.2),
    ...closingFields(1),
    schools: schoolsField({ end: ['eye', 'ball', 'wrapped'] }),
  })
type Input = OutputOf<typeof input>

function endMm(log: WorkingLog, { endMm: size, thicknessMm: wire }: Input, school: End): number {
  return bySchool(log, END_TEXTS[school], school === 'ball' ? 'closed-form' : 'pappus', [
    given('e', 'eye inside, or ball', size),
    given('w', 'wire', wire),
  ])
}

function lengthOf(log: WorkingLog, input: Input, school: End): number {
  return derive(log, {
    label: 'Wire for one ear',
    formula: 'T + π·(D + w)/2 + f + E',
    unit: 'mm',
    source: 'pappus',
    given: [
      given('T', 'tail', input.tailMm),
      given('D', 'rod', input.rodMm),
      given('w', 'wire', input.thicknessMm),
      given('f', 'front leg', input.frontMm),
      given('E', 'end', endMm(log, input, school)),
    ],
  })
}

/** The wire as it hangs: tail up, over the top, down the front, and the turned eye. */
function segmentsOf(input: Input): BentSegment[] {
  const over = { radiusMm: (input.rodMm + input.thicknessMm) / 2, turnRad: -Math.PI }
  const legs = [{ straightMm: input.tailMm }, over, { straightMm: input.frontMm }]
  return input.schools.end === 'ball' ? legs : [...legs, { radiusMm: (input.endMm + input.thicknessMm) / 2, turnRad: 1.9 * Math.PI }]
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input): Check[] {
  return [
    limitCheck({
      code: 'ear-wire-gauge',
      ok: input.thicknessMm >= 0.7 && input.thicknessMm <= 1,
      level: 'warn',
      field: 'thicknessMm',
      source: 'bench-practice',
      actual: input.thicknessMm,
      limit: 0.9,
      good: 'A wire that goes through a pierced ear and keeps its bend.',
      bad: 'Wires of 0.7 to 1.0 mm are usual for a pierced ear: thinner cuts, thicker does not pass.',
    }),
    limitCheck({
      code: 'tail-balance',
      ok: input.tailMm >= input.frontMm,
      level: 'warn',
      field: 'tailMm',
      source: 'bench-practice',
      actual: input.tailMm,
      limit: input.frontMm,
      good: 'The tail hangs lower than the front, so it stays in the ear.',
      bad: 'The tail is shorter than the front leg: it slips out of the ear.',
    }),
    {
      level: 'note',
      code: 'harden-last',
      source: 'bench-practice',
      message:
        'Round the tip of the tail with a cup burr, then hammer the bend a little: soft wire opens. Both of a pair are bent side by side.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'wire for each', lengthOf(log, input, input.schools.end))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('tailMm', 'Tail behind the ear', input.tailMm, 0.5)

function planEarWire(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const calculatedMm = lengthOf([], input, input.schools.end)
  const answer = answerFor(log, input)
  const across = input.rodMm + 2 * input.thicknessMm
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'ear wire', lengthMm: answer.markAt, each: 2 })],
    results: {
      lengthMm: { value: calculatedMm, unit: 'mm' },
      endMm: { value: endMm([], input, input.schools.end), unit: 'mm' },
      acrossMm: { value: across, unit: 'mm' },
      pairMm: { value: 2 * answer.markAt, unit: 'mm' },
    },
    choice: schoolChoice('end', 'How the drop is held', input.schools.end, END_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input),
    views: [
      bentView({
        title: 'On the wall',
        segments: segmentsOf(input),
        thicknessMm: input.thicknessMm,
        headingRad: Math.PI / 2,
        dimensions: [
          { from: [0, 0], to: [0, input.tailMm], offset: 1.4, text: `tail ${formatPlain(input.tailMm, 1)}` },
          {
            from: [input.thicknessMm / 2, input.tailMm + across / 2],
            to: [input.rodMm + input.thicknessMm / 2, input.tailMm + across / 2],
            offset: 1,
            text: `rod ${formatPlain(input.rodMm, 2)}`,
          },
        ],
        handles: [{ field: 'rodMm', label: 'rod', at: [input.rodMm + input.thicknessMm, input.tailMm], along: [1, 0], gain: 1 }],
      }),
      stripView(
        answer.markAt,
        input.thicknessMm,
        { length: `cut ${formatPlain(answer.markAt, 1)}`, width: `${formatPlain(input.thicknessMm, 2)} wire` },
        'Straight, two of it',
      ),
    ],
    sizedSteps: [
      { op: 'saw', params: { what: 'the two wires', cutMm: Math.min(2000, Math.max(0.5, answer.markAt)) } },
      { op: 'form-hook', params: { insideRadiusMm: input.rodMm / 2, what: 'them round the rod, both together' } },
      { op: 'trim-tail', params: {}, target },
    ],
    solids: wireSolid(segmentsOf(input), input.thicknessMm),
    method: `ear wire, ${END_TEXTS[input.schools.end].title.toLowerCase()}`,
  })
}

export const earWire = defineForm({
  id: 'ear-wire',
  title: 'Ear wires',
  summary: 'A pair of hooks for pierced ears: the wire for each, by the rod, the tail, the front leg and how the drop is held.',
  input,
  example: { rodMm: 8.5, alloy: 'sterling-925', thicknessMm: '19 ga', tailMm: 15, frontMm: 6 },
  ask: { words: ['ear wire', 'earwire', 'ear hook'], sizes: ['rodMm', 'tailMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['rodMm', 'tailMm', 'frontMm', 'endMm'],
  plan: planEarWire,
})
