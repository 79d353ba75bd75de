import * as z from 'zod'
import type { SizeContext } from '../sizes'
import { type InputIssue, objectOfFields, readChecked } from '../sizes/read-fields'
import { type Bench, USUAL_BENCH } from '../toolwall/tools'
import { formatPlain } from '../units/format'
import { CORE_VERSION } from '../version'
import type { FormPlan, FormRun, FormSpec } from './contract'
import { describeFields } from './fields'
import { inputJsonSchema } from './json-schema'
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

function planOf<S extends z.ZodObject>(
  spec: FormSpec<string, S>,
  input: z.output<S>,
  bench: Bench,
): FormPlan | { readonly refused: InputIssue } {
  try {
    return spec.plan(input, bench)
  } catch (error) {
    if (error instanceof PlanRefusal) return { refused: error.issue }
    throw error
  }
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
  const schemaOf = once(spec.input)
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
    const planned = planOf(spec, read.data, {
      ...USUAL_BENCH,
      ...(options.tools ? { tools: options.tools } : {}),
      ...(options.figures ? { figures: options.figures } : {}),
    })
    if ('refused' in planned) return { ok: false, issues: [planned.refused] }
    const { choice, blanks, ...plan } = planned
    const own = { question: choice.question, school: choice.school, schools: choice.schools }
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
        .enum(ids as [string, ...string[]], { error: ({ input }) => `"${String(input)}" is no school here; one of ${ids.join(', ')}` })
        .default(ids[0]),
    ]),
  )
  const such = JSON.stringify(Object.fromEntries(Object.entries(questions).map(([question, ids]) => [question, ids[0]])))
  return z
    .strictObject(shape as { [K in keyof T]: z.ZodDefault<z.ZodEnum<{ [V in T[K][number]]: V }>> }, {
      error: (issue) =>
        issue.code === 'unrecognized_keys'
          ? `${issue.keys.join(', ')}: no such question here; the schools are given as ${such}`
          : `the schools are given as ${such}`,
    })
    .prefault({} as never)
}

/** So near over a mark a size is that mark: what floating point leaves, not metal. */
const ROUNDING_MM = 5e-7

/** Shorter than this nothing can be marked or sawn (common practice). */
const LEAST_MM = 0.05

/**
 * The number a smith marks, mm: rounded up to the next step of the rule (source: common practice, a long blank can be filed).
 * Throws PlanRefusal, given back as an issue of "My record", where that allowance takes away all there is.
 */
export function markUp(valueMm: number, stepMm: number): number {
  if (valueMm < LEAST_MM)
    throw new PlanRefusal({
      path: 'allowanceMm',
      message: `My record: it would leave ${formatPlain(valueMm, 2)} mm to mark; at least ${LEAST_MM} mm must stay`,
    })
  return Number(formatPlain(Math.ceil((valueMm - ROUNDING_MM) / stepMm) * stepMm, 8))
}
