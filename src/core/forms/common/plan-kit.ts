import { cutAlong, cutAround } from '../../drawing/cut'
import type { Drawing, DrawingShape, DrawingView } from '../../drawing/drawing'
import { circleOutline, signedAreaMm2 } from '../../geometry/outline'
import type { Outline, Point } from '../../geometry/point'
import { ALLOYS, type AlloyId } from '../../metals/alloys'
import type { SourceId } from '../../sources/sources'
import { massWith } from '../../tables/figures'
import type { Bench } from '../../toolwall/tools'
import { formatPlain } from '../../units/format'
import type { Unit } from '../../units/unit'
import { derive, type Given, given, note, type WorkingLog } from '../../working/derive'
import type { BlankSpec, Check, FormPlan, OutcomeSpec, SchoolChoice, SchoolOption, Target } from '../contract'
import { markUp } from '../define-form'

/** What every form's input shares. */
export interface CommonInput {
  readonly alloy: AlloyId
  readonly thicknessMm: number
  readonly qty: number
  readonly roundUpMm: number
  readonly allowanceMm: number
}

/** Something added to the calculated size before it is marked: joint, trim, clean-up. */
export interface Addition {
  readonly symbol: string
  readonly name: string
  readonly valueMm: number
  /** How many times it is added: 2 for a clean-up on both sides. */
  readonly times?: number
}

/** What is filed off the ends to close a joint. */
export const jointOf = ({ jointAllowanceMm }: { readonly jointAllowanceMm: number }): readonly Addition[] => [
  { symbol: 'j', name: 'joint and filing', valueMm: jointAllowanceMm },
]

/** What is left for the file on both sides. */
export const cleanUpOf = ({ cleanUpMm }: { readonly cleanUpMm: number }): readonly Addition[] => [
  { symbol: 'c', name: 'filing allowance per side', valueMm: cleanUpMm, times: 2 },
]

/** A measurement as it is asked for; it is an input field of its own where nothing else is said of how it follows the blank. */
export function asked(
  dimension: string,
  label: string,
  valueMm: number,
  plusMinusMm: number,
  follows: string | number = dimension,
): OutcomeSpec {
  return { dimension, label, valueMm, plusMinusMm, follows }
}

/** Rounds a size up to what can be marked, mm, and says so in the working. */
export function markedAt(log: WorkingLog, valueMm: number, stepMm: number): number {
  return note(log, {
    kind: 'choose',
    label: 'Mark at',
    formula: `rounded up to the next ${formatPlain(stepMm)} mm`,
    value: markUp(valueMm, stepMm),
    unit: 'mm',
    source: 'bench-practice',
    note: 'A long blank can be filed; a short one cannot.',
  })
}

/** The size to mark: calculated, with its additions and the smith's own allowance, rounded up to what can be marked. */
export function answerOf(
  log: WorkingLog,
  input: CommonInput,
  name: string,
  valueMm: number,
  additions: readonly Addition[] = [],
): FormPlan['answer'] {
  const terms = additions.map(({ symbol, times = 1 }) => (times === 1 ? symbol : `${times}·${symbol}`))
  const value = derive(log, {
    label: `${name[0]?.toUpperCase() ?? ''}${name.slice(1)}`,
    formula: ['L', ...terms, 'r'].join(' + '),
    unit: 'mm',
    source: input.allowanceMm === 0 ? 'own-choice' : 'own-record',
    given: [
      given('L', 'calculated', valueMm),
      ...additions.map((addition) => given(addition.symbol, addition.name, addition.valueMm)),
      given('r', 'my allowance', input.allowanceMm),
    ],
  })
  const markAt = markedAt(log, value, input.roundUpMm)
  return { name, value, unit: 'mm', markAt }
}

/** Only the values a formula names, of all that its schools draw on. */
function namedIn(formula: string, all: readonly Given[]): Given[] {
  return all.filter((item) => new RegExp(`(^|[^a-z])${item.symbol}([^a-z]|$)`).test(formula))
}

interface SchoolFormula {
  readonly title: string
  readonly formula: string
}

/** Calculates by a school's own formula, with those of the values that it names. */
export function bySchool(log: WorkingLog, { title, formula }: SchoolFormula, source: SourceId, all: readonly Given[]): number {
  return derive(log, { label: title, formula, unit: 'mm', source, given: namedIn(formula, all) })
}

interface SheetPart {
  readonly name: string
  readonly outline: Outline
  readonly holes?: readonly Outline[]
  /** How many go into one piece. */
  readonly each?: number
  /** Exact net area where the outline is a flattened curve. */
  readonly areaMm2?: number
  readonly circleRadiusMm?: number
  readonly thicknessMm?: number
}

/** A blank cut from sheet. */
export function sheetBlank(input: CommonInput, bench: Bench, part: SheetPart): BlankSpec {
  const holes = part.holes ?? []
  const areaMm2 = part.areaMm2 ?? signedAreaMm2(part.outline) - holes.reduce((sum, hole) => sum + Math.abs(signedAreaMm2(hole)), 0)
  const thicknessMm = part.thicknessMm ?? input.thicknessMm
  return {
    name: part.name,
    qty: input.qty * (part.each ?? 1),
    alloy: input.alloy,
    thicknessMm,
    outline: part.outline,
    holes,
    areaMm2,
    massG: massWith(input.alloy, areaMm2 * thicknessMm, bench.figures),
    stock: 'sheet',
    ...(part.each === undefined ? {} : { each: part.each }),
    ...(part.circleRadiusMm === undefined ? {} : { circleRadiusMm: part.circleRadiusMm }),
  }
}

/** A round blank. */
export function discBlank(
  input: CommonInput,
  bench: Bench,
  part: { readonly name: string; readonly diameterMm: number; readonly each?: number },
): BlankSpec {
  const { name, diameterMm, each } = part
  const circleRadiusMm = diameterMm / 2
  const areaMm2 = Math.PI * circleRadiusMm ** 2
  return sheetBlank(input, bench, { name, outline: circleOutline(circleRadiusMm), areaMm2, circleRadiusMm, ...(each ? { each } : {}) })
}

/** A disc as calculated, and the circle it is sawn at. */
export function discView(calculatedMm: number, markAtMm: number, title = 'Blank'): DrawingView {
  const r = markAtMm / 2
  return view('blank', title, {
    shapes: [region(circleOutline(calculatedMm / 2)), cutAround(circleOutline(r), 'outside')],
    dimensions: [{ from: [-r, -r], to: [r, -r], offset: -1.6, text: `saw outside at ${formatPlain(markAtMm, 2)}` }],
  })
}

interface LengthPart {
  readonly name: string
  readonly stock: 'wire' | 'tube' | 'piece'
  readonly lengthMm: number
  /** Height as it is drawn, and the area of the section for its mass. */
  readonly heightMm: number
  readonly sectionMm2: number
  /** Where it is other metal than the piece's own thickness. */
  readonly thicknessMm?: number
  /** How many go into one piece. */
  readonly each?: number
}

/** A blank cut to length from wire or tube, or out of the piece. */
export function lengthBlank(input: CommonInput, bench: Bench, part: LengthPart): BlankSpec {
  const { lengthMm, heightMm } = part
  return {
    name: part.name,
    qty: input.qty * (part.each ?? 1),
    alloy: input.alloy,
    thicknessMm: part.thicknessMm ?? input.thicknessMm,
    ...(part.each === undefined ? {} : { each: part.each }),
    outline: [
      [0, 0],
      [lengthMm, 0],
      [lengthMm, heightMm],
      [0, heightMm],
    ],
    holes: [],
    areaMm2: lengthMm * heightMm,
    massG: massWith(input.alloy, lengthMm * part.sectionMm2, bench.figures),
    stock: part.stock,
    lengthMm,
  }
}

/** A blank cut from round wire of the piece's own thickness. */
export function wireBlank(
  input: CommonInput,
  bench: Bench,
  part: { readonly name: string; readonly lengthMm: number; readonly each?: number },
): BlankSpec {
  const { thicknessMm } = input
  return lengthBlank(input, bench, { ...part, stock: 'wire', heightMm: thicknessMm, sectionMm2: (Math.PI / 4) * thicknessMm ** 2 })
}

/** One question with one way to calculate it. */
export function onlySchool(question: string, label: string, option: SchoolOption): SchoolChoice {
  return { question, label, unit: 'mm', school: option.id, schools: [option] }
}

/** A question with several ways; each value is what that school comes to for this piece. */
export function schoolChoice<Id extends string>(
  question: string,
  label: string,
  school: Id,
  texts: Readonly<Record<Id, { readonly title: string; readonly why: string }>>,
  comesTo: (id: Id) => number,
): SchoolChoice {
  const ids = Object.keys(texts) as Id[]
  return {
    question,
    label,
    unit: 'mm',
    school,
    schools: ids.map((id) => ({ id, title: texts[id].title, why: texts[id].why, value: comesTo(id) })),
  }
}

/** What the metal's own hazards are, where it is sized. */
export function hazardNotes(alloy: AlloyId): Check[] {
  return ALLOYS[alloy].hazards.map((message) => ({ level: 'note', code: 'hazard', source: 'alloy-handbook', message }))
}

/** A check that a number keeps to its limit, said one way when it does and another when it does not. */
export function limitCheck(spec: {
  readonly code: string
  readonly ok: boolean
  readonly level: 'stop' | 'warn' | 'note'
  readonly field?: string
  readonly source: SourceId
  readonly actual: number
  readonly limit: number
  /** Of both; millimetres where it is not said. */
  readonly unit?: Unit
  readonly good: string
  readonly bad: string
}): Check {
  const facts = {
    code: spec.code,
    source: spec.source,
    actual: { value: spec.actual, unit: spec.unit ?? 'mm' },
    limit: { value: spec.limit, unit: spec.unit ?? 'mm' },
  }
  return spec.ok
    ? { level: 'ok', ...facts, message: spec.good }
    : { level: spec.level, ...facts, ...(spec.field ? { field: spec.field } : {}), message: spec.bad }
}

/** A view with nothing to drag. */
export function view(id: string, title: string, parts: Partial<Omit<DrawingView, 'id' | 'title'>>): DrawingView {
  return {
    id,
    title,
    shapes: parts.shapes ?? [],
    dimensions: parts.dimensions ?? [],
    handles: parts.handles ?? [],
    notes: parts.notes ?? [],
  }
}

export function region(outer: Outline, holes: readonly Outline[] = []): DrawingShape {
  return { kind: 'region', layer: 'metal', outer, holes }
}

/** A line on a layer of its own meaning. */
export function stroke(layer: DrawingShape['layer'], ...points: readonly Point[]): DrawingShape {
  return { kind: 'line', layer, points }
}

/** A straight strip with its length and width written on it and the saw line at its end. */
export function stripView(
  lengthMm: number,
  widthMm: number,
  words: { readonly length: string; readonly width: string },
  title = 'Blank',
): DrawingView {
  const over = 0.12 * lengthMm ** 0.6
  return view('blank', title, {
    shapes: [
      region([
        [0, 0],
        [lengthMm, 0],
        [lengthMm, widthMm],
        [0, widthMm],
      ]),
      cutAlong([lengthMm, -over], [lengthMm, widthMm + over], 'outside'),
    ],
    dimensions: [
      { from: [0, 0], to: [lengthMm, 0], offset: -2.4, text: words.length },
      { from: [0, widthMm], to: [0, 0], offset: -1.6, text: words.width },
    ],
  })
}

/** All a form says beside its answer; the rest is put together here. */
type PlanParts = Omit<FormPlan, 'choices' | 'drawing' | 'regions'> &
  Partial<Pick<FormPlan, 'choices' | 'regions'>> & {
    readonly input: CommonInput
    readonly views: Drawing['views']
  }

/** What is to be measured, as a step of the route says it. */
export function targetOf({ dimension, label, valueMm, plusMinusMm }: Target): Target {
  return { dimension, label, valueMm, plusMinusMm }
}

/** The whole plan: the mass of one piece is added up, presets are filled in. */
export function completePlan(parts: PlanParts): FormPlan {
  const { input, views, ...plan } = parts
  const massG = plan.blanks.reduce((sum, blank) => sum + (blank.massG * blank.qty) / input.qty, 0)
  return {
    choices: [],
    regions: ['body'],
    ...plan,
    results: { ...plan.results, massG: { value: massG, unit: 'g' } },
    drawing: { views },
  }
}
