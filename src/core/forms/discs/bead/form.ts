import * as z from 'zod'
import { cupSequence } from '../../../forming/cup-sequence'
import { arcPoints, circleOutline } from '../../../geometry/outline'
import { figureOf } from '../../../tables/figures'
import { DAPPING_PUNCHES_MM } from '../../../tables/tools/dapping'
import { type Bench, usable } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { BLANK_SCHOOLS, BLANK_TEXTS, domeBlankMm } from '../../common/dome-blank'
import { commonFields, type OutputOf } from '../../common/fields'
import { answerOf, completePlan, hazardNotes, limitCheck, region, schoolChoice, sheetBlank, view } from '../../common/plan-kit'
import type { FormPlan, RouteStepSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const input = z
  .strictObject({
    outsideMm: lengthMm({ label: 'Bead, outside', min: 2, max: 200 }),
    alloy: commonFields.alloy(),
    thicknessMm: commonFields.thickness(),
    holeMm: lengthMm({ label: 'Hole', min: 0, max: 20, help: 'Through both poles; 0 for one air hole only.' }).default(1),
    trimMm: lengthMm({ label: 'Trim on the diameter', min: 0, max: 20, help: 'Sanded off until the halves meet.' }).default(0.6),
    roundUpMm: commonFields.roundUp(0.1),
    allowanceMm: commonFields.allowance(),
    qty: commonFields.qty(),
    schools: schoolsField({ blank: BLANK_SCHOOLS }),
  })
  .refine((value) => value.outsideMm > 3 * value.thicknessMm, {
    path: ['thicknessMm'],
    error: 'Thickness: it leaves no room inside the bead; it can be a third of the outside at most',
  })
  .refine((value) => value.holeMm < value.outsideMm / 2, { path: ['holeMm'], error: 'Hole: it must be smaller than half the bead' })
type Input = OutputOf<typeof input>

function planBead(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const radius = derive(log, {
    label: 'Radius, middle of the metal',
    formula: '(D − t)/2',
    unit: 'mm',
    source: 'closed-form',
    given: [given('D', 'bead, outside', input.outsideMm), given('t', 'thickness', input.thicknessMm)],
  })
  const mid = { baseRadiusMm: radius, heightMm: radius }
  const discMm = domeBlankMm(log, input.schools.blank, mid)
  const answer = answerOf(log, input, 'cut diameter', discMm, [{ symbol: 's', name: 'trim', valueMm: input.trimMm }])
  const own = usable(bench.tools, 'punch').map((tool) => tool.size)
  const sequence = cupSequence({
    discMm,
    thicknessMm: input.thicknessMm,
    punchesMm: own.length > 0 ? own : DAPPING_PUNCHES_MM,
    finalRadiusMm: radius,
    thicknessesPerStep: figureOf('rim-step', bench.figures),
  })
  const outer = input.outsideMm / 2
  const inner = outer - input.thicknessMm
  const target = { dimension: 'outsideMm', label: 'Bead, outside', valueMm: input.outsideMm, plusMinusMm: 0.3 }
  const steps = sequence.punchesMm.map(
    (punchMm, i): RouteStepSpec => ({
      op: 'dap',
      params: {
        punchMm,
        discMm: answer.markAt,
        ...(i > 0 ? { fromRadiusMm: ((sequence.punchesMm[i - 1] ?? 0) + input.thicknessMm) / 2 } : {}),
      },
    }),
  )
  const half = (from: number, to: number) => [...arcPoints([0, 0], outer, from, to), ...[...arcPoints([0, 0], inner, from, to)].reverse()]
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
    results: { discMm: { value: discMm, unit: 'mm' }, insideMm: { value: 2 * inner, unit: 'mm' } },
    choice: schoolChoice('blank', 'How the blank is reckoned', input.schools.blank, BLANK_TEXTS, (id) => domeBlankMm([], id, mid)),
    sensitivity: [
      { input: 'disc', change: '± 0.5 mm', effect: `± ${formatPlain(0.5 / Math.SQRT2, 2)} mm on the bead` },
      { input: 'thickness', change: '+ 0.1 mm', effect: `− ${formatPlain(0.1 * Math.SQRT2, 2)} mm of disc` },
    ],
    checks: [
      limitCheck({
        code: 'air-hole',
        ok: input.holeMm > 0,
        level: 'stop',
        field: 'holeMm',
        source: 'bench-practice',
        actual: input.holeMm,
        limit: 0.8,
        good: 'The hole lets the air out: a closed bead bursts under the torch.',
        bad: 'A closed hollow bead bursts under the torch and traps pickle: give it a hole before soldering.',
      }),
      {
        level: sequence.outcome === 'complete' ? 'ok' : 'warn',
        code: 'cup-sequence',
        source: 'bench-practice',
        message:
          sequence.outcome === 'complete'
            ? `Punches ${sequence.punchesMm.map((punch) => formatPlain(punch, 1)).join(', ')} mm, large to small.`
            : 'There is no punch near enough on the way to this bead: expect to work the rim down by hand.',
      },
      ...hazardNotes(input.alloy),
    ],
    uncertainty: { plusMinus: 0.025 * discMm, unit: 'mm', why: 'how far the crown stretches: −2 to +3 % of the disc' },
    views: [
      view('section', 'Section', {
        shapes: [
          region(half(0.02, Math.PI - 0.02)),
          region(half(Math.PI + 0.02, 2 * Math.PI - 0.02)),
          {
            kind: 'line',
            layer: 'centre',
            points: [
              [0, -outer],
              [0, outer],
            ],
          },
        ],
        dimensions: [{ from: [-outer, -outer], to: [outer, -outer], offset: -1.6, text: `${formatPlain(input.outsideMm, 2)} outside` }],
        handles: [{ field: 'outsideMm', label: 'outside', at: [outer, 0], along: [1, 0], gain: 2 }],
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
      ...steps,
      { op: 'file', params: { what: 'the rims until they meet' } },
      { op: 'solder', params: { solder: 'hard-75', what: 'the halves' } },
      { op: 'pickle', params: {} },
      { op: 'finish', params: {}, target },
    ],
    regions: ['crown', 'rim'],
    learns: { target, blankPerMm: Math.SQRT2 },
    method: BLANK_TEXTS[input.schools.blank].title.toLowerCase(),
  })
}

export const bead = defineForm({
  id: 'bead',
  title: 'Hollow bead',
  summary: 'A bead of two half spheres: the disc for each half, the punches, the hole it needs.',
  inputVersion: 1,
  upgrades: [],
  input,
  example: { outsideMm: 13, alloy: 'sterling-925', thicknessMm: '23 ga', holeMm: 1.2 },
  ask: { words: ['bead'], sizes: ['outsideMm'] },
  plan: planBead,
})
