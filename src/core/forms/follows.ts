import type { z } from 'zod'
import { MM_PER_US_SIZE } from '../tables/rings/rings'
import type { Bench } from '../toolwall/tools'
import type { FieldMeta } from '../units/fields'
import { formatPlain } from '../units/format'
import { banded, bandsOf } from './bands'
import type { Answer, FormResult, FormSpec, Outcome, OutcomeSpec, Sensitivity } from './contract'
import type { FormField } from './fields'
import { PlanRefusal } from './refusal'

/** A form at one input: all that is asked here is how its answer moves when one field does. */
export interface Moving<S extends z.ZodObject> {
  /** Slopes that have been asked for. */
  readonly slopes: Map<string, number>
  readonly spec: Pick<FormSpec<string, S>, 'answer' | 'outcomes' | 'measured' | 'varies' | 'spread'>
  readonly input: z.output<S>
  readonly bench: Bench
  readonly fields: readonly FormField[]
  /** Whether the form takes such an input. */
  readonly takes: (input: z.output<S>) => boolean
}

type Values = Record<string, unknown>

/** The answer with one field moved, or undefined where there is none. */
function answerWith<S extends z.ZodObject>({ spec, input, bench }: Moving<S>, field: string, by: number): number | undefined {
  const stands = (input as Values)[field]
  if (typeof stands !== 'number') return undefined
  try {
    return spec.answer([], { ...input, [field]: stands + by }, bench).value
  } catch (error) {
    if (error instanceof PlanRefusal) return undefined
    throw error
  }
}

/** So small a step that curvature does not count, and so large that floating point does not. */
const SMALL_MM = 1e-4

/**
 * mm of answer for 1 mm of a field, all else kept: the gentler of the slopes to both sides, so that a whole number that would jump
 * (one bead more, the next row of a table) is not taken for a slope.
 */
function slopeOf<S extends z.ZodObject>(moving: Moving<S>, field: string): number {
  const known = moving.slopes.get(field)
  if (known !== undefined) return known
  const slope = slopeAt(moving, field)
  moving.slopes.set(field, slope)
  return slope
}

function slopeAt<S extends z.ZodObject>(moving: Moving<S>, field: string): number {
  const [below, here, above] = [-SMALL_MM, 0, SMALL_MM].map((by) => answerWith(moving, field, by))
  if (here === undefined) return 0
  const slopes = [above, below].flatMap((moved, i) => (moved === undefined ? [] : [(i === 0 ? 1 : -1) * ((moved - here) / SMALL_MM)]))
  return slopes.reduce((least, slope) => (Math.abs(slope) < Math.abs(least) ? slope : least), slopes[0] ?? 0)
}

/** What a field's step comes to on the answer; the other way round where the form takes no such input. */
function moved<S extends z.ZodObject>(moving: Moving<S>, field: string, step: number): { by: number; mm: number } | undefined {
  const here = answerWith(moving, field, 0)
  for (const by of [step, -step]) {
    const { input } = moving
    if (!moving.takes({ ...input, [field]: ((input as Values)[field] as number) + by })) continue
    const there = answerWith(moving, field, by)
    if (here !== undefined && there !== undefined) return { by, mm: there - here }
  }
  return undefined
}

/** What measuring with each instrument leaves open, mm (calipers and rule common practice; a paper strip stretches and slips). */
const READS_MM: Readonly<Record<string, number>> = { calipers: 0.02, rule: 0.25, paper: 0.5 }
const READ_WORDS: Readonly<Record<string, string>> = {
  calipers: 'calipers ± 0.02',
  rule: 'steel rule ± 0.25',
  paper: 'paper strip ± 0.5',
}
/** A thickness is read with a micrometer or the jaws of the calipers, mm. */
const THICKNESS_READS_MM = 0.01

const instrumentOf = (input: Values) => (typeof input.measuredWith === 'string' ? input.measuredWith : 'calipers')

/** How sure the answer is: each measured size by its slope, the thickness, and the method, added as squares (first order). */
export function bandOf<S extends z.ZodObject>(moving: Moving<S>, answer: Answer): FormResult['uncertainty'] {
  const { spec, input } = moving
  const instrument = instrumentOf(input as Values)
  const sizes = spec.measured.filter((field) => field !== 'thicknessMm')
  const read = sizes.map((field) => slopeOf(moving, field) * (READS_MM[instrument] ?? 0))
  const thickness = slopeOf(moving, 'thicknessMm') * THICKNESS_READS_MM
  const method = spec.spread?.(answer, input)
  const reading = `${READ_WORDS[instrument]} on each size${thickness === 0 ? '' : ', ± 0.01 on the thickness'}`
  return {
    plusMinus: Math.max(READS_MM.calipers ?? 0, Math.hypot(...read, thickness, method?.plusMinus ?? 0)),
    unit: 'mm',
    why: method ? `${method.why}; ${reading}` : reading,
  }
}

function metaOf(field: FormField | undefined): FieldMeta | undefined {
  return field?.kind === 'number' ? field.meta : undefined
}

/** The step to ask "what if" by, where the form does not say. */
function usualStep(meta: FieldMeta | undefined): number {
  if (meta?.unit === 'count') return 1
  if (meta?.unit === 'ratio') return 0.05
  return meta?.size === 'thickness' || meta?.size === 'ring' ? 0.1 : 0.5
}

/** The change of the cut that the bench asks about, mm. */
const CUT_STEP_MM = 0.5
/** Less than this moves nothing that can be marked, mm. */
const NOTHING_MM = 5e-4

const digitsOf = (value: number) => (Math.abs(value) < 0.1 ? 3 : 2)
const figure = (value: number) => formatPlain(Math.abs(value), digitsOf(value))
const signed = (value: number) => `${value < 0 ? '−' : '+'} ${figure(value)}`

function fieldSensitivity<S extends z.ZodObject>(moving: Moving<S>, answer: Answer): Sensitivity[] {
  const { spec, fields } = moving
  const asked = new Map<string, number>()
  for (const name of [...spec.measured, 'thicknessMm']) asked.set(name, usualStep(metaOf(fields.find((field) => field.name === name))))
  for (const [name, step] of Object.entries(spec.varies ?? {})) if (typeof step === 'number') asked.set(name, step)
  return [...asked].flatMap(([name, step]): Sensitivity[] => {
    const field = fields.find((item) => item.name === name)
    const change = field && moved(moving, name, step)
    if (!field || !change || Math.abs(change.mm) < NOTHING_MM) return []
    const unit = metaOf(field)?.unit === 'mm' ? ' mm' : ''
    return [
      {
        input: field.label.toLowerCase(),
        change: `${signed(change.by)}${unit}`,
        effect: `${signed(change.mm)} mm on the ${answer.name}`,
      },
    ]
  })
}

/** What the cut moves: half a millimetre of it on each measurement of the finished piece, in ring sizes too where they are meant. */
function cutSensitivity(outcome: Outcome, answer: Answer, fields: readonly FormField[]): Sensitivity {
  const by = outcome.blankPerMm === 0 ? 0 : CUT_STEP_MM / outcome.blankPerMm
  const ring = metaOf(fields.find((field) => field.name === outcome.dimension))?.size === 'ring'
  const sizes = ring ? `, ${formatPlain(Math.abs(by) / MM_PER_US_SIZE, 2)} of a US size` : ''
  const label = outcome.label.toLowerCase()
  return {
    input: answer.name,
    change: `± ${CUT_STEP_MM} mm`,
    effect: by === 0 ? `nothing, ${label}` : `${by < 0 ? '∓' : '±'} ${figure(by)} mm, ${label}${sizes}`,
  }
}

/** What the cut moves by more or less than itself. */
const isTelling = ({ blankPerMm }: Outcome) => Math.abs(Math.abs(blankPerMm) - 1) > 1e-6

/** What moves the answer, and what the cut moves; what the cut moves by just as much stands last. */
export function sensitivityOf<S extends z.ZodObject>(moving: Moving<S>, answer: Answer, outcomes: readonly Outcome[]): Sensitivity[] {
  const cut = (some: readonly Outcome[]) => some.map((outcome) => cutSensitivity(outcome, answer, moving.fields))
  return [
    ...cut(outcomes.filter(isTelling)),
    ...fieldSensitivity(moving, answer),
    ...cut(outcomes.filter((outcome) => !isTelling(outcome))),
  ]
}

/** mm of an outcome for 1 mm of blank. */
function perBlankMm<S extends z.ZodObject>(moving: Moving<S>, { follows }: OutcomeSpec): number {
  if (typeof follows === 'number') return follows
  const slope = slopeOf(moving, follows)
  return Math.abs(slope) < 1e-6 ? 0 : 1 / slope
}

/** As near to nothing that no blank would set it right. */
const UNMOVED = 1e-3

/** The measurements of the finished piece as the textbook has them for what was marked: rounding and own record are in them. */
export function outcomesOf<S extends z.ZodObject>(moving: Moving<S>, answer: Answer): Outcome[] {
  const { spec, input, bench } = moving
  const extraMm = answer.markAt - answer.value + Number((input as Values).allowanceMm)
  return spec.outcomes(input, bench).map((outcome, i) => {
    const moves = perBlankMm(moving, outcome)
    const answers = Math.abs(moves) >= UNMOVED
    const { follows: _, ...target } = banded(outcome, bandsOf(input))
    return { ...target, valueMm: target.valueMm + extraMm * moves, blankPerMm: answers ? 1 / moves : 0, primary: i === 0 && answers }
  })
}

/** Finer and finer, mm: what can be marked with a rule and a scriber. */
const MARK_STEPS_MM = [0.5, 0.25, 0.1]

/**
 * The step the answer is rounded up to: the smith's own, or the coarsest finer one that keeps what comes out of the piece within its
 * band (common practice: a long blank can be filed, but not one so long that the size is out).
 */
export function markStepMm<S extends z.ZodObject>(moving: Moving<S>): number {
  const asked = Number((moving.input as Values).roundUpMm)
  const [first] = moving.spec.outcomes(moving.input, moving.bench).map((outcome) => banded(outcome, bandsOf(moving.input)))
  const moves = first ? Math.abs(perBlankMm(moving, first)) : 0
  if (!first || moves < UNMOVED) return asked
  const steps = [asked, ...MARK_STEPS_MM.filter((step) => step < asked)]
  const overMm = (roundUpMm: number) => {
    const { value, markAt } = moving.spec.answer([], { ...moving.input, roundUpMm }, moving.bench)
    return markAt - value
  }
  return steps.find((step) => overMm(step) * moves <= first.plusMinusMm + 1e-9) ?? steps.at(-1) ?? asked
}
