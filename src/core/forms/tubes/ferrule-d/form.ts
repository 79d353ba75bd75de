import * as z from 'zod'
import type { SolidPart } from '../../../drawing/solid/solid'
import { arcPoints, rectangleOutline } from '../../../geometry/outline'
import { ellipsePerimeterMm } from '../../../tables/stones/stones'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, note, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  completePlan,
  hazardNotes,
  measuringBand,
  region,
  schoolChoice,
  sheetBlank,
  stripView,
  view,
} from '../../common/plan-kit'
import { closedRoute } from '../../common/routes'
import { bentSolid, stripSection } from '../../common/solids'
import type { FormPlan } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const CURVE_TEXTS = {
  arc: { title: 'Circular arc', why: 'The top is part of a circle: the shortest curve over that width and height, and the usual one.' },
  ellipse: { title: 'Half an ellipse', why: 'Fuller at the shoulders, as a D often comes out in the hand; takes a little more.' },
} as const
type School = keyof typeof CURVE_TEXTS

const input = () =>
  z
    .strictObject({
      acrossMm: lengthMm({ label: 'Width, outside', min: 3, max: 120 }),
      upMm: lengthMm({ label: 'Height, outside', min: 1, max: 80 }),
      heightOf: choice('Height is of', { top: 'the curved top alone', whole: 'top and base together' }).default('whole'),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness('Top'),
      baseMm: lengthMm({ label: 'Base, thick', min: 0.2, max: 6 }).default(1),
      widthMm: lengthMm({ label: 'Length along', min: 1, max: 200 }).default(12),
      standoffMm: lengthMm({ label: 'Base stands out', min: 0, max: 10, help: 'All round, filed back after soldering.' }).default(0.75),
      trimMm: lengthMm({ label: 'Trim on the curve', min: 0, max: 10, help: 'Cut long and fitted.' }).default(0.5),
      ...closingFields(0.1),
      schools: schoolsField({ curve: ['arc', 'ellipse'] }),
    })
    .refine((value) => riseOf(value) > 0.2 && value.acrossMm > 2.5 * value.thicknessMm, {
      path: ['upMm'],
      error: 'Height, outside: it leaves no room over the base; it must be more than the base and the thickness',
    })
    .refine((value) => riseOf(value) <= (value.acrossMm - value.thicknessMm) / 2 + 1e-9, {
      path: ['upMm'],
      error: 'Height, outside: higher than half the width the sides would lean inward; make the width larger or the height smaller',
    })
type Input = OutputOf<typeof input>

interface Sized {
  readonly upMm: number
  readonly heightOf: 'top' | 'whole'
  readonly baseMm: number
  readonly thicknessMm: number
}

/** Rise of the middle of the curved strip over the base. */
function riseOf({ upMm, heightOf, baseMm, thicknessMm }: Sized): number {
  return upMm - (heightOf === 'whole' ? baseMm : 0) - thicknessMm / 2
}

function curveOf(log: WorkingLog, input: Input, school: School): number {
  const [w, h] = [input.acrossMm - input.thicknessMm, riseOf(input)]
  if (school === 'ellipse')
    return note(log, {
      kind: 'lookup',
      label: 'Curved strip, half an ellipse',
      formula: 'half the ellipse of w and 2·h, Ramanujan',
      value: ellipsePerimeterMm(w, 2 * h) / 2,
      unit: 'mm',
      source: 'ramanujan',
      given: [given('w', 'width, middle of the metal', w), given('h', 'rise, middle of the metal', h)],
    })
  return derive(log, {
    label: 'Curved strip, circular arc',
    formula: '4·(w^2/4 + h^2)/(2·h)·atan(2·h/w)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('w', 'width, middle of the metal', w), given('h', 'rise, middle of the metal', h)],
  })
}

function sectionView(input: Input) {
  const [w, h, t] = [input.acrossMm - input.thicknessMm, riseOf(input), input.thicknessMm]
  const radius = (w * w) / (8 * h) + h / 2
  const half = 2 * Math.atan((2 * h) / w)
  const centre = [0, h - radius] as const
  const span = [Math.PI / 2 - half, Math.PI / 2 + half] as const
  const top = [...arcPoints(centre, radius + t / 2, ...span), ...[...arcPoints(centre, Math.max(0.02, radius - t / 2), ...span)].reverse()]
  const side = input.acrossMm / 2 + input.standoffMm
  return view('section', 'Section', {
    shapes: [region(top), region(rectangleOutline(2 * side, input.baseMm).map(([x, y]) => [x - side, y - input.baseMm] as const))],
    dimensions: [
      {
        from: [-input.acrossMm / 2, -input.baseMm],
        to: [input.acrossMm / 2, -input.baseMm],
        offset: -1.6,
        text: `${formatPlain(input.acrossMm, 2)} outside`,
      },
      { from: [side * 1.08, -input.baseMm], to: [side * 1.08, h + t / 2], offset: -0.8, text: formatPlain(h + t / 2 + input.baseMm, 2) },
    ],
    handles: [{ field: 'upMm', label: 'height', at: [0, h + t / 2], along: [0, 1], gain: 1 }],
  })
}

/** The curved top over its base. */
function archSolid(input: Input): SolidPart[] {
  const [w, h] = [input.acrossMm - input.thicknessMm, riseOf(input)]
  const half = 2 * Math.atan((2 * h) / w)
  const arch = [
    { radiusMm: 1e-6, turnRad: half },
    { radiusMm: (w * w) / (8 * h) + h / 2, turnRad: -2 * half },
  ]
  const over = input.standoffMm + input.thicknessMm / 2
  const base = bentSolid([{ straightMm: w + 2 * over }], stripSection(input.widthMm + 2 * input.standoffMm, input.baseMm))
  return [
    ...bentSolid(arch, stripSection(input.widthMm, input.thicknessMm)),
    ...base.map((part) => ({ ...part, at: [-over, -input.baseMm / 2, 0] as const })),
  ]
}

function planFerrule(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const reckonedMm = curveOf(log, input, input.schools.curve)
  const answer = answerOf(log, input, 'cut length of the top', reckonedMm, [{ symbol: 's', name: 'trim', valueMm: input.trimMm }])
  const baseWide = derive(log, {
    label: 'Rough base, wide',
    formula: 'W + 2·s',
    unit: 'mm',
    source: 'bench-practice',
    given: [given('W', 'width, outside', input.acrossMm), given('s', 'stands out a side', input.standoffMm)],
  })
  const baseLong = input.widthMm + 2 * input.standoffMm
  const target = { dimension: 'upMm', label: 'Height, outside', valueMm: input.upMm, plusMinusMm: 0.3 }
  const slope = (curveOf([], { ...input, upMm: input.upMm + 0.01 }, 'ellipse') - curveOf([], input, 'ellipse')) / 0.01
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [
      sheetBlank(input, bench, { name: 'top', outline: rectangleOutline(answer.markAt, input.widthMm) }),
      sheetBlank(input, bench, { name: 'base', outline: rectangleOutline(baseWide, baseLong), thicknessMm: input.baseMm }),
    ],
    results: {
      curveMm: { value: reckonedMm, unit: 'mm' },
      baseWideMm: { value: baseWide, unit: 'mm' },
      baseLongMm: { value: baseLong, unit: 'mm' },
    },
    choice: schoolChoice('curve', 'How the top is reckoned', input.schools.curve, CURVE_TEXTS, (id) => curveOf([], input, id)),
    sensitivity: [
      { input: 'height', change: '+ 0.5 mm', effect: `+ ${formatPlain(0.5 * slope, 2)} mm of strip` },
      {
        input: 'width',
        change: '+ 0.5 mm',
        effect: `+ ${formatPlain(curveOf([], { ...input, acrossMm: input.acrossMm + 0.5 }, input.schools.curve) - reckonedMm, 2)} mm of strip`,
      },
    ],
    checks: [
      {
        level: 'note',
        code: 'fit-then-solder',
        source: 'bench-practice',
        message:
          'Bend the top over a form, flatten its feet on a plate until no light shows, then solder it to the rough base and saw round.',
      },
      ...hazardNotes(input.alloy),
    ],
    uncertainty: measuringBand(input.measuredWith, Math.hypot(slope, 1), 1),
    views: [
      sectionView(input),
      stripView(answer.markAt, input.widthMm, {
        length: `top ${formatPlain(answer.markAt, 2)}`,
        width: `${formatPlain(input.widthMm, 2)} along`,
      }),
    ],
    route: closedRoute({
      what: 'the top',
      cutMm: answer.markAt,
      insideRadiusMm: Math.max(0.5, input.acrossMm / 2),
      on: 'the form',
      bend: { what: 'the top over the form', manner: 'shape' },
      target,
    }),
    regions: ['outside', 'inside'],
    solids: archSolid(input),
    learns: { target, blankPerMm: Math.max(0.1, slope) },
    method: `D ferrule, ${CURVE_TEXTS[input.schools.curve].title.toLowerCase()}`,
  })
}

export const ferruleD = defineForm({
  id: 'ferrule-d',
  title: 'D ferrule, two parts',
  summary: 'A curved top soldered to a flat base: the strip for the top and the rough base with its standoff.',
  input,
  example: { acrossMm: 17, upMm: 7.5, heightOf: 'whole', alloy: 'red-brass-c230', thicknessMm: 0.7, baseMm: 1.1, widthMm: 14 },
  ask: { words: ['d ferrule'], sizes: ['acrossMm', 'upMm', 'widthMm'] },
  plan: planFerrule,
})
