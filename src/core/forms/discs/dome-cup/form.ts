import * as z from 'zod'
import type { DrawingView } from '../../../drawing/drawing'
import { capHalfAngleRad, rimDiameterMm, rimPerDisc } from '../../../forming/dome'
import { arcPoints } from '../../../geometry/outline'
import type { Outline } from '../../../geometry/point'
import { DAPPING_PUNCHES_MM, largestPunchMm } from '../../../tables/tools/dapping'
import { type Bench, usable } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { cupsFor, dapSteps, stepsCheck } from '../../common/cups'
import { BLANK_SCHOOLS, BLANK_TEXTS, domeBlankMm, domeSpread } from '../../common/dome-blank'
import { domedThicknesses } from '../../common/dome-thickness'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { answerOf, completePlan, discBlank, discView, hazardNotes, limitCheck, schoolChoice, targetOf, view } from '../../common/plan-kit'
import { shellSection } from '../../common/shell'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const input = () =>
  z
    .strictObject({
      cupMm: lengthMm({ label: 'Cup of the block, across its sphere', min: 2, max: 120 }),
      rimMm: lengthMm({ label: 'Rim width of the dome wanted', min: 1, max: 120, help: 'As wide as the cup is a half sphere.' }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      discMm: lengthMm({ label: 'I already have a disc', min: 1, max: 300, help: 'What dome would it give in this cup?' }).optional(),
      ...closingFields(0.1),
      schools: schoolsField({ blank: BLANK_SCHOOLS }),
    })
    .refine((value) => value.cupMm > 3 * value.thicknessMm, {
      path: ['thicknessMm'],
      error: 'Thickness: it does not go into this cup; a third of the cup at most',
    })
    .refine((value) => value.rimMm <= value.cupMm, {
      path: ['rimMm'],
      error: 'Rim width of the dome wanted: a cup makes no dome wider than itself; take a larger cup',
    })
    .refine((value) => value.rimMm > 2 * value.thicknessMm, {
      path: ['rimMm'],
      error: 'Rim width of the dome wanted: it must be wider than twice the thickness',
    })
type Input = OutputOf<typeof input>

/** The dome's middle of the metal: it lies against the cup with half its thickness inside. */
function middleOf({ cupMm, rimMm, thicknessMm }: Input) {
  const radius = (cupMm - thicknessMm) / 2
  const baseRadiusMm = (rimMm / cupMm) * radius
  return { radius, mid: { baseRadiusMm, heightMm: radius - Math.sqrt(Math.max(0, radius ** 2 - baseRadiusMm ** 2)) } }
}

/** What the checks weigh. */
interface Weighed {
  readonly answer: FormPlan['answer']
  readonly nearest: number | undefined
  readonly punchMm: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { answer, nearest, punchMm }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'disc-in-cup',
      ok: answer.markAt <= input.cupMm,
      level: 'note',
      field: 'cupMm',
      source: 'bench-practice',
      actual: answer.markAt,
      limit: input.cupMm,
      good: 'The disc lies inside the cup from the first blow.',
      bad: `The disc is wider than the cup: begin in a cup of ${formatPlain(answer.markAt * 1.05, 0)} mm or more and go down by sizes, or its rim creases.`,
    }),
    limitCheck({
      code: 'punch-clears',
      ok: nearest !== undefined && nearest >= 0.8 * punchMm,
      level: 'warn',
      source: 'bench-practice',
      actual: nearest ?? 0,
      limit: punchMm,
      good: `The ${formatPlain(nearest ?? 0, 1)} mm punch leaves room for the metal in this cup.`,
      bad: `A punch of ${formatPlain(punchMm, 1)} mm at most goes in with this metal, and there is none near it: a smaller one marks the dome.`,
    }),
    {
      level: 'note',
      code: 'wood-first',
      source: 'bench-practice',
      message: 'Begin in wood or in the largest cup; a step too far crumples the rim. Anneal when it rings.',
    },
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly answer: FormPlan['answer']
  readonly centre: readonly [0, number]
  readonly dome: Outline
  readonly calculatedMm: number
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { answer, centre, dome, calculatedMm }: Drawn): DrawingView[] {
  return [
    view('section', 'In its cup', {
      shapes: [
        { kind: 'region', layer: 'metal', outer: dome, holes: [] },
        { kind: 'line', layer: 'tool', points: arcPoints(centre, input.cupMm / 2, 0, Math.PI) },
      ],
      dimensions: [
        { from: [-input.rimMm / 2, 0], to: [input.rimMm / 2, 0], offset: -1.6, text: `${formatPlain(input.rimMm, 2)} across the rim` },
        {
          from: [-input.cupMm / 2, centre[1]],
          to: [input.cupMm / 2, centre[1]],
          offset: -2,
          text: `cup ${formatPlain(input.cupMm, 1)}`,
        },
      ],
      handles: [{ field: 'rimMm', label: 'rim', at: [input.rimMm / 2, 0], along: [1, 0], gain: 2 }],
    }),
    discView(calculatedMm, answer.markAt),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut diameter', domeBlankMm(log, input.schools.blank, middleOf(input).mid))
}

/** The outside of the metal over its middle, at the rim of a cup. */
const outsideOf = ({ cupMm, thicknessMm }: Input) => cupMm / (cupMm - thicknessMm)

/** In this cup: deeper with more disc always, wider only until it is a half sphere. */
function sizesOf(input: Input): readonly [OutcomeSpec, OutcomeSpec] {
  const { radius, mid } = middleOf(input)
  const disc = domeBlankMm([], 'equal-area', mid)
  return [
    {
      dimension: 'heightMm',
      label: 'Height',
      valueMm: mid.heightMm + input.thicknessMm / 2,
      plusMinusMm: 0.2,
      follows: disc / (4 * radius),
    },
    {
      dimension: 'rimMm',
      label: 'Across the rim',
      valueMm: input.rimMm,
      plusMinusMm: 0.3,
      follows: rimPerDisc(disc, radius) * outsideOf(input),
    },
  ]
}

function outcomesOf(input: Input, bench: Bench): readonly OutcomeSpec[] {
  const { radius, mid } = middleOf(input)
  const discMm = domeBlankMm([], input.schools.blank, mid)
  return [...sizesOf(input), ...domedThicknesses({ ...input, discMm, sphereMm: radius }, bench)]
}

function planDomeCup(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.blank
  const { radius, mid } = middleOf(input)
  derive(log, {
    label: 'Height, middle of the metal',
    formula: 'R − √(R^2 − a^2)',
    unit: 'mm',
    source: 'spherical-cap',
    given: [given('R', 'sphere, middle of the metal', radius), given('a', 'half the rim', mid.baseRadiusMm)],
  })
  const calculatedMm = domeBlankMm([], school, mid)
  const answer = answerFor(log, input)
  const inHand = input.discMm ?? answer.markAt
  const largest = 2 * Math.SQRT2 * radius
  const gives = rimDiameterMm(Math.min(inHand, largest), radius) * outsideOf(input)
  const half = capHalfAngleRad(mid)
  const punchMm = largestPunchMm(input.cupMm, input.thicknessMm)
  const own = usable(bench.tools, 'punch').map((tool) => tool.size)
  const punches = own.length > 0 ? own : DAPPING_PUNCHES_MM
  const nearest = punches.filter((size) => size <= punchMm + 0.05).sort((first, second) => second - first)[0]
  const [height, rim] = sizesOf(input).map(targetOf)
  const last = Math.max(1, Math.min(120, nearest ?? punchMm))
  const sequence = cupsFor(input.thicknessMm, bench, calculatedMm, (last + input.thicknessMm) / 2)
  const centre = [0, mid.heightMm - radius] as const
  const [from, to] = [Math.PI / 2 - half, Math.PI / 2 + half]
  const dome = shellSection(centre, radius, input.thicknessMm, from, to)
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [discBlank(input, bench, { name: 'disc', diameterMm: answer.markAt })],
    results: {
      heightMm: { value: mid.heightMm + input.thicknessMm / 2, unit: 'mm' },
      punchAtMostMm: { value: punchMm, unit: 'mm' },
      rimFromDiscMm: { value: gives, unit: 'mm' },
      largestDiscMm: { value: largest, unit: 'mm' },
    },
    choice: schoolChoice('blank', 'Calculation', school, BLANK_TEXTS, (id) => domeBlankMm([], id, mid)),
    checks: [...checksOf(input, { answer, nearest, punchMm }), stepsCheck(sequence)],
    views: viewsOf(input, { answer, centre, dome, calculatedMm }),
    sizedSteps: [
      { op: 'saw', params: { what: 'the disc', cutMm: answer.markAt } },
      { op: 'file', params: { what: 'the rim true' } },
      ...dapSteps(sequence.punchesMm.length > 0 ? sequence.punchesMm : [last], Math.max(1, answer.markAt), height),
      { op: 'finish', params: {}, ...(rim ? { target: rim } : {}) },
    ],
    regions: ['crown', 'middle', 'rim'],
    solids: [
      { solid: { kind: 'cap', discMm: calculatedMm, halfAngleRad: half, thicknessMm: input.thicknessMm, facing: 1 }, at: [0, 0, 0] },
    ],
    method: `in a cup, ${BLANK_TEXTS[school].title.toLowerCase()}`,
  })
}

export const domeCup = defineForm({
  id: 'dome-cup',
  title: 'Dome by its cup',
  summary: 'A dome sunk into a cup of the block: the disc for a rim, the dome a disc gives there, the punch that still goes in.',
  input,
  example: { cupMm: 19, rimMm: 16, alloy: 'copper-c110', thicknessMm: '23 ga' },
  ask: { words: ['dome in a cup', 'cup dome'], sizes: ['cupMm', 'rimMm'] },
  answer: answerFor,
  outcomes: outcomesOf,
  measured: ['cupMm', 'rimMm'],
  spread: domeSpread,
  plan: planDomeCup,
})
