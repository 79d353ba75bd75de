import * as z from 'zod'
import { arcPoints, circleOutline } from '../../../geometry/outline'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  stripView,
  targetOf,
  view,
  wireBlank,
} from '../../common/plan-kit'
import type { Answer, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const LOSS_TEXTS = {
  mass: { title: 'By mass', why: 'Melting keeps the mass: a wire of this length becomes exactly this ball.' },
  'with-loss': {
    title: 'By mass, and 4 %',
    why: 'Granules shrink and drip a little in practice: three to five per cent more wire makes up for it.',
  },
} as const
type School = keyof typeof LOSS_TEXTS

const input = () =>
  z.strictObject({
    ballMm: lengthMm({ label: 'Ball', min: 0.5, max: 20 }),
    alloy: commonFields.alloy(),
    thicknessMm: thicknessMm({ label: 'Wire', min: 0.2, max: 8 }),
    wireInHandMm: lengthMm({
      label: 'I already have wire',
      min: 0.5,
      max: 500,
      help: 'What ball would a piece of this length give?',
    }).optional(),
    ...closingFields(0.1),
    schools: schoolsField({ loss: ['mass', 'with-loss'] }),
  })
type Input = OutputOf<typeof input>

const FACTOR: Readonly<Record<School, number>> = { mass: 1, 'with-loss': 1.04 }

function lengthOf(log: WorkingLog, input: Input, school: School): number {
  return derive(log, {
    label: LOSS_TEXTS[school].title,
    formula: school === 'mass' ? '2·D^3/(3·d^2)' : '1.04·2·D^3/(3·d^2)',
    unit: 'mm',
    source: school === 'mass' ? 'closed-form' : 'bench-practice',
    given: [given('D', 'ball', input.ballMm), given('d', 'wire', input.thicknessMm)],
  })
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.loss))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('ballMm', 'Ball', input.ballMm, 0.1)

function planBall(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const calculatedMm = lengthOf([], input, input.schools.loss)
  const answer = answerFor(log, input)
  const inHand = input.wireInHandMm ?? answer.markAt
  const gives = derive(log, {
    label: 'Ball from your wire',
    formula: '(1.5·d^2·L/f)^(1/3)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('d', 'wire', input.thicknessMm), given('L', 'length', inHand), given('f', 'loss', FACTOR[input.schools.loss], 'ratio')],
  })
  const ratio = input.ballMm / input.thicknessMm
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'wire', lengthMm: answer.markAt })],
    results: { lengthMm: { value: calculatedMm, unit: 'mm' }, fromWireMm: { value: gives, unit: 'mm' } },
    choice: schoolChoice('loss', 'How much wire', input.schools.loss, LOSS_TEXTS, (id) => lengthOf([], input, id)),
    checks: [
      limitCheck({
        code: 'ball-ratio',
        ok: ratio <= 3,
        level: 'note',
        field: 'thicknessMm',
        source: 'bench-practice',
        actual: input.ballMm,
        limit: 3 * input.thicknessMm,
        good: 'The wire draws up into a ball of this size readily.',
        bad: 'Over three times the wire the length curls and drips before it balls: take thicker wire, or ball scrap in a hollow.',
      }),
      {
        level: 'note',
        code: 'equal-lengths',
        source: 'bench-practice',
        message: 'Cut all of a set to one length. Balls roll and jump: a hollow in charcoal, eye protection, a little flux.',
      },
      ...hazardNotes(input.alloy),
    ],
    views: [
      view('ball', 'Ball', {
        shapes: [region(circleOutline(input.ballMm / 2))],
        dimensions: [
          {
            from: [-input.ballMm / 2, -input.ballMm / 2],
            to: [input.ballMm / 2, -input.ballMm / 2],
            offset: -1.8,
            text: `ball ${formatPlain(input.ballMm, 2)}`,
          },
        ],
        handles: [{ field: 'ballMm', label: 'ball', at: [input.ballMm / 2, 0], along: [1, 0], gain: 2 }],
      }),
      stripView(answer.markAt, input.thicknessMm, {
        length: `cut ${formatPlain(answer.markAt, 2)}`,
        width: `${formatPlain(input.thicknessMm, 2)} wire`,
      }),
    ],
    sizedSteps: [
      { op: 'saw', at: 'rough', params: { cutMm: Math.max(0.5, answer.markAt) } },
      { op: 'melt', params: { what: 'it into a ball' } },
      { op: 'match', params: {}, target },
    ],
    solids: [{ solid: { kind: 'turned', profile: arcPoints([0, 0], input.ballMm / 2, -Math.PI / 2, Math.PI / 2) }, at: [0, 0, 0] }],
    method: `ball, ${LOSS_TEXTS[input.schools.loss].title.toLowerCase()}`,
  })
}

export const ball = defineForm({
  id: 'ball',
  title: 'Ball from wire',
  summary: 'A melted ball of a size: the wire to cut for it, and what ball a piece of wire gives.',
  input,
  example: { ballMm: 2.7, alloy: 'fine-silver', thicknessMm: '17 ga' },
  ask: { words: ['ball'], sizes: ['ballMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['ballMm'],
  plan: planBall,
})
