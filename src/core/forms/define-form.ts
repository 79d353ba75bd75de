import * as z from 'zod'
import { isInside } from '../geometry/distance'
import type { SizeContext } from '../sizes'
import { type InputIssue, objectOfFields, readChecked } from '../sizes/read-fields'
import type { Bench } from '../toolwall/tools'
import { USUAL_BENCH } from '../toolwall/usual-bench'
import { formatPlain } from '../units/format'
import { CORE_VERSION } from '../version'
import { banded, bandsField, bandsOf, unmeasured } from './bands'
import type { Check, FormPlan, FormResult, FormRun, FormSpec, Outcome } from './contract'
import { describeFields } from './fields'
import { bandOf, type Moving, markStepMm, outcomesOf, sensitivityOf } from './follows'
import { inputJsonSchema } from './json-schema'
import { afterOriginal, besideOriginal, comparable, notAsMeant, originalsField, originalsOf } from './originals'
import { PlanRefusal } from './refusal'

/** The workshop's ring system, and its own tools and figures, which the plan picks from. */
export interface RunOptions extends Partial<Bench> {
  /** The workshop's ring system, for "size 6". */
  readonly ringSystem?: SizeContext['ringSystem']
  /** Version of a stored input; older ones are upgraded step by step. */
  readonly inputVersion?: number
}

/** A blank is known by the word the form has for it: "back plate" is `back-plate`. */
function blankIdOf(name: string): string {
  return name.toLowerCase().replace(/[^a-z0-9]+/g, '-')
}

type Upgrades = NonNullable<FormSpec<string, z.ZodObject>['upgrades']>

function upgraded(upgrades: Upgrades, raw: Record<string, unknown>, version: number) {
  return upgrades.slice(version - 1).reduce<Record<string, unknown>>((input, step) => step(input), raw)
}

type Planned = FormPlan & Pick<FormResult, 'sensitivity' | 'uncertainty' | 'outcomes' | 'comparable' | 'afterOriginal'>

/** A blank of nothing, or one that an own record has made too small for its own windows, is no blank. */
function refuseEmpty({ blanks }: FormPlan, allowanceMm: number): void {
  for (const { name, areaMm2, massG, lengthMm = 1, outline, holes } of blanks)
    if (
      !(areaMm2 > 0 && massG > 0 && lengthMm > 0) ||
      (allowanceMm < 0 && holes.some((hole) => hole.some((point) => !isInside(point, outline))))
    )
      throw new PlanRefusal({
        path: 'allowanceMm',
        message: `My allowance: it would leave no metal of the ${name}, or none round its openings; it takes off too much`,
      })
}

/** Said where the smith's step would put the piece out of its band. */
function finerMark(askedMm: number, takenMm: number, outcomes: readonly Outcome[]): Check[] {
  const [first] = outcomes
  if (!first || takenMm >= askedMm) return []
  return [
    {
      level: 'note',
      code: 'finer-mark',
      field: 'roundUpMm',
      source: 'bench-practice',
      message: `Marked to the next ${formatPlain(takenMm)} mm: the next ${formatPlain(askedMm)} mm would put it out of its ± ${formatPlain(first.plusMinusMm)} mm, ${first.label.toLowerCase()}.`,
    },
  ]
}

function planOf<S extends z.ZodObject>(spec: FormSpec<string, S>, moving: Moving<S>): Planned | { readonly refused: InputIssue } {
  try {
    const asked = moving.input
    const roundUpMm = markStepMm(moving)
    const input = { ...asked, roundUpMm }
    const plan = spec.plan(input, moving.bench)
    refuseEmpty(plan, Number(asked.allowanceMm))
    const at = { ...moving, input }
    const [bands, originals] = [bandsOf(asked), originalsOf(asked)]
    const outcomes = outcomesOf(at, plan.answer).map((outcome) => besideOriginal(outcome, originals))
    const sizedSteps = plan.sizedSteps.map((step) =>
      step.target ? { ...step, target: besideOriginal(banded(step.target, bands), originals) } : step,
    )
    const targets = [...outcomes, ...sizedSteps.flatMap(({ target }) => target ?? [])]
    const beside = comparable(outcomes, moving.fields, asked)
    const compared = afterOriginal(originals, beside)
    return {
      ...plan,
      sizedSteps,
      checks: [
        ...plan.checks,
        ...finerMark(Number(asked.roundUpMm), roundUpMm, outcomes),
        ...unmeasured(bands, targets),
        ...notAsMeant(compared, originals, beside),
      ],
      outcomes,
      comparable: beside,
      afterOriginal: compared,
      sensitivity: sensitivityOf(at, plan.answer, outcomes),
      uncertainty: bandOf(at, plan.answer),
    }
  } catch (error) {
    if (error instanceof PlanRefusal) return { refused: error.issue }
    throw error
  }
}

/** A form’s schema, with what any form may be told of its measurements: how far each may be off, and what an original measures. */
function widened<S extends z.ZodObject>(schema: S): S {
  const wider: z.ZodObject = (schema as z.ZodObject).safeExtend({ bands: bandsField(), originals: originalsField() })
  return wider as S
}

/** Makes a thing when it is first asked for, and keeps it. */
function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | undefined
  return () => {
    made ??= { value: make() }
    return made.value
  }
}

/**
 * A form closed over its own schema: `run` is the one entrance for outside data. It never throws on bad input;
 * it reads typed sizes, names every field that cannot be used, and otherwise gives the whole result.
 */
export function defineForm<const Id extends string, S extends z.ZodObject>(spec: FormSpec<Id, S>) {
  const schemaOf = once(() => widened(spec.input()))
  const fieldsOf = once(() => describeFields(schemaOf()))
  const upgrades: Upgrades = spec.upgrades ?? []
  const inputVersion = upgrades.length + 1
  function run(raw: unknown, options: RunOptions = {}): FormRun {
    const input = schemaOf()
    const object = objectOfFields(raw)
    if (!object)
      return { ok: false, issues: [{ path: '', message: `an object of fields is needed, such as ${JSON.stringify(spec.example)}` }] }
    const current = upgraded(upgrades, object, options.inputVersion ?? inputVersion)
    const read = readChecked(input, current, {
      gaugeSystem: 'B&S',
      ...(options.ringSystem ? { ringSystem: options.ringSystem } : {}),
    })
    if (!read.ok) return read
    const bench = {
      ...USUAL_BENCH,
      ...(options.tools ? { tools: options.tools } : {}),
      ...(options.figures ? { figures: options.figures } : {}),
    }
    const takes = (moved: z.output<S>) => input.safeParse(moved).success
    const planned = planOf(spec, { spec, input: read.data, bench, fields: fieldsOf(), takes, slopes: new Map() })
    if ('refused' in planned) return { ok: false, issues: [planned.refused] }
    const { choice, blanks, ...plan } = planned
    const own = {
      question: choice.question,
      questionLabel: choice.label,
      school: choice.school,
      schools: choice.schools,
      schoolUnit: choice.unit,
    }
    return {
      ok: true,
      result: {
        form: spec.id,
        coreVersion: CORE_VERSION,
        ...plan,
        ...own,
        blanks: blanks.map((blank) => ({ id: blankIdOf(blank.name), ...blank })),
        understood: read.understood,
      },
    }
  }
  return {
    ...spec,
    inputVersion,
    run,
    /** The fields in the order a smith measures. */
    get fields() {
      return fieldsOf()
    },
    /** JSON Schema of the input, made when it is asked for. */
    get schema() {
      return inputJsonSchema(schemaOf())
    },
  }
}

/** The schools object of an input: one named choice per question. */
export function schoolsField<const T extends Readonly<Record<string, readonly [string, ...string[]]>>>(questions: T) {
  const shape = Object.fromEntries(
    Object.entries(questions).map(([question, ids]) => [
      question,
      z
        .enum(ids as [string, ...string[]], { error: ({ input }) => `"${String(input)}" is no method here; one of ${ids.join(', ')}` })
        .default(ids[0]),
    ]),
  )
  const such = JSON.stringify(Object.fromEntries(Object.entries(questions).map(([question, ids]) => [question, ids[0]])))
  return z
    .strictObject(shape as { [K in keyof T]: z.ZodDefault<z.ZodEnum<{ [V in T[K][number]]: V }>> }, {
      error: (issue) =>
        issue.code === 'unrecognized_keys'
          ? `${issue.keys.join(', ')}: no such question here; the methods are given as ${such}`
          : `the methods are given as ${such}`,
    })
    .prefault({} as never)
}

/** So near over a mark a size is that mark: what floating point leaves, not metal. */
const ROUNDING_MM = 5e-7

/** Shorter than this nothing can be marked or sawn (common practice). */
const LEAST_MM = 0.05

/**
 * The number a smith marks, mm: rounded up to the next step of the rule (source: common practice, a long blank can be filed).
 * Throws PlanRefusal, given back as an issue of "My allowance", where that allowance takes away all there is.
 */
export function markUp(valueMm: number, stepMm: number): number {
  if (valueMm < LEAST_MM)
    throw new PlanRefusal({
      path: 'allowanceMm',
      message: `My allowance: it would leave ${formatPlain(valueMm, 2)} mm to mark; at least ${LEAST_MM} mm must stay`,
    })
  return Number(formatPlain(Math.ceil((valueMm - ROUNDING_MM) / stepMm) * stepMm, 8))
}
