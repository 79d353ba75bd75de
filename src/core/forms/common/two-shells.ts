import { capHalfAngleRad, capRadiusMm, type DomeMid } from '../../forming/dome'
import type { Bench } from '../../toolwall/tools'
import { formatPlain } from '../../units/format'
import type { WorkingLog } from '../../working/derive'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../contract'
import { type Cups, cupsFor, dapSteps, stepsCheck } from './cups'
import { BLANK_TEXTS, type BlankSchool, domeBlankMm } from './dome-blank'
import { domedThicknesses } from './dome-thickness'
import {
  answerOf,
  type CommonInput,
  completePlan,
  discBlank,
  discView,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  stroke,
  targetOf,
  view,
} from './plan-kit'
import { shellSection } from './shell'
import { holeSteps } from './sized-steps'

interface TwoShells extends CommonInput {
  readonly holeMm: number
  readonly trimMm: number
  readonly schools: { readonly blank: BlankSchool }
}

export interface ShellSize {
  readonly acrossMm: number
  /** Over both crowns. */
  readonly overMm: number
  /** The field that is across, and what it is called. */
  readonly field: string
  readonly label: string
}

function shellChecks(input: TwoShells, sequence: Cups): Check[] {
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
    stepsCheck(sequence),
    ...hazardNotes(input.alloy),
  ]
}

const middleOf = ({ thicknessMm }: TwoShells, { acrossMm, overMm }: ShellSize): DomeMid => ({
  baseRadiusMm: (acrossMm - thicknessMm) / 2,
  heightMm: (overMm - thicknessMm) / 2,
})

/** The disc of each half, trim with it. */
export function shellsAnswer(log: WorkingLog, input: TwoShells, size: ShellSize): Answer {
  const discMm = domeBlankMm(log, input.schools.blank, middleOf(input, size))
  return answerOf(log, input, 'cut diameter', discMm, [{ symbol: 's', name: 'trim', valueMm: input.trimMm }])
}

/** How far it is across: the record is kept of it. */
function shellsOutcome({ field, label, acrossMm }: ShellSize): OutcomeSpec {
  return { dimension: field, label, valueMm: acrossMm, plusMinusMm: 0.3, follows: field }
}

/** How far it is across, and how thick its shells come out. */
export function shellsOutcomes(input: TwoShells, size: ShellSize, bench: Bench): readonly OutcomeSpec[] {
  const mid = middleOf(input, size)
  const disc = { ...input, discMm: domeBlankMm([], input.schools.blank, mid), sphereMm: capRadiusMm(mid) }
  return [shellsOutcome(size), ...domedThicknesses(disc, bench)]
}

/** Two equal shells of a sphere soldered rim to rim: a bead where they are half spheres, a lentil where they are shallow. */
export function planTwoShells(log: WorkingLog, input: TwoShells, bench: Bench, size: ShellSize): FormPlan {
  const mid = middleOf(input, size)
  const discMm = domeBlankMm([], input.schools.blank, mid)
  const answer = shellsAnswer(log, input, size)
  const radius = capRadiusMm(mid)
  const half = capHalfAngleRad(mid)
  const sequence = cupsFor(input.thicknessMm, bench, discMm, radius)
  const shell = (sign: 1 | -1) => {
    const centre = [0, sign * (mid.heightMm - radius)] as const
    const middle = (sign * Math.PI) / 2
    const [from, to] = [middle - half + 0.02, middle + half - 0.02]
    return region(shellSection(centre, radius, input.thicknessMm, from, to))
  }
  const target = targetOf(shellsOutcome(size))
  const [a, h] = [size.acrossMm / 2, size.overMm / 2]
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [discBlank(input, bench, { name: 'half', diameterMm: answer.markAt, each: 2 })],
    results: {
      discMm: { value: discMm, unit: 'mm' },
      insideMm: { value: size.overMm - 2 * input.thicknessMm, unit: 'mm' },
      sphereMm: { value: 2 * radius, unit: 'mm' },
    },
    choice: schoolChoice('blank', 'Calculation', input.schools.blank, BLANK_TEXTS, (id) => domeBlankMm([], id, mid)),
    checks: shellChecks(input, sequence),
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
      discView(discMm, answer.markAt, 'Blank, two of it'),
    ],
    sizedSteps: [
      { op: 'saw', params: { what: 'the two discs', cutMm: answer.markAt } },
      ...holeSteps('hole', input.holeMm),
      ...dapSteps(sequence.punchesMm, answer.markAt),
      { op: 'finish', params: {}, target },
    ],
    ...(input.holeMm > 0 ? {} : { without: ['hole'] }),
    regions: ['crown', 'middle', 'rim'],
    solids: [1 as const, -1 as const].map((facing) => ({
      solid: {
        kind: 'cap' as const,
        discMm,
        halfAngleRad: half,
        thicknessMm: input.thicknessMm,
        holeMm: Math.min(input.holeMm, discMm / 3),
        facing,
      },
      at: [0, 0, 0] as const,
    })),
    method: BLANK_TEXTS[input.schools.blank].title.toLowerCase(),
  })
}
