import * as z from 'zod'
import { cutAlong } from '../../../drawing/cut'
import { circleHole, circleOutline, rectangleOutline } from '../../../geometry/outline'
import { MM_PER_US_SIZE } from '../../../tables/rings/rings'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm, ringDiameterMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  lengthBlank,
  limitCheck,
  onlySchool,
  region,
  sheetBlank,
  stripView,
  targetOf,
  view,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { ringSolid, stripSection } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

/** Up to this much a ring is stretched on the mandrel rather than cut; further it thins and may split at its joint (common practice). */
const STRETCH_SHARE = 0.02
/** A cut-out piece is marked this finely: rounding it up would take metal that cannot be put back. */
const CUT_OUT_STEP_MM = 0.01

const input = () =>
  z
    .strictObject({
      nowMm: ringDiameterMm({ label: 'Size now', min: 8, max: 35, help: 'A ring size, or the inside diameter.' }),
      wantedMm: ringDiameterMm({ label: 'Size wanted', min: 8, max: 35 }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      widthMm: lengthMm({ label: 'Width at the joint', min: 1, max: 40 }).default(3),
      kerfMm: lengthMm({ label: 'Saw kerf', min: 0, max: 1 }).default(0.25),
      jointAllowanceMm: lengthMm({
        label: 'Filing of the ends',
        min: 0,
        max: 3,
        help: 'What you file off the ends together to close the joint.',
      }).default(0.1),
      ...closingFields(0.1),
      schools: schoolsField({ way: ['middle'] }),
    })
    .refine(
      (value) =>
        value.wantedMm > value.nowMm || Math.PI * (value.nowMm - value.wantedMm) >= 2 * value.kerfMm + value.jointAllowanceMm + 0.1,
      {
        path: ['wantedMm'],
        error:
          'Size wanted: opening the joint and filing it takes as much already; it must be smaller by more than two saw cuts, or larger than now',
      },
    )
type Input = OutputOf<typeof input>

function pieceMm(log: WorkingLog, input: Input): number {
  const change = derive(log, {
    label: 'Change of length',
    formula: 'π·(b − a)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('a', 'inside now', input.nowMm), given('b', 'inside wanted', input.wantedMm)],
    note: 'The thickness drops out: the middle of the metal grows by as much as the inside.',
  })
  const [formula, label] = change > 0 ? ['c + k + f', 'Piece to let in'] : ['0 − c − 2·k − f', 'Piece to cut out']
  return derive(log, {
    label,
    formula,
    unit: 'mm',
    source: 'bench-practice',
    given: [given('c', 'change', change), given('k', 'kerf', input.kerfMm), given('f', 'filing', input.jointAllowanceMm)],
    note: change > 0 ? 'One cut opens the ring.' : 'Two cuts take a piece out, and each takes its kerf.',
  })
}

function changeChecks(input: Input): Check[] {
  const share = (input.wantedMm - input.nowMm) / (input.nowMm + input.thicknessMm)
  const sizes = Math.abs(input.wantedMm - input.nowMm) / MM_PER_US_SIZE
  const stretch: Check[] =
    share > 0 && share <= STRETCH_SHARE
      ? [
          {
            level: 'note',
            code: 'stretch-instead',
            source: 'bench-practice',
            message: `It is only ${formatPlain(100 * share, 1)} % longer: annealed and stretched on the mandrel it needs no joint, and thins by as much.`,
          },
        ]
      : []
  return [
    ...stretch,
    limitCheck({
      code: 'far-change',
      ok: sizes <= 3,
      level: 'note',
      field: 'wantedMm',
      source: 'bench-practice',
      actual: Math.abs(input.wantedMm - input.nowMm),
      limit: 3 * MM_PER_US_SIZE,
      good: `${formatPlain(sizes, 2)} US sizes ${share > 0 ? 'up' : 'down'}.`,
      bad: `${formatPlain(sizes, 1)} US sizes ${share > 0 ? 'up' : 'down'}: shoulders and pattern will not follow; a new ring may be less work.`,
    }),
    {
      level: 'note',
      code: 'what-stands-near',
      source: 'bench-practice',
      message:
        'Cut where the old joint is, away from a hallmark. Stones, plating and enamel near the flame come out or are shielded first.',
    },
  ]
}

function ringView(input: Input, pieceLongMm: number) {
  const inner = input.wantedMm / 2
  const middle = inner + input.thicknessMm / 2
  const half = Math.min(1.2, pieceLongMm / (2 * middle))
  const cut = (angle: number) =>
    cutAlong(
      [(inner - 0.6) * Math.sin(angle), (inner - 0.6) * Math.cos(angle)],
      [(inner + input.thicknessMm + 0.6) * Math.sin(angle), (inner + input.thicknessMm + 0.6) * Math.cos(angle)],
    )
  return view('section', input.wantedMm > input.nowMm ? 'Ring, with the piece let in' : 'Ring, its piece taken out', {
    shapes: [
      region(circleOutline(inner + input.thicknessMm), [circleHole(inner)]),
      ...(input.wantedMm > input.nowMm ? [cut(-half), cut(half)] : [cut(0)]),
      { kind: 'line', layer: 'scribe', points: [...circleOutline(input.nowMm / 2), [input.nowMm / 2, 0]] },
    ],
    dimensions: [
      { from: [-inner, 0], to: [inner, 0], offset: 0, text: `${formatPlain(input.wantedMm, 2)} wanted` },
      {
        from: [-input.nowMm / 2, -inner - input.thicknessMm],
        to: [input.nowMm / 2, -inner - input.thicknessMm],
        offset: -2,
        text: `${formatPlain(input.nowMm, 2)} now`,
      },
    ],
    handles: [{ field: 'wantedMm', label: 'size wanted', at: [inner, 0], along: [1, 0], gain: 2 }],
  })
}

function answerFor(log: WorkingLog, input: Input): Answer {
  const larger = input.wantedMm > input.nowMm
  const marked = larger ? input : { ...input, roundUpMm: CUT_OUT_STEP_MM }
  return answerOf(log, marked, larger ? 'piece to let in' : 'piece to cut out', pieceMm(log, input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('insideDiameterMm', 'Inside diameter', input.wantedMm, 0.1, 'wantedMm')

function planResize(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const calculatedMm = pieceMm([], input)
  const larger = input.wantedMm > input.nowMm
  const answer = answerFor(log, input)
  const target = targetOf(outcomeOf(input))
  const blank = larger
    ? sheetBlank(input, bench, { name: 'piece', outline: rectangleOutline(answer.markAt, input.widthMm) })
    : lengthBlank(input, bench, {
        name: 'piece',
        stock: 'piece',
        lengthMm: answer.markAt,
        heightMm: input.widthMm,
        sectionMm2: input.widthMm * input.thicknessMm,
      })
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [blank],
    results: {
      lengthMm: { value: calculatedMm, unit: 'mm' },
      changeMm: { value: Math.PI * (input.wantedMm - input.nowMm), unit: 'mm' },
    },
    choice: onlySchool('way', 'Calculation', {
      id: 'middle',
      title: 'By the middle of the metal',
      value: calculatedMm,
      why: 'Any thickness needs the same piece; a quarter US size is 0.64 mm of metal.',
    }),
    checks: [...changeChecks(input), ...hazardNotes(input.alloy)],
    views: [
      ringView(input, answer.markAt),
      stripView(
        answer.markAt,
        input.widthMm,
        { length: `${larger ? 'let in' : 'cut out'} ${formatPlain(answer.markAt, 2)}`, width: `${formatPlain(input.widthMm, 2)} wide` },
        'Piece',
      ),
    ],
    sizedSteps: bentSteps({
      what: larger ? 'the joint open, and the piece' : 'the piece out at the joint',
      cutMm: answer.markAt,
      insideRadiusMm: input.wantedMm / 2,
      on: 'the ring mandrel',
      target,
    }),
    regions: ['outside', 'inside'],
    solids: ringSolid(input.wantedMm, input.thicknessMm / 2, stripSection(input.widthMm, input.thicknessMm)),
    method: larger ? 'ring, piece let in' : 'ring, piece cut out',
  })
}

export const ringResize = defineForm({
  id: 'ring-resize',
  title: 'Ring to another size',
  summary: 'A ring that exists, made larger or smaller: the piece to let in or to cut out, and when stretching is enough.',
  input,
  example: { nowMm: 'UK L', wantedMm: 'UK P', alloy: 'sterling-925', thicknessMm: '15 ga', widthMm: 3.2 },
  ask: { words: ['resize', 'ring to another size'], sizes: ['nowMm', 'wantedMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['nowMm', 'wantedMm'],
  plan: planResize,
})
