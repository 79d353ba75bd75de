import * as z from 'zod'
import { rectangleOutline } from '../../../geometry/outline'
import type { Point } from '../../../geometry/point'
import { flatHeadMm, headStickOutMm, holeFillMm, RIVET_SCHOOLS, type RivetSchool } from '../../../tables/rivets/rivets'
import type { Bench } from '../../../toolwall/tools'
import { count, lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, note, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { answerOf, completePlan, hazardNotes, limitCheck, measuringBand, schoolChoice, wireBlank } from '../../common/plan-kit'
import { edgeCheck, freeEndCheck, gripOf, headedView, passageChecks, stackFields, stackView } from '../../common/rivet-stack'
import { stackSolid } from '../../common/solids'
import type { Check, FormPlan } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const SCHOOL_IDS = ['one-sheet', 'one-millimetre', 'half-diameter', 'diameter-and-half'] as const
type School = (typeof SCHOOL_IDS)[number]

const SCHOOL_TEXTS = Object.fromEntries(
  RIVET_SCHOOLS.filter((school): school is RivetSchool & { id: School } => school.id !== 'tube').map((school) => [
    school.id,
    { title: school.title, why: `${school.rule} out for each head: ${school.use}.` },
  ]),
) as Record<School, { title: string; why: string }>

const input = () =>
  z
    .strictObject({
      thicknessMm: thicknessMm({ label: 'Wire', min: 0.3, max: 6 }),
      alloy: commonFields.alloy(),
      ...stackFields,
      headMm: lengthMm({ label: 'Head, thick', min: 0.1, max: 3, help: 'How flat the head is hammered.' }).default(0.5),
      formedHeadCount: count({ label: 'Heads to form', min: 1, max: 2, help: '1 where the rivet has a head already.' }).default(2),
      filingMm: lengthMm({ label: 'Filing of the ends', min: 0, max: 2 }).default(0.1),
      ...closingFields(0.1),
      schools: schoolsField({ head: SCHOOL_IDS }),
    })
    .refine((value) => value.holeMm >= value.thicknessMm - 0.02, {
      path: ['holeMm'],
      error: 'Hole: it is smaller than the wire; it must be as large at least',
    })
type Input = OutputOf<typeof input>

/** What stands out for one head on a sheet, by a school. */
function headOf(input: Input, school: School, sheetMm: number): number {
  return headStickOutMm(school, input.thicknessMm, sheetMm)
}

function lengthOf(log: WorkingLog, input: Input, school: School): number {
  const grip = gripOf(log, input)
  const upper = headOf(input, school, input.upperMm)
  const lower = input.formedHeadCount === 2 ? headOf(input, school, input.lowerMm) : 0
  return derive(log, {
    label: `Length, ${SCHOOL_TEXTS[school].title.toLowerCase()}`,
    formula: 'G + a + b',
    unit: 'mm',
    source: 'bench-practice',
    given: [given('G', 'grip', grip), given('a', 'out above', upper), given('b', 'out below', lower)],
  })
}

function sideView(input: Input, above: number, below: number) {
  const grip = gripOf([], input)
  const d = input.thicknessMm
  const wide = Math.max(6 * d, 2 * input.edgeMm)
  const outline = rectangleOutline(d, grip + above + below).map(([x, y]) => [x - d / 2, y - below] as const)
  return stackView(
    input,
    { outline, widthMm: d, title: 'Stack and wire' },
    {
      dimensions: [
        { from: [-wide / 2, grip + above], to: [-wide / 2, grip], offset: -1, text: `${formatPlain(above, 2)} out` },
        { from: [-d / 2, -below], to: [d / 2, -below], offset: -1.4, text: `wire ${formatPlain(d, 2)}` },
      ],
      handles: [{ field: 'thicknessMm', label: 'wire', at: [d / 2, grip + above], along: [1, 0], gain: 2 }],
    },
  )
}

/** The rivet when both its heads are made: wire in the stack, flat heads on it. */
function headedProfile({ thicknessMm, headMm: highMm }: Input, grip: number, acrossMm: number): Point[] {
  const [r, head] = [thicknessMm / 2, acrossMm / 2]
  return [
    [0, -highMm],
    [head, -highMm],
    [head, 0],
    [r, 0],
    [r, grip],
    [head, grip],
    [head, grip + highMm],
    [0, grip + highMm],
  ]
}

/** What the checks weigh. */
interface Weighed {
  readonly above: number
  readonly answer: FormPlan['answer']
  readonly headMm: number
  readonly plusTwo: number
  readonly ratio: number
  readonly reckonedMm: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { above, answer, headMm, plusTwo, ratio, reckonedMm }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'head-width',
      ok: ratio >= 1.3,
      level: 'warn',
      field: 'holeMm',
      source: 'bench-practice',
      actual: headMm,
      limit: 1.5 * input.thicknessMm,
      good: `The head comes out ${formatPlain(headMm, 2)} mm, ${formatPlain(ratio, 1)} times the wire.`,
      bad: `The head comes out ${formatPlain(headMm, 2)} mm, ${formatPlain(ratio, 1)} times the wire: it may pull through. More wire, or a snugger hole.`,
    }),
    freeEndCheck(above, input.thicknessMm, 'A shorter end, or thicker wire.'),
    edgeCheck(input),
    ...passageChecks(input, answer.markAt),
    ...(Math.abs(plusTwo - reckonedMm) > 0.3
      ? [
          {
            level: 'note' as const,
            code: 'schools-differ',
            source: 'bench-practice' as const,
            message: `The stack-and-two rule would cut ${formatPlain(plusTwo, 2)} mm: ${formatPlain(Math.abs(plusTwo - reckonedMm), 2)} mm ${plusTwo > reckonedMm ? 'longer' : 'shorter'}.`,
          },
        ]
      : []),
    {
      level: 'note',
      code: 'last-heat',
      source: 'bench-practice',
      message: 'Every torch step comes before the rivet. Anneal the wire, deburr the holes, light blows, and turn it over early.',
    },
    ...hazardNotes(input.alloy),
  ]
}

function planRivet(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.head
  const reckonedMm = lengthOf(log, input, school)
  const above = headOf(input, school, input.upperMm)
  const below = input.formedHeadCount === 2 ? headOf(input, school, input.lowerMm) : 0
  const grip = gripOf([], input)
  const fill = derive(log, {
    label: 'Wire the hole swallows',
    formula: 'G·((D/d)^2 − 1)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('G', 'grip', grip), given('D', 'hole', Math.max(input.holeMm, input.thicknessMm)), given('d', 'wire', input.thicknessMm)],
  })
  const left = Math.max(0, above - fill / input.formedHeadCount)
  const headMm = note(log, {
    kind: 'lookup',
    label: 'Head across',
    formula: 'd·√(out − swallowed)/√thick, by volume',
    value: Math.max(input.thicknessMm, flatHeadMm(input.thicknessMm, left, input.headMm)),
    unit: 'mm',
    source: 'closed-form',
  })
  const answer = answerOf(log, input, 'cut length', reckonedMm, [{ symbol: 'f', name: 'filing of the ends', valueMm: input.filingMm }])
  const ratio = headMm / input.thicknessMm
  // head² ∝ what is left of the wire for it, which the heads share
  const headSlope = (2 * input.formedHeadCount * Math.max(0.05, left)) / headMm
  const target = { dimension: 'headMm', label: 'Head across', valueMm: headMm, plusMinusMm: 0.3 }
  const plusTwo = grip + 2
  const headed = headedProfile(input, grip, headMm)
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'rivet', lengthMm: answer.markAt })],
    results: {
      gripMm: { value: grip, unit: 'mm' },
      lengthMm: { value: reckonedMm, unit: 'mm' },
      headMm: { value: headMm, unit: 'mm' },
      holeFillMm: { value: holeFillMm(grip, input.thicknessMm, Math.max(input.holeMm, input.thicknessMm)), unit: 'mm' },
      stackPlusTwoMm: { value: plusTwo, unit: 'mm' },
    },
    choice: schoolChoice('head', 'How much stands out', school, SCHOOL_TEXTS, (id) => lengthOf([], input, id)),
    sensitivity: [
      { input: 'length', change: '± 0.2 mm', effect: `± ${formatPlain(0.2 / headSlope, 2)} mm on each head` },
      {
        input: 'hole',
        change: '+ 0.1 mm',
        effect: `${formatPlain(holeFillMm(grip, input.thicknessMm, Math.max(input.holeMm, input.thicknessMm) + 0.1) - fill, 2)} mm more wire swallowed`,
      },
    ],
    checks: checksOf(input, { above, answer, headMm, plusTwo, ratio, reckonedMm }),
    uncertainty: measuringBand(input.measuredWith, 1.5),
    views: [sideView(input, above, below), headedView(input, headed)],
    route: [
      { op: 'drill', params: { diameterMm: Math.min(20, Math.max(0.3, input.holeMm)) } },
      { op: 'file', params: { what: 'the burr off both sides' } },
      { op: 'anneal', params: {} },
      { op: 'saw', params: { what: 'the wire', cutMm: Math.max(0.5, answer.markAt) } },
      { op: 'file', params: { what: 'its ends flat' } },
      { op: 'rivet', params: { thinnedFraction: 0.3, what: 'both heads, a little each side' }, target },
      { op: 'finish', params: {}, target },
    ],
    solids: stackSolid(input, headed),
    learns: { target, blankPerMm: headSlope },
    method: `wire rivet, ${SCHOOL_TEXTS[school].title.toLowerCase()}`,
  })
}

export const rivetWire = defineForm({
  id: 'rivet-wire',
  title: 'Wire rivet',
  summary: 'A rivet of wire through a stack: how long to cut, the head it makes, whether it bends, pulls through or tears the edge.',
  input,
  example: { thicknessMm: '15 ga', alloy: 'copper-c110', upperMm: 0.9, lowerMm: 1.15, holeMm: 1.5 },
  ask: { words: ['rivet'], sizes: ['upperMm', 'lowerMm', 'holeMm'] },
  plan: planRivet,
})
