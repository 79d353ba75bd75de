import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import type { Drawing } from '../../../drawing/drawing'
import { circleHole, circleOutline } from '../../../geometry/outline'
import { massWith } from '../../../tables/figures'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { commonFields, type OutputOf } from '../../common/fields'
import { asked, hazardNotes, markedAt, sheetBlank, targetOf } from '../../common/plan-kit'
import { holeSteps } from '../../common/sized-steps'
import type { Answer, Check, FormPlan, OutcomeSpec, SchoolChoice } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const CUT_SCHOOLS = ['saw', 'cutter'] as const
const CUT_TEXT = {
  saw: { title: 'Saw and file true', why: 'Any size; the clean-up goes all round.' },
  cutter: { title: 'Disc cutter', why: 'Clean edge, no clean-up, but only in the sizes the cutter has.' },
} as const

const discInput = () =>
  z
    .strictObject({
      diameterMm: lengthMm({ label: 'Diameter', min: 1, max: 500 }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      holeMm: lengthMm({ label: 'Hole', min: 0, max: 480, help: 'In the middle; 0 for none.' }).default(0),
      cleanUpMm: commonFields.cleanUp(0.2),
      roundUpMm: commonFields.roundUp(0.1),
      allowanceMm: commonFields.allowance(),
      edge: choice('Edge', { square: 'Left square', rounded: 'Rounded over' }).default('square'),
      qty: commonFields.qty(),
      schools: schoolsField({ cut: CUT_SCHOOLS }),
    })
    .refine((input) => input.holeMm < input.diameterMm, { path: ['holeMm'], error: 'Hole: it is as large as the disc; it must be smaller' })

type Input = OutputOf<typeof discInput>

function cutMm(input: Input, school: Input['schools']['cut'], log: WorkingLog = []): number {
  const sideMm = school === 'saw' ? input.cleanUpMm : 0
  return derive(log, {
    label: 'Cut diameter',
    formula: 'd + 2·c + r',
    unit: 'mm',
    source: input.allowanceMm === 0 ? 'closed-form' : 'own-record',
    given: [
      given('d', 'finished diameter', input.diameterMm),
      given('c', 'filing allowance per side', sideMm),
      given('r', 'my allowance', input.allowanceMm),
    ],
  })
}

function cutChoice(input: Input): SchoolChoice {
  return {
    question: 'cut',
    label: 'How it is cut',
    unit: 'mm',
    school: input.schools.cut,
    schools: CUT_SCHOOLS.map((id) => ({ id, ...CUT_TEXT[id], value: cutMm(input, id) })),
  }
}

function checksOf(input: Input): Check[] {
  const checks: Check[] = []
  const web = (input.diameterMm - input.holeMm) / 2
  if (input.holeMm > 0) {
    const actual = { value: web, unit: 'mm' as const }
    const limit = { value: 1, unit: 'mm' as const }
    checks.push(
      web < 1
        ? {
            level: 'warn',
            code: 'hole-edge-distance',
            field: 'holeMm',
            actual,
            limit,
            source: 'bench-practice',
            message: `Only ${formatPlain(web, 2)} mm of metal stays round the hole; 1 mm is the usual least.`,
          }
        : {
            level: 'ok',
            code: 'hole-edge-distance',
            actual,
            limit,
            source: 'bench-practice',
            message: `${formatPlain(web, 2)} mm of metal stays round the hole.`,
          },
    )
  }
  if (input.schools.cut === 'cutter' && input.thicknessMm > 1.6) {
    checks.push({
      level: 'warn',
      code: 'cutter-thickness',
      field: 'thicknessMm',
      limit: { value: 1.6, unit: 'mm' },
      actual: { value: input.thicknessMm, unit: 'mm' },
      source: 'house-default',
      message: 'Over 1.6 mm most bench cutters are past their rating: saw it, or check what yours allows.',
    })
  }
  if (input.schools.cut === 'saw' && input.cleanUpMm === 0)
    checks.push({
      level: 'note',
      code: 'no-clean-up',
      field: 'cleanUpMm',
      source: 'bench-practice',
      message: 'No clean-up is allowed: saw marks will bring it under size.',
    })
  return [...checks, ...hazardNotes(input.alloy)]
}

function drawDisc(input: Input, markAt: number): Drawing {
  const radius = input.diameterMm / 2
  const hole = input.holeMm / 2
  const holes = hole > 0 ? [circleHole(hole)] : []
  return {
    views: [
      {
        id: 'blank',
        title: 'Blank',
        notes: [],
        shapes: [
          { kind: 'region', layer: 'metal', outer: circleOutline(radius), holes },
          cutAround(circleOutline(markAt / 2), 'outside'),
          {
            kind: 'line',
            layer: 'centre',
            points: [
              [-radius * 0.12, 0],
              [radius * 0.12, 0],
            ],
          },
          {
            kind: 'line',
            layer: 'centre',
            points: [
              [0, -radius * 0.12],
              [0, radius * 0.12],
            ],
          },
        ],
        dimensions: [
          { from: [-radius, -radius], to: [radius, -radius], offset: -2, text: `${formatPlain(input.diameterMm, 2)} finished` },
          { from: [-markAt / 2, markAt / 2], to: [markAt / 2, markAt / 2], offset: 2, text: `cut ${formatPlain(markAt, 2)}` },
        ],
        handles: [{ field: 'diameterMm', label: 'diameter', at: [radius, 0], along: [1, 0], gain: 2 }],
      },
      {
        id: 'edge',
        title: 'Edge',
        notes: [],
        shapes: [
          {
            kind: 'region',
            layer: 'metal',
            outer: [
              [-radius, 0],
              [radius, 0],
              [radius, input.thicknessMm],
              [-radius, input.thicknessMm],
            ],
            holes: [],
          },
        ],
        dimensions: [
          { from: [radius, 0], to: [radius, input.thicknessMm], offset: -1.2, text: `${formatPlain(input.thicknessMm, 3)} thick` },
        ],
        handles: [],
      },
    ],
  }
}

function answerFor(log: WorkingLog, input: Input): Answer {
  const value = cutMm(input, input.schools.cut, log)
  return { name: 'cut diameter', value, unit: 'mm', markAt: markedAt(log, value, input.roundUpMm) }
}

const outcomeOf = ({ diameterMm }: Input): OutcomeSpec => asked('diameterMm', 'Diameter', diameterMm, 0.1)

function planDisc(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const answer = answerFor(log, input)
  const { markAt } = answer
  const areaMm2 = derive(log, {
    label: 'Area of the blank',
    formula: 'π·(D/2)^2',
    given: [given('D', 'cut diameter', markAt)],
    unit: 'mm2',
    source: 'closed-form',
  })
  const blank = sheetBlank(input, bench, { name: 'disc', outline: circleOutline(markAt / 2), areaMm2, circleRadiusMm: markAt / 2 })
  const { massG } = blank
  const target = targetOf(outcomeOf(input))
  const sawn = input.schools.cut === 'saw'
  return {
    answer,
    blanks: [blank],
    results: {
      areaMm2: { value: areaMm2, unit: 'mm2' },
      massG: { value: massG, unit: 'g' },
      finishedMassG: {
        value: massWith(input.alloy, Math.PI * ((input.diameterMm / 2) ** 2 - (input.holeMm / 2) ** 2) * input.thicknessMm, bench.figures),
        unit: 'g',
      },
    },
    working: log,
    choice: cutChoice(input),
    choices: [],
    checks: checksOf(input),
    drawing: drawDisc(input, markAt),
    sizedSteps: [
      ...(sawn
        ? [
            { op: 'saw' as const, params: { what: 'the disc', cutMm: markAt } },
            { op: 'file' as const, params: { what: input.edge === 'rounded' ? 'the edge round, then over' : 'the edge round' }, target },
          ]
        : [{ op: 'saw' as const, params: { what: 'a square for the cutter' } }]),
      ...holeSteps('holes', input.holeMm),
      { op: 'finish', params: {}, target },
    ],
    ...(input.holeMm > 0 ? {} : { without: ['holes'] }),
    regions: ['body'],
    method: CUT_TEXT[input.schools.cut].title.toLowerCase(),
  }
}

export const disc = defineForm({
  id: 'disc',
  title: 'Flat disc',
  summary: 'A round flat piece, with or without a hole: what to cut, what it weighs.',
  input: discInput,
  example: { diameterMm: 29, alloy: 'copper-c110', thicknessMm: '19 ga', holeMm: 3 },
  ask: { words: ['disc', 'disk', 'token'], sizes: ['diameterMm', 'holeMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['diameterMm'],
  varies: { cleanUpMm: 0.1 },
  plan: planDisc,
})
