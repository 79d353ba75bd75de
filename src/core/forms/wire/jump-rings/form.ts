import * as z from 'zod'
import { cutAlong } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import { circleOutline } from '../../../geometry/outline'
import type { Bench } from '../../../toolwall/tools'
import { count, lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { answerOf, completePlan, hazardNotes, limitCheck, region, schoolChoice, view, wireBlank } from '../../common/plan-kit'
import { ringSolid } from '../../common/solids'
import type { Answer, Check, FormPlan } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const CUT_TEXTS = {
  saw: { title: 'Sawn', why: 'Ends meet flush; each ring loses the kerf of the blade, and comes out that much smaller.' },
  snips: { title: 'Flush cutters', why: 'No kerf, but one end of each ring has to be cut again to meet flat.' },
} as const
type School = keyof typeof CUT_TEXTS

const input = () =>
  z.strictObject({
    insideMm: lengthMm({ label: 'Rod diameter, inside of the ring', min: 0.8, max: 80 }),
    alloy: commonFields.alloy(),
    thicknessMm: thicknessMm({ label: 'Wire', min: 0.2, max: 8 }),
    ringCount: count({ label: 'Rings in a set', min: 1, max: 5000 }).default(20),
    spareCount: count({ label: 'Spare rings', min: 0, max: 500, help: 'For the ones that snap or melt.' }).default(2),
    kerfMm: lengthMm({ label: 'Saw kerf', min: 0, max: 2 }).default(0.25),
    gripMm: lengthMm({ label: 'Wire to hold', min: 0, max: 200, help: 'The two ends that the winding needs.' }).default(25),
    ...closingFields(1),
    schools: schoolsField({ cut: ['saw', 'snips'] }),
  })
type Input = OutputOf<typeof input>

function eachOf(log: WorkingLog, input: Input): number {
  return derive(log, {
    label: 'Wire in one turn',
    formula: 'π·(d + w)',
    unit: 'mm',
    source: 'pappus',
    given: [given('d', 'rod', input.insideMm), given('w', 'wire', input.thicknessMm)],
  })
}

function wireOf(log: WorkingLog, input: Input, school: School): number {
  const each = eachOf(log, input)
  return derive(log, {
    label: CUT_TEXTS[school].title,
    formula: school === 'saw' ? '(n + s)·L' : '(n + s)·(L + w)',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('n', 'rings', input.ringCount, 'count'),
      given('s', 'spares', input.spareCount, 'count'),
      given('L', 'one turn', each),
      ...(school === 'snips' ? [given('w', 'wire cut off each', input.thicknessMm)] : []),
    ],
  })
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, ratio: number): Check[] {
  return [
    limitCheck({
      code: 'ring-ratio',
      ok: ratio >= 2.5 && ratio <= 8,
      level: 'note',
      field: 'thicknessMm',
      source: 'bench-practice',
      actual: ratio,
      limit: 2.5,
      good: `Inside is ${formatPlain(ratio, 1)} times the wire: a ring that links and holds.`,
      bad:
        ratio < 2.5
          ? 'Inside is under two and a half times the wire: too tight to link with its like.'
          : 'Inside is over eight times the wire: it pulls open; solder it or take thicker wire.',
    }),
    {
      level: 'note',
      code: 'blade-for-rings',
      source: 'bench-practice',
      message: 'Wind on a rod with tape over the coil, saw down one side with a fine blade; hold with wood, not pliers. Eye protection.',
    },
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly coilMm: number
  readonly inner: number
  readonly outer: number
  readonly shown: number
  readonly total: number
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { coilMm, inner, outer, shown, total }: Drawn): DrawingView[] {
  return [
    view('ring', 'Ring', {
      shapes: [region(circleOutline(outer), [[...circleOutline(inner)].reverse()]), cutAlong([0, inner], [0, outer])],
      dimensions: [
        { from: [-inner, 0], to: [inner, 0], offset: 0, text: `rod ${formatPlain(input.insideMm, 2)}` },
        { from: [-outer, -outer], to: [outer, -outer], offset: -1.8, text: `${formatPlain(2 * outer, 2)} outside` },
      ],
      handles: [{ field: 'insideMm', label: 'rod', at: [inner, 0], along: [1, 0], gain: 2 }],
    }),
    view('coil', 'Coil', {
      shapes: Array.from({ length: shown }, (_, i) =>
        region(circleOutline(input.thicknessMm / 2).map(([x, y]) => [x + i * input.thicknessMm, y] as const)),
      ),
      dimensions: [
        {
          from: [-input.thicknessMm / 2, -input.thicknessMm],
          to: [(shown - 0.5) * input.thicknessMm, -input.thicknessMm],
          offset: -1.4,
          text:
            shown < total
              ? `${shown} of ${total} turns, ${formatPlain(shown * input.thicknessMm, 1)}; the coil is ${formatPlain(coilMm, 1)}`
              : `coil ${formatPlain(coilMm, 1)}`,
        },
      ],
    }),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'wire for the set', wireOf(log, input, input.schools.cut), [
    { symbol: 'g', name: 'wire to hold', valueMm: input.gripMm },
  ])
}

function planJumpRings(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const total = input.ringCount + input.spareCount
  const coilMm = derive(log, {
    label: 'Coil, wound close',
    formula: 'n·w',
    unit: 'mm',
    source: 'closed-form',
    given: [given('n', 'turns', total, 'count'), given('w', 'wire', input.thicknessMm)],
  })
  const lostMm = input.schools.cut === 'saw' ? input.kerfMm : 0
  const insideMm = derive(log, {
    label: 'Inside once closed',
    formula: 'd − k/π',
    unit: 'mm',
    source: 'closed-form',
    given: [given('d', 'rod', input.insideMm), given('k', 'kerf', lostMm)],
    note: 'Before springback, which opens it by a per cent or two.',
  })
  const answer = answerFor(log, input)
  const ratio = input.insideMm / input.thicknessMm
  const [inner, outer] = [input.insideMm / 2, input.insideMm / 2 + input.thicknessMm]
  const shown = Math.min(total, 24)
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'wire', lengthMm: answer.markAt })],
    results: {
      eachMm: { value: eachOf([], input), unit: 'mm' },
      coilMm: { value: coilMm, unit: 'mm' },
      insideMm: { value: insideMm, unit: 'mm' },
      outsideMm: { value: insideMm + 2 * input.thicknessMm, unit: 'mm' },
      ringsCount: { value: total, unit: 'count' },
      insidePerimeterMm: { value: Math.PI * insideMm, unit: 'mm' },
    },
    choice: schoolChoice('cut', 'How the coil is cut', input.schools.cut, CUT_TEXTS, (id) => wireOf([], input, id)),
    checks: checksOf(input, ratio),
    views: viewsOf(input, { coilMm, inner, outer, shown, total }),
    sizedSteps: [
      { op: 'wind-coil', params: { insideRadiusMm: input.insideMm / 2 } },
      { op: 'part-coil', params: { by: input.schools.cut === 'saw' ? 'saw' : 'cutters' } },
      { op: 'tumble', params: {}, target: { dimension: 'insideMm', label: 'Inside', valueMm: insideMm, plusMinusMm: 0.1 } },
    ],
    regions: ['outside', 'inside'],
    solids: ringSolid(input.insideMm, input.thicknessMm / 2, circleOutline(input.thicknessMm / 2)),
    method: `jump rings, ${CUT_TEXTS[input.schools.cut].title.toLowerCase()}`,
  })
}

export const jumpRings = defineForm({
  id: 'jump-rings',
  title: 'Jump rings',
  summary: 'A set of rings wound on a rod: the wire to cut, the coil, what is left inside after sawing.',
  input,
  example: { insideMm: 5.2, alloy: 'sterling-925', thicknessMm: '17 ga', ringCount: 36, spareCount: 3 },
  ask: { words: ['jump ring'], sizes: ['insideMm'], count: 'ringCount' },
  answer: answerFor,
  outcomes: () => [],
  measured: ['insideMm'],
  varies: { ringCount: 1 },
  plan: planJumpRings,
})
