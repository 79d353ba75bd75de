import * as z from 'zod'
import { arcPoints, rectangleOutline } from '../../../geometry/outline'
import type { Outline } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  jointOf,
  limitCheck,
  onlySchool,
  region,
  sheetBlank,
  targetOf,
  view,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { ringSolid, stripSection } from '../../common/solids'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'
import { PlanRefusal } from '../../refusal'

const input = () =>
  z
    .strictObject({
      largeMm: lengthMm({ label: 'Large end outside', min: 2, max: 300 }),
      smallMm: lengthMm({ label: 'Small end outside', min: 0, max: 300, help: '0 for a cone to a point.' }),
      heightMm: lengthMm({ label: 'Height', min: 1, max: 300 }),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      jointAllowanceMm: lengthMm({ label: 'Joint and filing', min: 0, max: 5, help: 'Added along one straight edge.' }).default(0),
      ...closingFields(0.1),
      schools: schoolsField({ cone: ['development'] }),
    })
    .refine((value) => value.smallMm <= value.largeMm, {
      path: ['smallMm'],
      error: 'Small end: it is larger than the large end; swap them',
    })
    .refine((value) => value.largeMm > 1.5 * value.thicknessMm, {
      path: ['thicknessMm'],
      error: 'Thickness: it leaves no cone inside the large end; it must be thinner',
    })
type Input = OutputOf<typeof input>

interface Frustum {
  readonly largeRadiusMm: number
  readonly smallRadiusMm: number
  readonly slantMm: number
}

/** Ends differ by less than this: a cylinder, whose development is a rectangle. */
const STRAIGHT_MM = 1e-3

function frustumOf(log: WorkingLog, input: Input): Frustum {
  const slope = derive(log, {
    label: 'Sine of the slope of the wall',
    formula: 'h/√(h^2 + ((D − d)/2)^2)',
    unit: 'ratio',
    source: 'cone',
    given: [given('h', 'height', input.heightMm), given('D', 'large end', input.largeMm), given('d', 'small end', input.smallMm)],
  })
  const radius = (symbol: string, label: string, outsideMm: number) =>
    derive(log, {
      label,
      formula: `max(0, (${symbol} − t·φ)/2)`,
      unit: 'mm',
      source: 'closed-form',
      given: [
        given(symbol, 'outside', outsideMm),
        given('t', 'thickness', input.thicknessMm),
        given('φ', 'sine of the slope', slope, 'ratio'),
      ],
      note: 'The middle of a sloping wall lies less far in than half its thickness.',
    })
  const largeRadiusMm = radius('D', 'Large end, middle of the metal', input.largeMm)
  const smallRadiusMm = radius('d', 'Small end, middle of the metal', input.smallMm)
  const slantMm = derive(log, {
    label: 'Slant',
    formula: '√(h^2 + (R − r)^2)',
    unit: 'mm',
    source: 'cone',
    given: [given('h', 'height', input.heightMm), given('R', 'large radius', largeRadiusMm), given('r', 'small radius', smallRadiusMm)],
  })
  return { largeRadiusMm, smallRadiusMm, slantMm }
}

interface Sector {
  readonly outerMm: number
  readonly innerMm: number
  readonly angleRad: number
}

/** The sector a frustum unrolls to, or undefined for a cylinder. */
function sectorOf({ largeRadiusMm: R, smallRadiusMm: r, slantMm }: Frustum): Sector | undefined {
  if (R - r < STRAIGHT_MM) return undefined
  return { outerMm: (slantMm * R) / (R - r), innerMm: (slantMm * r) / (R - r), angleRad: (2 * Math.PI * (R - r)) / slantMm }
}

function outlineOf(frustum: Frustum, sector: Sector | undefined, longMm: number): Outline {
  if (!sector) return rectangleOutline(longMm, frustum.slantMm)
  const angle = longMm / sector.outerMm
  if (angle >= 2 * Math.PI)
    throw new PlanRefusal({
      path: 'heightMm',
      message:
        'Height: so flat a cone is a whole disc, and its edges would lie over one another with what is added for the joint; make it higher',
    })
  const [from, to] = [Math.PI / 2 - angle / 2, Math.PI / 2 + angle / 2]
  const inner = sector.innerMm > 0.01 ? [...arcPoints([0, 0], sector.innerMm, from, to)].reverse() : [[0, 0] as const]
  return [...arcPoints([0, 0], sector.outerMm, from, to), ...inner]
}

function sideView(input: Input) {
  const [R, r, h] = [input.largeMm / 2, input.smallMm / 2, input.heightMm]
  return view('side', 'Side', {
    shapes: [
      region([
        [-R, 0],
        [R, 0],
        [Math.max(r, 0.01), h],
        [-Math.max(r, 0.01), h],
      ]),
    ],
    dimensions: [
      { from: [-R, 0], to: [R, 0], offset: -1.6, text: `${formatPlain(input.largeMm, 2)} outside` },
      { from: [R * 1.1, 0], to: [R * 1.1, h], offset: -0.8, text: formatPlain(h, 2) },
    ],
    handles: [{ field: 'heightMm', label: 'height', at: [0, h], along: [0, 1], gain: 1 }],
  })
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, sector: Sector | undefined): Check[] {
  return [
    limitCheck({
      code: 'arc-reach',
      ok: !sector || sector.outerMm <= 600,
      level: 'note',
      source: 'bench-practice',
      actual: sector?.outerMm ?? 0,
      limit: 600,
      good: sector
        ? `Strike both arcs from one centre: ${formatPlain(sector.outerMm, 1)} and ${formatPlain(sector.innerMm, 1)} mm.`
        : 'The ends are alike: the blank is a plain strip.',
      bad: 'The arcs are nearly straight: print the blank at full size instead of striking them.',
    }),
    {
      level: 'note',
      code: 'roll-in-swage',
      source: 'bench-practice',
      message: 'Bend the small end ahead of the large one; a cone bent like a strip closes crooked.',
    },
    ...hazardNotes(input.alloy),
  ]
}

const longEdgeOf = (log: WorkingLog, input: Input) =>
  derive(log, {
    label: 'Long edge',
    formula: '2·π·R',
    unit: 'mm',
    source: 'cone',
    given: [given('R', 'large radius', frustumOf(log, input).largeRadiusMm)],
    note: 'The outer edge of the blank goes once round the large end.',
  })

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'long edge', longEdgeOf(log, input), jointOf(input))
}

const outcomeOf = (input: Input): OutcomeSpec => asked('largeMm', 'Large end outside', input.largeMm, 0.2)

function planCone(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const frustum = frustumOf([], input)
  const sector = sectorOf(frustum)
  const longEdgeMm = longEdgeOf([], input)
  const answer = answerFor(log, input)
  const outline = outlineOf(frustum, sector, answer.markAt)
  const target = targetOf(outcomeOf(input))
  const share = answer.markAt / longEdgeMm
  const areaMm2 = Math.PI * (frustum.largeRadiusMm + frustum.smallRadiusMm) * frustum.slantMm * share
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'cone', outline, areaMm2 })],
    results: {
      slantMm: { value: frustum.slantMm, unit: 'mm' },
      lateralAreaMm2: { value: Math.PI * (frustum.largeRadiusMm + frustum.smallRadiusMm) * frustum.slantMm, unit: 'mm2' },
      ...(sector
        ? {
            outerRadiusMm: { value: sector.outerMm, unit: 'mm' },
            innerRadiusMm: { value: sector.innerMm, unit: 'mm' },
            angleDeg: { value: (sector.angleRad * 180) / Math.PI, unit: '°' },
          }
        : {}),
    },
    choice: onlySchool('cone', 'Calculation', {
      id: 'development',
      title: 'Unrolled by the middle of the metal',
      value: longEdgeMm,
      why: 'A cone unrolls without stretching; both arcs are struck from one centre.',
    }),
    checks: checksOf(input, sector),
    views: [
      sideView(input),
      view('blank', 'Blank', {
        shapes: [region(outline)],
        dimensions: [
          { from: outline[0] ?? [0, 0], to: outline.at(-1) ?? [0, 0], offset: 1.4, text: `slant ${formatPlain(frustum.slantMm, 2)}` },
        ],
        notes: [],
      }),
    ],
    sizedSteps: bentSteps({
      what: 'the blank',
      cutMm: answer.markAt,
      insideRadiusMm: Math.max(0.5, frustum.smallRadiusMm),
      on: 'a tapered mandrel',
      target,
    }),
    regions: ['outside', 'inside'],
    solids: sector
      ? [
          {
            solid: {
              kind: 'cone',
              nearMm: sector.innerMm,
              farMm: sector.outerMm,
              sectorRad: sector.angleRad,
              thicknessMm: input.thicknessMm,
            },
            at: [0, 0, 0],
          },
        ]
      : ringSolid(2 * frustum.largeRadiusMm, 0, stripSection(frustum.slantMm, input.thicknessMm)),
    method: 'rolled cone',
  })
}

export const cone = defineForm({
  id: 'cone',
  title: 'Cone, tapered collar',
  summary: 'A cone or a tapered collar rolled from sheet: the fan-shaped blank with its two radii and angle.',
  input,
  example: { largeMm: 34, smallMm: 19, heightMm: 28, alloy: 'copper-c110', thicknessMm: '23 ga' },
  ask: { words: ['cone', 'collar'], sizes: ['largeMm', 'smallMm', 'heightMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['largeMm', 'smallMm', 'heightMm'],
  plan: planCone,
})
