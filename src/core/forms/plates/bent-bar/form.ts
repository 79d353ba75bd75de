import * as z from 'zod'
import type { BentSegment } from '../../../drawing/solid/solid'
import { rectangleOutline } from '../../../geometry/outline'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { bentView } from '../../common/bent-part'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  limitCheck,
  schoolChoice,
  sheetBlank,
  stripView,
  targetOf,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { bentSolid, stripSection } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const SHAPE_TEXTS = {
  bridge: { title: 'A bridge of four bends', why: 'Feet flat, up, across, down again: room under it is the same all the way.' },
  arch: { title: 'An arch', why: 'One curve from foot to foot: stiffer, easier to bend, most room in the middle.' },
} as const
type Shape = keyof typeof SHAPE_TEXTS

const input = () =>
  z
    .strictObject({
      spanMm: lengthMm({ label: 'Between the feet', min: 2, max: 200, help: 'From bend to bend, middle of the metal.' }),
      riseMm: lengthMm({ label: 'Rise', min: 0.2, max: 60, help: 'How far the middle of the bar stands over the middle of its feet.' }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      widthMm: lengthMm({ label: 'Width', min: 0.5, max: 60 }).default(4),
      footMm: lengthMm({ label: 'Each foot', min: 0, max: 60 }).default(4),
      radiusMm: lengthMm({ label: 'Bend radius inside', min: 0, max: 20, help: 'Of a bridge.' }).default(0.5),
      ...closingFields(0.1),
      schools: schoolsField({ shape: ['bridge', 'arch'] }),
    })
    .refine((value) => value.schools.shape !== 'bridge' || value.riseMm >= 2 * value.radiusMm + value.thicknessMm, {
      path: ['riseMm'],
      error: 'Rise: two bends need twice the bend radius and the thickness; a smaller radius, or an arch, rises less',
    })
    .refine((value) => value.schools.shape !== 'bridge' || value.spanMm >= 2 * value.radiusMm + value.thicknessMm, {
      path: ['spanMm'],
      error: 'Between the feet: two bends need twice the bend radius and the thickness',
    })
    .refine((value) => value.schools.shape !== 'arch' || value.riseMm <= value.spanMm / 2, {
      path: ['riseMm'],
      error: 'Rise: an arch rises half its span at most; higher is a bridge',
    })
type Input = OutputOf<typeof input>

function lengthOf(log: WorkingLog, input: Input, school: Shape): number {
  const bridge = school === 'bridge'
  return derive(log, {
    label: SHAPE_TEXTS[school].title,
    formula: bridge ? '2·f + s + 2·h + 2·π·ρ − 6·ρ' : '2·f + (s^2/4 + h^2)/(2·h)·4·atan(2·h/s)',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('f', 'each foot', input.footMm),
      given('s', 'between the feet', input.spanMm),
      given('h', 'rise', input.riseMm),
      ...(bridge ? [given('ρ', 'bend, middle of the metal', input.radiusMm + input.thicknessMm / 2)] : []),
    ],
  })
}

function segmentsOf({ spanMm, riseMm, footMm, radiusMm, thicknessMm, schools }: Input): { segments: BentSegment[] } {
  if (schools.shape === 'arch') {
    const half = 2 * Math.atan((2 * riseMm) / spanMm)
    const arc = { radiusMm: (spanMm ** 2 / 4 + riseMm ** 2) / (2 * riseMm), turnRad: -2 * half }
    const crease = { radiusMm: 1e-6, turnRad: half }
    return { segments: [{ straightMm: footMm }, crease, arc, crease, { straightMm: footMm }] }
  }
  const rho = radiusMm + thicknessMm / 2
  const [up, down] = [
    { radiusMm: rho, turnRad: Math.PI / 2 },
    { radiusMm: rho, turnRad: -Math.PI / 2 },
  ]
  const leg = { straightMm: riseMm - 2 * rho }
  const foot = { straightMm: footMm }
  return { segments: [foot, up, leg, down, { straightMm: spanMm - 2 * rho }, down, leg, up, foot] }
}

/** What the checks weigh. */
interface Weighed {
  readonly school: 'bridge' | 'arch'
  readonly under: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { school, under }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'room-under-bar',
      ok: under > 0.3,
      level: 'warn',
      field: 'riseMm',
      source: 'closed-form',
      actual: under,
      limit: 0.3,
      good: `${formatPlain(under, 2)} mm of room under it.`,
      bad: `Only ${formatPlain(Math.max(0, under), 2)} mm of room under it: what goes through must be thinner.`,
    }),
    limitCheck({
      code: 'bend-radius',
      ok: school === 'arch' || input.radiusMm >= 0.5 * input.thicknessMm,
      level: 'warn',
      field: 'radiusMm',
      source: 'bench-practice',
      actual: input.radiusMm,
      limit: input.thicknessMm / 2,
      good: 'The bends are round enough not to crack soft metal.',
      bad: 'Under half the thickness inside, a bend cracks unless it is scored or freshly annealed.',
    }),
    {
      level: 'note',
      code: 'bars-before-tongue',
      source: 'bench-practice',
      message: 'File and chamfer the windows, bend the bars and polish before a tongue or pin goes on: it is in the way afterwards.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.shape))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('riseMm', 'Rise', input.riseMm, 0.3)

function planBar(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.shape
  const calculatedMm = lengthOf([], input, school)
  const answer = answerFor(log, input)
  const target = targetOf(outcomeOf(input))
  const under = input.riseMm - input.thicknessMm
  const foot = school === 'bridge' ? input.footMm + (input.radiusMm + input.thicknessMm / 2) : input.footMm
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'bar', outline: rectangleOutline(answer.markAt, input.widthMm) })],
    results: {
      lengthMm: { value: calculatedMm, unit: 'mm' },
      underMm: { value: under, unit: 'mm' },
      firstBendMm: { value: input.footMm, unit: 'mm' },
    },
    choice: schoolChoice('shape', 'How it stands off', school, SHAPE_TEXTS, (id) => lengthOf([], input, id)),
    checks: checksOf(input, { school, under }),
    views: [
      bentView({
        title: 'From the side',
        ...segmentsOf(input),
        thicknessMm: input.thicknessMm,
        dimensions: [
          { from: [0, 0], to: [0, input.riseMm], offset: 2.4, text: `rise ${formatPlain(input.riseMm, 2)}` },
          { from: [foot, 0], to: [foot + input.spanMm, 0], offset: -2, text: `${formatPlain(input.spanMm, 2)} between the feet` },
        ],
        handles: [{ field: 'riseMm', label: 'rise', at: [foot + input.spanMm / 2, input.riseMm], along: [0, 1], gain: 1 }],
      }),
      stripView(answer.markAt, input.widthMm, {
        length: `cut ${formatPlain(answer.markAt, 2)}`,
        width: `${formatPlain(input.widthMm, 2)} wide`,
      }),
    ],
    sizedSteps: bentSteps({
      what: 'the bar',
      cutMm: answer.markAt,
      insideRadiusMm: input.radiusMm,
      on: 'the vice jaws',
      bend: { what: 'it up', manner: 'fold' },
      target,
    }),
    regions: ['outside', 'inside'],
    solids: bentSolid(segmentsOf(input).segments, stripSection(input.widthMm, input.thicknessMm)),
    method: `bar, ${SHAPE_TEXTS[school].title.toLowerCase()}`,
  })
}

export const bentBar = defineForm({
  id: 'bent-bar',
  title: 'Bar bent out of plane',
  summary: 'A bar or bridge that stands off a plate between two feet: how long to cut it, and the room under it.',
  input,
  example: { spanMm: 24, riseMm: 4.5, alloy: 'yellow-brass-c260', thicknessMm: '17 ga', widthMm: 5, footMm: 5, radiusMm: 0.8 },
  ask: { words: ['bar', 'bridge', 'staple'], sizes: ['spanMm', 'riseMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['spanMm', 'riseMm', 'footMm', 'radiusMm'],
  plan: planBar,
})
