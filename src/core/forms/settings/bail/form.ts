import * as z from 'zod'
import type { BentSegment } from '../../../drawing/solid/solid'
import type { Outline } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { given, type WorkingLog } from '../../../working/derive'
import { bentView } from '../../common/bent-part'
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
  targetOf,
  view,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { bentSolid, stripSection, taperOf } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const FOLD_TEXTS = {
  drop: {
    title: 'A drop, legs pinched together',
    why: 'Two straight legs leave the round and lie side by side at the foot: the usual bail.',
    formula: '2·√(S^2 − R^2) + 2·R·(π − acos(R/S) − atan(t/(2·H)))',
  },
  loop: {
    title: 'A loop with parallel legs',
    why: 'Half round over the top, legs straight down on both sides of the plate.',
    formula: 'π·R + 2·H',
  },
} as const
type Fold = keyof typeof FOLD_TEXTS

const input = () =>
  z
    .strictObject({
      chainMm: lengthMm({ label: 'Room for the chain', min: 1, max: 30, help: 'Inside of the round; the clasp must pass too.' }),
      dropMm: lengthMm({ label: 'Centre to foot', min: 1, max: 60, help: 'From the middle of the round down to where it is fixed.' }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      widthMm: lengthMm({ label: 'Width over the top', min: 0.5, max: 30 }).default(5),
      footMm: lengthMm({ label: 'Width at the feet', min: 0.5, max: 30 }).default(2.5),
      claspMm: lengthMm({ label: 'Clasp to pass', min: 0, max: 30, help: '0 where the chain is put on first.' }).default(0),
      ...closingFields(0.1),
      schools: schoolsField({ fold: ['drop', 'loop'] }),
    })
    .refine((value) => value.dropMm > (value.chainMm + value.thicknessMm) / 2, {
      path: ['dropMm'],
      error: 'Centre to foot: it must be more than half the room for the chain and half the thickness together',
    })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input, school: Fold): number {
  return bySchool(log, FOLD_TEXTS[school], 'closed-form', [
    given('H', 'centre to foot', input.dropMm),
    given('R', 'round, middle of the metal', (input.chainMm + input.thicknessMm) / 2),
    given('t', 'thickness', input.thicknessMm),
    given('S', 'centre to the middle of a leg’s foot', Math.hypot(input.dropMm, input.thicknessMm / 2)),
  ])
}

function segmentsOf({ chainMm, thicknessMm, dropMm, schools }: Input): { segments: BentSegment[]; headingRad: number; startMm: number } {
  const radiusMm = (chainMm + thicknessMm) / 2
  if (schools.fold === 'loop')
    return {
      headingRad: Math.PI / 2,
      startMm: -radiusMm,
      segments: [{ straightMm: dropMm }, { radiusMm, turnRad: -Math.PI }, { straightMm: dropMm }],
    }
  // the legs' middles lie a thickness apart at the foot
  const footMm = Math.hypot(dropMm, thicknessMm / 2)
  const legMm = Math.sqrt(footMm ** 2 - radiusMm ** 2)
  const lean = Math.PI / 2 - Math.acos(radiusMm / footMm) - Math.atan(thicknessMm / (2 * dropMm))
  return {
    headingRad: Math.PI / 2 + lean,
    startMm: -thicknessMm / 2,
    segments: [{ straightMm: legMm }, { radiusMm, turnRad: -(Math.PI + 2 * lean) }, { straightMm: legMm }],
  }
}

/** The leaf it is cut as: widest over the top of the round, narrow at both feet. */
function leaf(lengthMm: number, widthMm: number, footMm: number): Outline {
  return [
    [0, -footMm / 2],
    [lengthMm / 2, -widthMm / 2],
    [lengthMm, -footMm / 2],
    [lengthMm, footMm / 2],
    [lengthMm / 2, widthMm / 2],
    [0, footMm / 2],
  ]
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, passes: number): Check[] {
  return [
    limitCheck({
      code: 'clasp-passes',
      ok: passes > 0.2,
      level: 'stop',
      field: 'chainMm',
      source: 'bench-practice',
      actual: input.chainMm,
      limit: input.claspMm + 0.2,
      good:
        input.claspMm > 0
          ? `The clasp passes with ${formatPlain(passes, 2)} mm to spare.`
          : 'The chain goes on before the ends are joined.',
      bad: `A clasp of ${formatPlain(input.claspMm, 2)} mm does not pass: the round needs ${formatPlain(input.claspMm + 0.2, 2)} mm.`,
    }),
    {
      level: 'note',
      code: 'bail-before-stone',
      source: 'bench-practice',
      message: 'Fuse or solder the bail before the stone goes in: it is the last flame near the cup.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.fold))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('dropMm', 'Centre to foot', input.dropMm, 0.3)

function planBail(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const calculatedMm = lengthOf([], input, input.schools.fold)
  const answer = answerFor(log, input)
  const outline = leaf(answer.markAt, input.widthMm, input.footMm)
  const target = targetOf(outcomeOf(input))
  const bent = segmentsOf(input)
  const passes = input.chainMm - input.claspMm
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'bail', outline })],
    results: { lengthMm: { value: calculatedMm, unit: 'mm' }, insideMm: { value: input.chainMm, unit: 'mm' } },
    choice: schoolChoice('fold', 'How it is folded', input.schools.fold, FOLD_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, passes),
    views: [
      bentView({
        title: 'From the side',
        segments: bent.segments,
        headingRad: bent.headingRad,
        start: [bent.startMm, 0],
        thicknessMm: input.thicknessMm,
        dimensions: [{ from: [0, 0], to: [0, input.dropMm], offset: -3.4, text: `centre to foot ${formatPlain(input.dropMm, 2)}` }],
        handles: [{ field: 'dropMm', label: 'centre to foot', at: [0, input.dropMm], along: [0, 1], gain: 1 }],
      }),
      view('blank', 'Blank', {
        shapes: [region(outline)],
        dimensions: [
          {
            from: [0, -input.widthMm / 2],
            to: [answer.markAt, -input.widthMm / 2],
            offset: -2,
            text: `saw outside, ${formatPlain(answer.markAt, 2)} long`,
          },
          {
            from: [answer.markAt, -input.footMm / 2],
            to: [answer.markAt, input.footMm / 2],
            offset: -1.6,
            text: formatPlain(input.footMm, 2),
          },
        ],
        handles: [{ field: 'widthMm', label: 'width', at: [answer.markAt / 2, input.widthMm / 2], along: [0, 1], gain: 2 }],
      }),
    ],
    sizedSteps: bentSteps({
      what: 'the leaf',
      cutMm: answer.markAt,
      insideRadiusMm: input.chainMm / 2,
      on: 'round pliers',
      bend: { what: 'the leaf over', manner: 'shape' },
      target,
    }),
    regions: ['outside', 'inside'],
    solids: bentSolid(bent.segments, stripSection(Math.max(input.widthMm, input.footMm), input.thicknessMm), taperOf(outline)),
    method: `bail, ${FOLD_TEXTS[input.schools.fold].title.toLowerCase()}`,
  })
}

export const bail = defineForm({
  id: 'bail',
  title: 'Bail',
  summary: 'A strip folded round for a pendant to hang from: a drop or a loop, the leaf to saw, and whether the clasp passes.',
  input,
  example: { chainMm: 3.6, dropMm: 5.2, alloy: 'sterling-925', thicknessMm: '23 ga', widthMm: 4.5, footMm: 2 },
  ask: { words: ['bail'], sizes: ['chainMm', 'dropMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['chainMm', 'dropMm'],
  plan: planBail,
})
