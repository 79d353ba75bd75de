import * as z from 'zod'
import { arcPoints, rectangleOutline } from '../../../geometry/outline'
import type { Point } from '../../../geometry/point'
import { headStickOutMm, holeFillMm, RIVET_SCHOOLS, type RivetSchool } from '../../../tables/rivets/rivets'
import type { Bench } from '../../../toolwall/tools'
import { count, lengthMm, thicknessMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { answerOf, asked, completePlan, hazardNotes, limitCheck, schoolChoice, targetOf, wireBlank } from '../../common/plan-kit'
import {
  EDGE_SCHOOLS,
  edgeCheck,
  edgeChoice,
  freeEndCheck,
  gripOf,
  headedView,
  passageChecks,
  stackFields,
  stackView,
} from '../../common/rivet-stack'
import { holeSteps } from '../../common/sized-steps'
import { stackSolid } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const FLAT_IDS = ['one-sheet', 'one-millimetre', 'half-diameter', 'diameter-and-half'] as const
const SCHOOL_IDS = [...FLAT_IDS, 'cap', 'half-round'] as const
type Flat = (typeof FLAT_IDS)[number]
type School = (typeof SCHOOL_IDS)[number]

const SCHOOL_TEXTS: Readonly<Record<School, { readonly title: string; readonly why: string }>> = {
  ...(Object.fromEntries(
    RIVET_SCHOOLS.filter((school): school is RivetSchool & { id: Flat } => school.id !== 'tube').map((school) => [
      school.id,
      { title: school.title, why: `${school.rule} out for each head: ${school.use}.` },
    ]),
  ) as Record<Flat, { title: string; why: string }>),
  cap: { title: 'A domed cap, by volume', why: 'As much wire as a cap of the head’s width and height holds, and what the hole swallows.' },
  'half-round': {
    title: 'A half-round head, by volume',
    why: 'As much wire as half a ball of the head’s width holds, and what the hole swallows.',
  },
}

const isDomed = (school: School): school is 'cap' | 'half-round' => school === 'cap' || school === 'half-round'

const input = () =>
  z
    .strictObject({
      thicknessMm: thicknessMm({ label: 'Wire', min: 0.3, max: 6 }),
      alloy: commonFields.alloy(),
      ...stackFields,
      headMm: lengthMm({ label: 'Head thickness', min: 0.1, max: 3, help: 'How flat the head is hammered.' }).default(0.5),
      headAcrossMm: lengthMm({
        label: 'Domed head diameter',
        min: 0.4,
        max: 20,
        help: 'Of a head calculated by volume; 1.8 times the wire where nothing is entered.',
      }).optional(),
      formedHeadCount: count({ label: 'Heads to form', min: 1, max: 2, help: '1 where the rivet has a head already.' }).default(2),
      filingMm: lengthMm({ label: 'Filing of the ends', min: 0, max: 2 }).default(0.1),
      ...closingFields(0.1),
      schools: schoolsField({ head: SCHOOL_IDS, edge: EDGE_SCHOOLS }),
    })
    .refine((value) => value.holeMm >= value.thicknessMm - 0.02, {
      path: ['holeMm'],
      error: 'Hole: it is smaller than the wire; it must be as large at least',
    })
type Input = OutputOf<typeof input>

/** Width of a domed head: as entered, or 1.8 times its wire (common practice). */
const domedAcross = ({ headAcrossMm, thicknessMm }: Input) => headAcrossMm ?? 1.8 * thicknessMm

/** Wire in one head of a sheet, mm, by a school; of a domed one by its volume. */
function headOf(log: WorkingLog, input: Input, school: School, sheetMm: number): number {
  if (!isDomed(school)) return headStickOutMm(school, input.thicknessMm, sheetMm)
  return derive(log, {
    label: school === 'cap' ? 'Wire in one domed cap' : 'Wire in one half-round head',
    formula: school === 'cap' ? 'k·(D^2/2 + 2·k^2/3)/d^2' : 'D^3/(3·d^2)',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('D', 'head diameter', domedAcross(input)),
      ...(school === 'cap' ? [given('k', 'head height', input.headMm)] : []),
      given('d', 'wire', input.thicknessMm),
    ],
  })
}

/** Wire that the hole swallows before a head forms. */
const fillOf = (log: WorkingLog, input: Input) =>
  derive(log, {
    label: 'Wire the hole swallows',
    formula: 'G·((D/d)^2 − 1)',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('G', 'grip', gripOf([], input)),
      given('D', 'hole', Math.max(input.holeMm, input.thicknessMm)),
      given('d', 'wire', input.thicknessMm),
    ],
  })

function lengthOf(log: WorkingLog, input: Input, school: School): number {
  const grip = gripOf(log, input)
  const upper = headOf(log, input, school, input.upperMm)
  const lower = input.formedHeadCount === 2 ? headOf([], input, school, input.lowerMm) : 0
  const domed = isDomed(school)
  return derive(log, {
    label: `Length, ${SCHOOL_TEXTS[school].title.toLowerCase()}`,
    formula: domed ? 'G + s + a + b' : 'G + a + b',
    unit: 'mm',
    source: domed ? 'closed-form' : 'bench-practice',
    given: [
      given('G', 'grip', grip),
      ...(domed ? [given('s', 'swallowed by the hole', fillOf(log, input))] : []),
      given('a', 'out above', upper),
      given('b', 'out below', lower),
    ],
  })
}

/** How wide a head comes out, and how much wider for a millimetre more of wire, which the heads share. */
function headOfRivet(log: WorkingLog, input: Input): { acrossMm: number; perBlankMm: number } {
  const { thicknessMm: d, headMm: k, formedHeadCount: heads } = input
  const school = input.schools.head
  if (isDomed(school)) {
    const acrossMm = domedAcross(input)
    return { acrossMm, perBlankMm: (d * d) / ((school === 'cap' ? k : acrossMm) * acrossMm) / heads }
  }
  const left = Math.max(0, headStickOutMm(school, d, input.upperMm) - fillOf(log, input) / heads)
  const acrossMm = derive(log, {
    label: 'Head diameter',
    formula: 'd·max(1, √(a/k))',
    unit: 'mm',
    source: 'closed-form',
    given: [given('d', 'wire', d), given('a', 'wire left for the head', left), given('k', 'head thickness', k)],
    note: 'By volume, once the hole is filled.',
  })
  return { acrossMm, perBlankMm: acrossMm > d ? (d * d) / (2 * k * acrossMm) / heads : 0 }
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

/** One head from the edge of its foot to its crown, x from the axis, y up from the sheet. */
function headProfile({ headMm: high, schools }: Input, acrossMm: number): Point[] {
  const half = acrossMm / 2
  if (schools.head === 'half-round') return arcPoints([0, 0], half, 0, Math.PI / 2)
  if (schools.head !== 'cap')
    return [
      [half, 0],
      [half, high],
      [0, high],
    ]
  const radius = (half * half + high * high) / (2 * high)
  return arcPoints([0, high - radius], radius, Math.atan2(radius - high, half), Math.PI / 2)
}

/** The rivet when both its heads are made: wire in the stack, a head on each end. */
function headedProfile(input: Input, grip: number, acrossMm: number): Point[] {
  const head = headProfile(input, acrossMm)
  const r = input.thicknessMm / 2
  return [...[...head].reverse().map(([x, y]): Point => [x, 0 - y]), [r, 0], [r, grip], ...head.map(([x, y]): Point => [x, y + grip])]
}

/** What the checks weigh. */
interface Weighed {
  readonly above: number
  readonly answer: FormPlan['answer']
  readonly headMm: number
  readonly plusTwo: number
  readonly ratio: number
  readonly calculatedMm: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { above, answer, headMm, plusTwo, ratio, calculatedMm }: Weighed): Check[] {
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
    edgeCheck(input, input.schools.edge),
    ...passageChecks(input, answer.markAt, answer.markAt - above),
    ...(Math.abs(plusTwo - calculatedMm) > 0.3
      ? [
          {
            level: 'note' as const,
            code: 'schools-differ',
            source: 'bench-practice' as const,
            message: `The stack-and-two rule would cut ${formatPlain(plusTwo, 2)} mm: ${formatPlain(Math.abs(plusTwo - calculatedMm), 2)} mm ${plusTwo > calculatedMm ? 'longer' : 'shorter'}.`,
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

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut length', lengthOf(log, input, input.schools.head), [
    { symbol: 'f', name: 'filing of the ends', valueMm: input.filingMm },
  ])
}

const outcomeOf = (input: Input): OutcomeSpec =>
  asked('headAcrossMm', 'Head diameter', headOfRivet([], input).acrossMm, 0.3, headOfRivet([], input).perBlankMm)

function planRivet(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.head
  const calculatedMm = lengthOf([], input, school)
  const above = headOf([], input, school, input.upperMm)
  const below = input.formedHeadCount === 2 ? headOf([], input, school, input.lowerMm) : 0
  const grip = gripOf([], input)
  const { acrossMm: headMm } = headOfRivet(log, input)
  const answer = answerFor(log, input)
  const ratio = headMm / input.thicknessMm
  const target = targetOf(outcomeOf(input))
  const plusTwo = grip + 2
  const headed = headedProfile(input, grip, headMm)
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [wireBlank(input, bench, { name: 'rivet', lengthMm: answer.markAt })],
    results: {
      gripMm: { value: grip, unit: 'mm' },
      lengthMm: { value: calculatedMm, unit: 'mm' },
      headMm: { value: headMm, unit: 'mm' },
      holeFillMm: { value: holeFillMm(grip, input.thicknessMm, Math.max(input.holeMm, input.thicknessMm)), unit: 'mm' },
      stackPlusTwoMm: { value: plusTwo, unit: 'mm' },
    },
    choice: schoolChoice('head', 'How much stands out', school, SCHOOL_TEXTS, (id) => lengthOf([], input, id)),
    choices: [edgeChoice(input, input.schools.edge)],
    checks: checksOf(input, { above, answer, headMm, plusTwo, ratio, calculatedMm }),
    views: [sideView(input, above, below), headedView(input, headed)],
    sizedSteps: [
      ...holeSteps('hole', input.holeMm),
      { op: 'cut-rivet', params: { what: 'the wire', cutMm: Math.max(0.5, answer.markAt) } },
      { op: 'rivet', params: { thinnedFraction: 0.3, what: 'both heads, a little each side' }, target },
    ],
    solids: stackSolid(input, headed),
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
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['upperMm', 'lowerMm', 'betweenMm', 'holeMm', 'headMm', 'headAcrossMm'],
  plan: planRivet,
})
