import * as z from 'zod'
import type { DrawingShape, DrawingView } from '../../../drawing/drawing'
import type { SolidPart } from '../../../drawing/solid/solid'
import { arcPoints, rectangleOutline } from '../../../geometry/outline'
import type { Point } from '../../../geometry/point'
import type { Bench } from '../../../toolwall/tools'
import { choice, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import { roundOvalMm } from '../../common/oval'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  region,
  schoolChoice,
  sheetBlank,
  stripView,
  stroke,
  targetOf,
  view,
} from '../../common/plan-kit'
import { bentSteps } from '../../common/sized-steps'
import { bentSolid, stripSection } from '../../common/solids'
import type { Answer, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const CURVE_TEXTS = {
  arc: { title: 'Circular arc', why: 'The top is part of a circle: the shortest curve over that width and height, and the usual one.' },
  ellipse: { title: 'Half an ellipse', why: 'Fuller at the shoulders, as a D often comes out in the hand; takes a little more.' },
} as const
type School = keyof typeof CURVE_TEXTS

const MAKES = { two: 'A curved top on a flat base', one: 'One strip, its seam in the base' } as const

const input = () =>
  z
    .strictObject({
      make: choice('Made of', MAKES).default('two'),
      acrossMm: lengthMm({ label: 'Outside width', min: 3, max: 120 }),
      upMm: lengthMm({ label: 'Outside height', min: 1, max: 80 }),
      heightOf: choice('Height is of', { top: 'the curved top alone', whole: 'top and base together' }).default('whole'),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness('Top'),
      baseMm: lengthMm({ label: 'Base thickness', min: 0.2, max: 6 }).default(1),
      widthMm: lengthMm({ label: 'Length along', min: 1, max: 200 }).default(12),
      standoffMm: lengthMm({ label: 'Base stands out', min: 0, max: 10, help: 'All round, filed back after soldering.' }).default(0.75),
      trimMm: lengthMm({ label: 'Trim on the curve', min: 0, max: 10, help: 'Cut long and fitted.' }).default(0.5),
      ...closingFields(0.1),
      schools: schoolsField({ curve: ['arc', 'ellipse'] }),
    })
    .refine((value) => riseOf(value) > 0.2 && value.acrossMm > 2.5 * value.thicknessMm, {
      path: ['upMm'],
      error: 'Outside height: it leaves no room over the base; it must be more than the base and the thickness',
    })
    .refine((value) => riseOf(value) <= (value.acrossMm - value.thicknessMm) / 2 + 1e-9, {
      path: ['upMm'],
      error: 'Outside height: higher than half the width the sides would lean inward; make the width larger or the height smaller',
    })
type Input = OutputOf<typeof input>

interface Sized {
  readonly make: keyof typeof MAKES
  readonly upMm: number
  readonly heightOf: 'top' | 'whole'
  readonly baseMm: number
  readonly thicknessMm: number
}

/** Rise of the middle of the curved strip over the base; over the middle of its base where it is all one strip. */
function riseOf({ make, upMm, heightOf, baseMm, thicknessMm }: Sized): number {
  if (make === 'one') return upMm - thicknessMm
  return upMm - (heightOf === 'whole' ? baseMm : 0) - thicknessMm / 2
}

/** The circle of a D that is all one strip: radius of the middle of its metal, where its middle lies over the outside of the base. */
function circleOf({ acrossMm: w, upMm: h, thicknessMm: t }: Input): { radiusMm: number; middleMm: number } {
  const outer = (w * w) / (8 * h) + h / 2
  return { radiusMm: outer - t / 2, middleMm: h - outer }
}

/** Width of the curve where it meets its base, middle of the metal. */
function chordOf(input: Input): number {
  if (input.make === 'two') return input.acrossMm - input.thicknessMm
  const { radiusMm, middleMm } = circleOf(input)
  return 2 * Math.sqrt(Math.max(0, radiusMm ** 2 - (input.thicknessMm / 2 - middleMm) ** 2))
}

/** The curve from foot to foot, middle of the metal. */
function curveOf(log: WorkingLog, input: Input, school: School): number {
  const [w, h] = [chordOf(input), riseOf(input)]
  if (school === 'ellipse')
    return derive(log, {
      label: 'Curved strip, half an ellipse',
      formula: 'P/2',
      unit: 'mm',
      source: 'ramanujan',
      given: [given('P', 'whole ellipse', roundOvalMm(log, 'Whole ellipse', w, 2 * h))],
    })
  return derive(log, {
    label: 'Curved strip, circular arc',
    formula: '4·(w^2/4 + h^2)/(2·h)·atan(2·h/w)',
    unit: 'mm',
    source: 'closed-form',
    given: [given('w', 'width, middle of the metal', w), given('h', 'rise, middle of the metal', h)],
  })
}

/** The strip to cut: the curve alone, or the curve and the base it closes to. */
function stripOf(log: WorkingLog, input: Input, school: School): number {
  const curve = curveOf(log, input, school)
  if (input.make === 'two') return curve
  return derive(log, {
    label: 'All round',
    formula: 'c + w',
    unit: 'mm',
    source: 'closed-form',
    given: [given('c', 'curve', curve), given('w', 'base, middle of the metal', chordOf(input))],
    note: 'Its two corners bent sharp; rounder ones take a little less.',
  })
}

/** Inside radius of the top, as it is bent. */
const insideRadiusOf = (log: WorkingLog, input: Input) =>
  derive(log, {
    label: 'Inside radius of the top',
    formula: 'w^2/(8·h) + h/2 − t/2',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('w', 'width, middle of the metal', chordOf(input)),
      given('h', 'rise, middle of the metal', riseOf(input)),
      given('t', 'thickness', input.thicknessMm),
    ],
  })

/** A piece of a circle over a level line, counter-clockwise. */
function segmentOver(levelMm: number, middleMm: number, radiusMm: number): Point[] {
  const from = Math.asin(Math.min(1, Math.max(-1, (levelMm - middleMm) / radiusMm)))
  return arcPoints([0, middleMm], radiusMm, from, Math.PI - from)
}

/** The metal in section: one strip all round, or a curved top on its base. */
function sectionRegions(input: Input, side: number): DrawingShape[] {
  const { thicknessMm: t } = input
  if (input.make === 'one') {
    const { radiusMm, middleMm } = circleOf(input)
    const room = segmentOver(t, middleMm, radiusMm - t / 2)
    return [region(segmentOver(0, middleMm, radiusMm + t / 2), [room.reverse()]), stroke('scribe', [0, 0], [0, t])]
  }
  const [w, h] = [chordOf(input), riseOf(input)]
  const radius = (w * w) / (8 * h) + h / 2
  const half = 2 * Math.atan((2 * h) / w)
  const span = [Math.PI / 2 - half, Math.PI / 2 + half] as const
  const inner = arcPoints([0, h - radius], Math.max(0.02, radius - t / 2), ...span).reverse()
  const base = rectangleOutline(2 * side, input.baseMm).map(([x, y]) => [x - side, y - input.baseMm] as const)
  return [region([...arcPoints([0, h - radius], radius + t / 2, ...span), ...inner]), region(base)]
}

function sectionView(input: Input) {
  const one = input.make === 'one'
  const side = one ? input.acrossMm / 2 : input.acrossMm / 2 + input.standoffMm
  const [foot, crown] = one ? [0, input.upMm] : [-input.baseMm, riseOf(input) + input.thicknessMm / 2]
  return view('section', 'Section', {
    shapes: sectionRegions(input, side),
    dimensions: [
      {
        from: [-input.acrossMm / 2, foot],
        to: [input.acrossMm / 2, foot],
        offset: -1.6,
        text: `${formatPlain(input.acrossMm, 2)} outside`,
      },
      { from: [side * 1.08, foot], to: [side * 1.08, crown], offset: -0.8, text: formatPlain(crown - foot, 2) },
    ],
    handles: [{ field: 'upMm', label: 'height', at: [0, crown], along: [0, 1], gain: 1 }],
  })
}

/** The curved top over its base. */
function archSolid(input: Input): SolidPart[] {
  const [w, h] = [chordOf(input), riseOf(input)]
  const half = 2 * Math.atan((2 * h) / w)
  const arch = [
    { radiusMm: 1e-6, turnRad: half },
    { radiusMm: (w * w) / (8 * h) + h / 2, turnRad: -2 * half },
  ]
  if (input.make === 'one') {
    const corner = { radiusMm: 1e-4, turnRad: Math.PI - half }
    const curve = { radiusMm: (w * w) / (8 * h) + h / 2, turnRad: 2 * half }
    return bentSolid([{ straightMm: w / 2 }, corner, curve, corner, { straightMm: w / 2 }], stripSection(input.widthMm, input.thicknessMm))
  }
  const over = input.standoffMm + input.thicknessMm / 2
  const base = bentSolid([{ straightMm: w + 2 * over }], stripSection(input.widthMm + 2 * input.standoffMm, input.baseMm))
  return [
    ...bentSolid(arch, stripSection(input.widthMm, input.thicknessMm)),
    ...base.map((part) => ({ ...part, at: [-over, -input.baseMm / 2, 0] as const })),
  ]
}

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, input.make === 'two' ? 'cut length of the top' : 'cut length', stripOf(log, input, input.schools.curve), [
    { symbol: 's', name: 'trim', valueMm: input.trimMm },
  ])
}

const outcomeOf = (input: Input): OutcomeSpec => asked('upMm', 'Outside height', input.upMm, 0.3)

/** The rough base of a two-part ferrule, filed back after soldering. */
function roughBase(log: WorkingLog, { make, acrossMm, standoffMm, widthMm }: Input): readonly [number, number] | undefined {
  if (make === 'one') return undefined
  const wideMm = derive(log, {
    label: 'Rough base width',
    formula: 'W + 2·s',
    unit: 'mm',
    source: 'bench-practice',
    given: [given('W', 'outside width', acrossMm), given('s', 'stands out a side', standoffMm)],
  })
  return [wideMm, widthMm + 2 * standoffMm]
}

/** The strip of a one-piece D, its two corners scribed: the seam is in the middle of the base. */
function creasedView(input: Input, lengthMm: number, creaseMm: number): DrawingView {
  const strip = stripView(lengthMm, input.widthMm, {
    length: `cut ${formatPlain(lengthMm, 2)}`,
    width: `${formatPlain(input.widthMm, 2)} along`,
  })
  const crease = (x: number) => stroke('scribe', [x, 0], [x, input.widthMm])
  return {
    ...strip,
    shapes: [...strip.shapes, crease(creaseMm), crease(lengthMm - creaseMm)],
    dimensions: [
      ...strip.dimensions,
      { from: [0, input.widthMm], to: [creaseMm, input.widthMm], offset: 1.4, text: `corner at ${formatPlain(creaseMm, 2)}` },
    ],
  }
}

function planFerrule(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const answer = answerFor(log, input)
  const insideRadiusMm = insideRadiusOf(log, input)
  const rough = roughBase(log, input)
  const creaseMm = (answer.markAt - input.trimMm - curveOf([], input, input.schools.curve)) / 2
  const target = targetOf(outcomeOf(input))
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [
      sheetBlank(input, bench, { name: rough ? 'top' : 'strip', outline: rectangleOutline(answer.markAt, input.widthMm) }),
      ...(rough ? [sheetBlank(input, bench, { name: 'base', outline: rectangleOutline(...rough), thicknessMm: input.baseMm })] : []),
    ],
    results: {
      curveMm: { value: curveOf([], input, input.schools.curve), unit: 'mm' },
      insideRadiusMm: { value: insideRadiusMm, unit: 'mm' },
      ...(rough
        ? { baseWideMm: { value: rough[0], unit: 'mm' as const }, baseLongMm: { value: rough[1], unit: 'mm' as const } }
        : { creaseMm: { value: creaseMm, unit: 'mm' as const } }),
    },
    choice: schoolChoice('curve', 'Calculation', input.schools.curve, CURVE_TEXTS, (id) => stripOf([], input, id)),
    checks: [
      {
        level: 'note',
        code: 'fit-then-solder',
        source: 'bench-practice',
        message: rough
          ? 'Bend the top over a form, flatten its feet on a plate until no light shows, then solder it to the rough base and saw round.'
          : 'Bend the curve over a form first, then the two corners, and solder the seam in the middle of the base, where it is hidden.',
      },
      ...hazardNotes(input.alloy),
    ],
    views: [
      sectionView(input),
      rough
        ? stripView(answer.markAt, input.widthMm, {
            length: `top ${formatPlain(answer.markAt, 2)}`,
            width: `${formatPlain(input.widthMm, 2)} along`,
          })
        : creasedView(input, answer.markAt, creaseMm),
    ],
    sizedSteps: bentSteps({
      what: rough ? 'the top' : 'the strip',
      cutMm: answer.markAt,
      insideRadiusMm,
      on: 'the form',
      bend: { what: rough ? 'the top over the form' : 'it over the form, then its two corners', manner: 'shape' },
      target,
    }),
    regions: ['outside', 'inside'],
    solids: archSolid(input),
    method: `D ferrule, ${rough ? '' : 'one piece, '}${CURVE_TEXTS[input.schools.curve].title.toLowerCase()}`,
  })
}

export const ferruleD = defineForm({
  id: 'ferrule-d',
  title: 'D ferrule',
  summary:
    'A D of a curved top soldered to a flat base, or of one strip with its seam in the base: what to cut, and the form to bend it over.',
  input,
  onlyWhen: { heightOf: ['make', 'two'], baseMm: ['make', 'two'], standoffMm: ['make', 'two'] },
  example: { acrossMm: 17, upMm: 7.5, heightOf: 'whole', alloy: 'red-brass-c230', thicknessMm: 0.7, baseMm: 1.1, widthMm: 14 },
  ask: { words: ['d ferrule'], sizes: ['acrossMm', 'upMm', 'widthMm'] },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['acrossMm', 'upMm', 'baseMm'],
  plan: planFerrule,
})
