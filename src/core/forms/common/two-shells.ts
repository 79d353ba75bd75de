import { cupSequence } from '../../forming/cup-sequence'
import { capHalfAngleRad, capRadiusMm } from '../../forming/dome'
import { arcPoints, circleOutline } from '../../geometry/outline'
import { figureOf } from '../../tables/figures'
import { DAPPING_PUNCHES_MM } from '../../tables/tools/dapping'
import { type Bench, usable } from '../../toolwall/tools'
import { formatPlain } from '../../units/format'
import type { WorkingLog } from '../../working/derive'
import type { Check, FormPlan, RouteStepSpec } from '../contract'
import { BLANK_TEXTS, type BlankSchool, domeBlankMm } from './dome-blank'
import {
  answerOf,
  type CommonInput,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  stroke,
  view,
} from './plan-kit'

interface TwoShells extends CommonInput {
  readonly holeMm: number
  readonly trimMm: number
  readonly schools: { readonly blank: BlankSchool }
}

interface ShellSize {
  readonly acrossMm: number
  /** Over both crowns. */
  readonly overMm: number
  /** The field that is across, and what it is called. */
  readonly field: string
  readonly label: string
}

/** The punches from the disc down to a sphere, the smith's own where there are any. */
function cupsFor(input: CommonInput, bench: Bench, discMm: number, radiusMm: number) {
  const own = usable(bench.tools, 'punch').map((tool) => tool.size)
  return cupSequence({
    discMm,
    thicknessMm: input.thicknessMm,
    punchesMm: own.length > 0 ? own : DAPPING_PUNCHES_MM,
    finalRadiusMm: radiusMm,
    thicknessesPerStep: figureOf('rim-step', bench.figures),
  })
}

/** One step for each punch, large to small; each knows the sphere the one before left. */
export function dapSteps(punchesMm: readonly number[], discMm: number, thicknessMm: number): RouteStepSpec[] {
  return punchesMm.map((punchMm, i) => ({
    op: 'dap',
    params: { punchMm, discMm, ...(i > 0 ? { fromRadiusMm: ((punchesMm[i - 1] ?? 0) + thicknessMm) / 2 } : {}) },
  }))
}

function shellChecks(input: TwoShells, sequence: ReturnType<typeof cupsFor>): Check[] {
  const complete = sequence.outcome === 'complete'
  return [
    limitCheck({
      code: 'air-hole',
      ok: input.holeMm > 0,
      level: 'stop',
      field: 'holeMm',
      source: 'bench-practice',
      actual: input.holeMm,
      limit: 0.8,
      good: 'The hole lets the air out: a closed hollow bursts under the torch.',
      bad: 'A closed hollow bursts under the torch and traps pickle: give it a hole before soldering.',
    }),
    {
      level: complete ? 'ok' : 'warn',
      code: 'cup-sequence',
      source: 'bench-practice',
      message: complete
        ? `Punches ${sequence.punchesMm.map((punch) => formatPlain(punch, 1)).join(', ')} mm, large to small.`
        : 'There is no punch near enough on the way: expect to work the rim down by hand.',
    },
    ...hazardNotes(input.alloy),
  ]
}

/** Two equal shells of a sphere soldered rim to rim: a bead where they are half spheres, a lentil where they are shallow. */
export function planTwoShells(log: WorkingLog, input: TwoShells, bench: Bench, size: ShellSize): FormPlan {
  const mid = { baseRadiusMm: (size.acrossMm - input.thicknessMm) / 2, heightMm: (size.overMm - input.thicknessMm) / 2 }
  const discMm = domeBlankMm(log, input.schools.blank, mid)
  const answer = answerOf(log, input, 'cut diameter', discMm, [{ symbol: 's', name: 'trim', valueMm: input.trimMm }])
  const radius = capRadiusMm(mid)
  const half = capHalfAngleRad(mid)
  const sequence = cupsFor(input, bench, discMm, radius)
  const [outer, inner] = [radius + input.thicknessMm / 2, Math.max(0.01, radius - input.thicknessMm / 2)]
  const shell = (sign: 1 | -1) => {
    const centre = [0, sign * (mid.heightMm - radius)] as const
    const middle = (sign * Math.PI) / 2
    const [from, to] = [middle - half + 0.02, middle + half - 0.02]
    return region([...arcPoints(centre, outer, from, to), ...[...arcPoints(centre, inner, from, to)].reverse()])
  }
  // at the same shape the rim grows with its disc
  const perMm = Math.hypot(1, mid.heightMm / mid.baseRadiusMm)
  const target = { dimension: size.field, label: size.label, valueMm: size.acrossMm, plusMinusMm: 0.3 }
  const [a, h] = [size.acrossMm / 2, size.overMm / 2]
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [
      sheetBlank(input, bench, {
        name: 'half',
        outline: circleOutline(answer.markAt / 2),
        areaMm2: (Math.PI / 4) * answer.markAt ** 2,
        circleRadiusMm: answer.markAt / 2,
        each: 2,
      }),
    ],
    results: {
      discMm: { value: discMm, unit: 'mm' },
      insideMm: { value: size.overMm - 2 * input.thicknessMm, unit: 'mm' },
      sphereMm: { value: 2 * radius, unit: 'mm' },
    },
    choice: schoolChoice('blank', 'How the blank is reckoned', input.schools.blank, BLANK_TEXTS, (id) => domeBlankMm([], id, mid)),
    sensitivity: [
      { input: 'disc', change: '± 0.5 mm', effect: `± ${formatPlain(0.5 / perMm, 2)} mm across` },
      { input: 'thickness', change: '+ 0.1 mm', effect: `− ${formatPlain(0.1 * perMm, 2)} mm of disc` },
    ],
    checks: shellChecks(input, sequence),
    uncertainty: { plusMinus: 0.025 * discMm, unit: 'mm', why: 'how far the crown stretches: −2 to +3 % of the disc' },
    views: [
      view('section', 'Section', {
        shapes: [shell(1), shell(-1), stroke('centre', [0, -h], [0, h])],
        dimensions: [
          { from: [-a, -h], to: [a, -h], offset: -1.6, text: `${formatPlain(size.acrossMm, 2)} across` },
          ...(size.overMm < size.acrossMm - 0.01
            ? [{ from: [a, -h] as const, to: [a, h] as const, offset: -1.2, text: formatPlain(size.overMm, 2) }]
            : []),
        ],
        handles: [{ field: size.field, label: 'across', at: [a, 0], along: [1, 0], gain: 2 }],
      }),
      view('blank', 'Blank, two of it', {
        shapes: [region(circleOutline(discMm / 2)), { kind: 'circle', layer: 'saw', centre: [0, 0], radiusMm: answer.markAt / 2 }],
        dimensions: [
          {
            from: [-answer.markAt / 2, -answer.markAt / 2],
            to: [answer.markAt / 2, -answer.markAt / 2],
            offset: -1.6,
            text: `saw outside at ${formatPlain(answer.markAt, 2)}`,
          },
        ],
      }),
    ],
    route: [
      { op: 'saw', params: { what: 'the two discs', cutMm: answer.markAt } },
      ...(input.holeMm > 0 ? [{ op: 'drill' as const, params: { diameterMm: Math.max(0.3, input.holeMm) } }] : []),
      { op: 'anneal', params: {} },
      { op: 'pickle', params: {} },
      ...dapSteps(sequence.punchesMm, answer.markAt, input.thicknessMm),
      { op: 'file', params: { what: 'the rims until they meet' } },
      { op: 'solder', params: { solder: 'hard-75', what: 'the halves' } },
      { op: 'pickle', params: {} },
      { op: 'finish', params: {}, target },
    ],
    regions: ['crown', 'rim'],
    learns: { target, blankPerMm: perMm },
    method: BLANK_TEXTS[input.schools.blank].title.toLowerCase(),
  })
}
