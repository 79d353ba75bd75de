import * as z from 'zod'
import { cutAround } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import { domedMetal } from '../../../forming/dapping/domed-metal'
import { HOLE_FACTOR, lipRisk, notchFactor } from '../../../forming/dapping/opening'
import { capHalfAngleRad, capRadiusMm } from '../../../forming/dome'
import { ANNEAL_AT, COMPRESSION_WEIGHT, RISK_AT, strainLimit } from '../../../forming/work-used'
import { subtractRegions } from '../../../geometry/clip'
import { circleHole, circleOutline, netAreaMm2, rectangleOutline } from '../../../geometry/outline'
import type { Outline } from '../../../geometry/point'
import { alloyWith } from '../../../tables/own-metal'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { cupsFor, dapSteps, stepsCheck } from '../../common/cups'
import { domeBlankMm, domeSpread } from '../../common/dome-blank'
import { domedThicknesses } from '../../common/dome-thickness'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  cleanUpOf,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import { shellSection } from '../../common/shell'
import { windowSteps } from '../../common/sized-steps'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const FLAT_TEXTS = {
  'equal-area': {
    title: 'Equal area',
    why: 'Every ring of the dome has the area of its ring of the disc: the crown opens, the rim draws in.',
  },
  arc: { title: 'Along the arc', why: 'Nothing stretches from crown to rim; for shallow domes the two agree.' },
} as const
type Flat = keyof typeof FLAT_TEXTS

const input = () =>
  z
    .strictObject({
      widthMm: lengthMm({ label: 'Across the rim', min: 4, max: 300 }),
      heightMm: lengthMm({ label: 'Dome height', min: 0.3, max: 150 }),
      opening: choice('Opening', { window: 'Round window in the crown', notch: 'Notch in from the rim' }).default('window'),
      openingMm: lengthMm({ label: 'Finished opening width', min: 0.5, max: 250 }),
      notchMm: lengthMm({ label: 'Notch depth along the dome', min: 0.3, max: 150, help: 'From the rim towards the crown.' }).default(4),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      cleanUpMm: commonFields.cleanUp(0.25),
      ...closingFields(0.1),
      schools: schoolsField({ flat: ['equal-area', 'arc'] }),
    })
    .refine((value) => value.heightMm <= value.widthMm / 2, {
      path: ['heightMm'],
      error: 'Dome height: half the width at most; deeper has to be raised',
    })
    .refine((value) => value.heightMm > value.thicknessMm, {
      path: ['thicknessMm'],
      error: 'Thickness: it must be less than the dome is high',
    })
    .refine((value) => value.openingMm < 0.8 * value.widthMm, {
      path: ['openingMm'],
      error: 'Finished opening width: at most four fifths of the dome, or there is nothing left to form',
    })
type Input = OutputOf<typeof input>

function capOf({ widthMm, heightMm, thicknessMm }: Input) {
  const mid = { baseRadiusMm: (widthMm - thicknessMm) / 2, heightMm: heightMm - thicknessMm / 2 }
  return { mid, radius: capRadiusMm(mid), half: capHalfAngleRad(mid) }
}

/** Where a circle of the dome, by its angle from the crown, lies on the flat disc: 2R·sin(θ/2) at equal area, R·θ along the arc. */
const flatRadius = (school: Flat, radius: number, angleRad: number) =>
  school === 'arc' ? radius * angleRad : 2 * radius * Math.sin(angleRad / 2)

/** Size of the opening on the flat disc: its width, and how far in from the rim a notch goes. */
function flatOpening(log: WorkingLog, input: Input, school: Flat) {
  const { radius, half } = capOf(input)
  if (input.opening === 'window') {
    const angle = Math.asin(Math.min(1, input.openingMm / 2 / radius))
    const flatMm = derive(log, {
      label: `Window on the flat, ${FLAT_TEXTS[school].title.toLowerCase()}`,
      formula: school === 'arc' ? '2·R·asin(w/(2·R))' : '4·R·sin(asin(w/(2·R))/2)',
      unit: 'mm',
      source: school === 'arc' ? 'closed-form' : 'spherical-cap',
      given: [
        given('R', 'sphere, middle of the metal', radius),
        given('w', 'window, finished', Math.min(input.openingMm, 2 * radius * Math.sin(angle))),
      ],
    })
    return { acrossMm: flatMm, deepMm: 0 }
  }
  const inner = Math.max(0.02, half - input.notchMm / radius)
  const discRadius = flatRadius(school, radius, half)
  const deepMm = discRadius - flatRadius(school, radius, inner)
  const acrossMm = derive(log, {
    label: `Notch on the flat, ${FLAT_TEXTS[school].title.toLowerCase()}`,
    formula: 'w·r/a',
    unit: 'mm',
    source: school === 'arc' ? 'closed-form' : 'spherical-cap',
    given: [
      given('w', 'notch, finished', input.openingMm),
      given('r', 'radius of the disc', discRadius),
      given('a', 'radius of the rim', radius * Math.sin(half)),
    ],
    note: 'The rim draws in as it is domed, and the notch closes with it.',
  })
  return { acrossMm, deepMm }
}

/** Cut through the middle of the opening: what stands to each side of a window, or the rim that a notch leaves short. */
function sectionView(input: Input): DrawingView {
  const { mid, radius, half } = capOf(input)
  const centre = [0, mid.heightMm - radius] as const
  const upright = Math.PI / 2
  const window = Math.asin(Math.min(1, input.openingMm / 2 / radius))
  const notch = Math.min(half, input.notchMm / radius)
  const spans =
    input.opening === 'window'
      ? [
          [upright - half, upright - window],
          [upright + window, upright + half],
        ]
      : [[upright - half + notch, upright + half]]
  return view('section', 'Section', {
    shapes: spans
      .filter(([from = 0, to = 0]) => to > from)
      .map(([from = 0, to = 0]) => region(shellSection(centre, radius, input.thicknessMm, from, to))),
    dimensions: [
      { from: [-input.widthMm / 2, 0], to: [input.widthMm / 2, 0], offset: -1.6, text: `${formatPlain(input.widthMm, 2)} across the rim` },
      { from: [0.58 * input.widthMm, 0], to: [0.58 * input.widthMm, input.heightMm], offset: -0.6, text: formatPlain(input.heightMm, 2) },
    ],
    handles: [
      { field: 'heightMm', label: 'dome height', at: [0, input.heightMm], along: [0, 1], gain: 1 },
      { field: 'widthMm', label: 'width across the rim', at: [input.widthMm / 2, 0], along: [1, 0], gain: 2 },
    ],
  })
}

/** A needle file leaves this radius at the root of a notch, mm (common practice, low). */
const FILED_ROOT_MM = 0.3

/** What the opening does to metal that is domed with it: a notch tears from its root, a wide lip folds. */
function openChecks(input: Input, left: number, { figures }: Bench): Check[] {
  const { mid, radius } = capOf(input)
  const alloy = alloyWith(input.alloy, figures)
  const { crown, rim } = domedMetal(alloy, domeBlankMm([], input.schools.flat, mid), radius)
  const lip = lipRisk({ bridgeMm: left, thicknessMm: input.thicknessMm, rimStrain: rim.strain })
  const isNotch = input.opening === 'notch'
  const factor = isNotch ? notchFactor(input.notchMm, FILED_ROOT_MM) : HOLE_FACTOR
  // of its surface, which is bent as well: a notch lies in the rim, a window in the crown
  const bent = input.thicknessMm / radius
  const worked = isNotch ? COMPRESSION_WEIGHT * (rim.strain + bent) : crown.strain + bent
  const used = (factor * worked) / strainLimit(alloy)
  const folds: Check = {
    level: 'note',
    code: 'lip-folds',
    field: 'openingMm',
    source: 'bench-practice',
    message: 'Sawn before it is domed, the lip beside the opening is wide enough to fold as the rim draws in: small steps, or dome first.',
  }
  return [
    ...(lip === 'folds' ? [folds] : []),
    limitCheck({
      code: 'opening-tears',
      ok: used < ANNEAL_AT,
      level: used < RISK_AT ? 'note' : 'warn',
      field: isNotch ? 'notchMm' : 'openingMm',
      source: 'trade-limit',
      actual: 100 * used,
      limit: 100 * ANNEAL_AT,
      unit: '%',
      good: `Domed with its opening, its edge uses about ${formatPlain(100 * used, 0)} % of what the metal can take.`,
      bad: `Domed with its opening, its edge uses about ${formatPlain(100 * used, 0)} % of what the metal can take, ${formatPlain(factor, 1)} times the rest: round the corners out, anneal between the punches, or dome first and saw it after.`,
    }),
  ]
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, left: number, bench: Bench): Check[] {
  return [
    ...openChecks(input, left, bench),
    limitCheck({
      code: 'metal-beside-opening',
      ok: left >= 3 * input.thicknessMm,
      level: left <= 0 ? 'stop' : 'warn',
      field: 'openingMm',
      source: 'bench-practice',
      actual: left,
      limit: 3 * input.thicknessMm,
      good: `${formatPlain(left, 2)} mm of metal stays beside the opening.`,
      bad: `Only ${formatPlain(Math.max(0, left), 2)} mm stays beside the opening: it tears or bends out as it is domed.`,
    }),
    {
      level: 'note',
      code: 'opening-after',
      source: 'bench-practice',
      message:
        'Drill a small hole flat, dome, then saw the opening to its line: a punch wants whole metal, and an open edge spreads. The size on the flat is for scribing it before.',
    },
    ...hazardNotes(input.alloy),
  ]
}

/** What the views draw. */
interface Drawn {
  readonly answer: FormPlan['answer']
  readonly cut: Outline
  readonly holes: Outline[]
  readonly opening: { acrossMm: number; deepMm: number }
  readonly r: number
  readonly calculatedMm: number
  readonly window: boolean
}

/** The piece drawn, finished and flat. */
function viewsOf(input: Input, { answer, cut, holes, opening, r, calculatedMm, window }: Drawn): DrawingView[] {
  return [
    sectionView(input),
    view('blank', 'Blank with its opening', {
      shapes: [
        region(cut, holes),
        cutAround(cut, 'outside'),
        ...holes.map((hole) => cutAround(hole, 'inside')),
        stroke('scribe', ...circleOutline(calculatedMm / 2)),
      ],
      dimensions: [
        { from: [-r, -r], to: [r, -r], offset: -1.6, text: `saw outside at ${formatPlain(answer.markAt, 2)}` },
        window
          ? {
              from: [-opening.acrossMm / 2, 0],
              to: [opening.acrossMm / 2, 0],
              offset: 0,
              text: `saw inside, ${formatPlain(opening.acrossMm, 2)}`,
            }
          : {
              from: [-opening.acrossMm / 2, r],
              to: [opening.acrossMm / 2, r],
              offset: 1.2,
              text: `notch ${formatPlain(opening.acrossMm, 2)}`,
            },
      ],
    }),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'cut diameter', domeBlankMm(log, input.schools.flat, capOf(input).mid), cleanUpOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('widthMm', 'Across the rim', input.widthMm, 0.3)

function outcomesOf(input: Input, bench: Bench): readonly OutcomeSpec[] {
  const { mid, radius } = capOf(input)
  const disc = { ...input, discMm: domeBlankMm([], input.schools.flat, mid), sphereMm: radius }
  // a window leaves no crown to measure
  const thicknesses = domedThicknesses(disc, bench).filter(({ dimension }) => input.opening === 'notch' || dimension === 'rimThicknessMm')
  return [outcomeOf(input), ...thicknesses]
}

function planNotched(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const school = input.schools.flat
  const { mid, radius } = capOf(input)
  const discOf = (id: Flat) => domeBlankMm([], id, mid)
  const calculatedMm = discOf(school)
  const opening = flatOpening(log, input, school)
  const answer = answerFor(log, input)
  const sequence = cupsFor(input.thicknessMm, bench, calculatedMm, radius)
  const r = answer.markAt / 2
  const disc = circleOutline(r)
  const depth = opening.deepMm + (r - calculatedMm / 2)
  const slot = rectangleOutline(opening.acrossMm, depth + r).map(([x, y]) => [x - opening.acrossMm / 2, y + r - depth] as const)
  const window = input.opening === 'window'
  const cut: Outline = window ? disc : (subtractRegions([{ outer: disc, holes: [] }], [{ outer: slot, holes: [] }])[0]?.outer ?? disc)
  const holes = window ? [circleHole(opening.acrossMm / 2)] : []
  const areaMm2 = netAreaMm2(cut, holes)
  const left = window ? (calculatedMm - opening.acrossMm) / 2 : calculatedMm / 2 - opening.deepMm
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'disc', outline: cut, holes, areaMm2 })],
    results: {
      openingFlatMm: { value: opening.acrossMm, unit: 'mm' },
      notchFlatMm: { value: opening.deepMm, unit: 'mm' },
      discMm: { value: calculatedMm, unit: 'mm' },
      leftMm: { value: left, unit: 'mm' },
    },
    choice: schoolChoice('flat', 'How dome and disc answer', school, FLAT_TEXTS, discOf),
    checks: [...checksOf(input, left, bench), stepsCheck(sequence)],
    views: viewsOf(input, { answer, cut, holes, opening, r, calculatedMm, window }),
    sizedSteps: [
      { op: 'saw', params: { what: 'the disc', cutMm: answer.markAt } },
      { op: 'file', params: { what: 'the rim true' } },
      ...windowSteps(window ? 'the window, inside its line' : 'the notch, inside its line'),
      ...dapSteps(
        sequence.punchesMm.length > 0 ? sequence.punchesMm : [Math.max(1, Math.min(120, 2 * radius - input.thicknessMm))],
        Math.max(1, answer.markAt),
        target,
      ),
      { op: 'finish', params: {}, target },
    ],
    regions: ['crown', 'middle', 'rim'],
    ...(window
      ? {
          solids: [
            {
              solid: {
                kind: 'cap' as const,
                discMm: calculatedMm,
                halfAngleRad: capOf(input).half,
                thicknessMm: input.thicknessMm,
                holeMm: opening.acrossMm,
                facing: 1 as const,
              },
              at: [0, 0, 0] as const,
            },
          ],
        }
      : {}),
    method: `${window ? 'dome with window' : 'dome with notch'}, ${FLAT_TEXTS[school].title.toLowerCase()}`,
  })
}

export const domeNotched = defineForm({
  id: 'dome-notched',
  title: 'Dome with window or notch',
  summary: 'A domed disc with an opening: how large the opening is on the flat disc, and the metal that stays beside it.',
  input,
  onlyWhen: { notchMm: ['opening', 'notch'] },
  example: { widthMm: 27, heightMm: 8, opening: 'window', openingMm: 9, alloy: 'yellow-brass-c260', thicknessMm: '22 ga' },
  ask: { words: ['notched dome', 'dome with window', 'dome with notch'], sizes: ['widthMm', 'heightMm', 'openingMm'] },
  answer: answerFor,
  outcomes: outcomesOf,
  measured: ['widthMm', 'heightMm'],
  spread: domeSpread,
  plan: planNotched,
})
