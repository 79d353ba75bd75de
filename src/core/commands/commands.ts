import * as z from 'zod'
import { ADVISER_IDS, ADVISERS, findAdviser } from '../advice'
import { benchFields } from '../advice/define-adviser'
import { etchInput, etchPlan } from '../etching'
import { FORM_IDS, FORMS, findForm } from '../forms/registry'
import { answerLayout, type LayoutInput, layoutInput } from '../layout'
import { cutLengths, lengthsInput } from '../lengths'
import { findInTables } from '../lookup'
import { markPlan, marksInput } from '../marks'
import { formRoute } from '../piece'
import { type TemperInput, type TemperWalk, temperBands, temperInput, walkTemper } from '../route'
import { sawPlan, sawPlanInput } from '../sawing'
import { planDay, type ScheduleInput, scheduleInput } from '../schedule'
import { parseSize } from '../sizes'
import { objectOfFields, readChecked } from '../sizes/read-fields'
import { SOURCES } from '../sources/sources'
import { surfaceInput, surfacePlan } from '../surface'
import { findTable, TABLES } from '../tables/registry'
import { issuesOf, plainWords, sayIssue } from '../units/plain-words'
import { bad, type DoorAnswer } from './door-answer'
import { form } from './form'
import { joints, route } from './route'

/** The caller's clock, in seconds since the call began. */
export type Clock = () => number

function badInput(what: string, error: z.ZodError): DoorAnswer {
  const issues = issuesOf(error)
  return bad('bad-input', `${what}: ${issues.map(sayIssue).join('; ')}`, issues)
}

/** All forms with their JSON Schema and a valid example. */
export function listForms(): DoorAnswer {
  return { ok: true, body: FORMS.map(({ id, title, summary, schema, example }) => ({ id, title, summary, schema, example })) }
}

const ownBench = z.object(benchFields())

/** A form's result from raw input; the smith's own `figures` and `owned` tools beside its fields are calculated with, as advisers do. */
export function calc(formId: string, raw: unknown): DoorAnswer {
  const form = findForm(formId)
  if (!form)
    return bad('unknown-form', `there is no form "${formId}"; there are ${FORM_IDS.join(', ')}`, [
      { path: 'form', message: `one of ${FORM_IDS.join(', ')}` },
    ])
  const object = objectOfFields(raw)
  const own = ownBench.safeParse({ figures: object?.figures, owned: object?.owned })
  if (!own.success) return badInput('Own figures and tools', own.error)
  const { figures, owned, ...input } = object ?? {}
  const run = form.run(object ? input : raw, {
    ...(figures ? { figures: own.data.figures } : {}),
    ...(owned ? { tools: own.data.owned } : {}),
  })
  if (run.ok) {
    const { sizedSteps: _, without: __, ...result } = run.result
    return { ok: true, body: { ...result, route: formRoute(run.result) } }
  }
  return bad('bad-input', run.issues.map((issue) => issue.message).join('; '), run.issues)
}

const textInput = (example: string) => z.union([z.string(), z.strictObject({ text: z.string() })], { error: `a text such as "${example}"` })

/** What a typed size means; an ambiguous text is an answer too. */
export function convert(raw: unknown): DoorAnswer {
  const parsed = textInput('5/16 in').safeParse(raw)
  if (!parsed.success)
    return bad('bad-input', 'a text is needed, such as "5/16 in"', [{ path: 'text', message: 'a text such as "5/16 in"' }])
  const reading = parseSize(typeof parsed.data === 'string' ? parsed.data : parsed.data.text)
  return reading.kind === 'unknown'
    ? bad('bad-input', reading.message, [{ path: 'text', message: reading.message }])
    : { ok: true, body: reading }
}

/** Every table, without its rows. */
export function listTables(): DoorAnswer {
  return { ok: true, body: TABLES.map(({ id, title, shelf, about, rows }) => ({ id, title, shelf, about, rows: rows.length })) }
}

/** One table with its rows, each with its source spelt out. */
export function table(id: string): DoorAnswer {
  const found = findTable(id)
  if (!found)
    return bad('unknown-table', `there is no table "${id}"; see the list of tables`, [
      { path: 'id', message: `one of ${TABLES.map((item) => item.id).join(', ')}` },
    ])
  const cited = [...new Set([found.source, ...found.rows.map((row) => row.source)])]
  return { ok: true, body: { ...found, sources: Object.fromEntries(cited.map((source) => [source, SOURCES[source]])) } }
}

const idInput = z.union([z.string(), z.strictObject({ id: z.string() })], { error: 'a table’s id, such as {"id": "gauge-bs"}' })

function readTable(raw: unknown): DoorAnswer {
  const parsed = idInput.safeParse(raw)
  if (!parsed.success) return badInput('Table', parsed.error)
  return table(typeof parsed.data === 'string' ? parsed.data : parsed.data.id)
}

/** What a typed text stands for in every table; a question is an answer too. */
export function find(raw: unknown): DoorAnswer {
  const parsed = textInput('#60').safeParse(raw)
  if (!parsed.success) return badInput('Find', parsed.error)
  const { findings, ...found } = findInTables(typeof parsed.data === 'string' ? parsed.data : parsed.data.text)
  return {
    ok: true,
    body: { ...found, findings: findings.map(({ table: from, ...finding }) => ({ table: from.id, unit: from.unit, ...finding })) },
  }
}

/** All advisers with their JSON Schema and a valid example. */
export function listAdvisers(): DoorAnswer {
  return { ok: true, body: ADVISERS.map(({ id, title, question, schema, example }) => ({ id, title, question, schema, example })) }
}

/** An adviser's answer from raw input. */
export function advise(adviserId: string, raw: unknown): DoorAnswer {
  const adviser = findAdviser(adviserId)
  if (!adviser)
    return bad('unknown-adviser', `there is no adviser "${adviserId}"; there are ${ADVISER_IDS.join(', ')}`, [
      { path: 'adviser', message: `one of ${ADVISER_IDS.join(', ')}` },
    ])
  const run = adviser.run(raw)
  return run.ok ? { ok: true, body: run.advice } : bad('bad-input', run.issues.map((issue) => issue.message).join('; '), run.issues)
}

/** A layout instance from raw input. */
export function readLayout(
  raw: unknown,
): { readonly ok: true; readonly input: LayoutInput } | { readonly ok: false; readonly answer: DoorAnswer } {
  const parsed = layoutInput.safeParse(raw, { error: plainWords })
  return parsed.success ? { ok: true, input: parsed.data } : { ok: false, answer: badInput('Layout', parsed.error) }
}

/** Nests blanks on sheets within the seconds the instance allows. */
export function layout(raw: unknown, clock: Clock): DoorAnswer {
  const read = readLayout(raw)
  if (!read.ok) return read.answer
  return { ok: true, body: answerLayout(read.input, clock) }
}

/** Cuts pieces to length from bars of wire, strip or tube. */
export function lengths(raw: unknown): DoorAnswer {
  const parsed = lengthsInput.safeParse(raw, { error: plainWords })
  return parsed.success ? { ok: true, body: cutLengths(parsed.data) } : badInput('Lengths', parsed.error)
}

/** Puts the lines of blanks that lie on a sheet in order to be cut. */
export function saw(raw: unknown): DoorAnswer {
  const parsed = sawPlanInput.safeParse(raw, { error: plainWords })
  return parsed.success ? { ok: true, body: sawPlan(parsed.data) } : badInput('Saw plan', parsed.error)
}

/** Places letters, stamps, dots and holes on a blank. */
export function marks(raw: unknown): DoorAnswer {
  const parsed = marksInput.safeParse(raw, { error: plainWords })
  return parsed.success ? { ok: true, body: markPlan(parsed.data) } : badInput('Marks', parsed.error)
}

/** Plans an etch with a current: current and minutes to a depth, and what it leaves of fine lines. */
export function etch(raw: unknown): DoorAnswer {
  const parsed = etchInput.safeParse(raw, { error: plainWords })
  return parsed.success ? { ok: true, body: etchPlan(parsed.data) } : badInput('Etch', parsed.error)
}

/** Plans the finish of faces: papers from the deepest scratch, colour, seal, and what reacts with what. */
export function surface(raw: unknown): DoorAnswer {
  const parsed = surfaceInput.safeParse(raw, { error: plainWords })
  if (!parsed.success) return badInput('Surface', parsed.error)
  const result = surfacePlan(parsed.data)
  return result.ok ? { ok: true, body: result.answer } : bad('bad-input', result.issues.map(sayIssue).join('; '), result.issues)
}

/** The trays of a day from raw input. */
export function readSchedule(
  raw: unknown,
): { readonly ok: true; readonly input: ScheduleInput } | { readonly ok: false; readonly answer: DoorAnswer } {
  const parsed = scheduleInput.safeParse(raw, { error: plainWords })
  return parsed.success ? { ok: true, input: parsed.data } : { ok: false, answer: badInput('Schedule', parsed.error) }
}

/** Takes trays through shared fires, baths and two hands within the seconds the input allows. */
export function schedule(raw: unknown, clock: Clock): DoorAnswer {
  const read = readSchedule(raw)
  return read.ok ? { ok: true, body: planDay(read.input, clock) } : read.answer
}

/** Walks a route of operations through the metal. */
export function temper(raw: unknown): DoorAnswer {
  const object = z.record(z.string(), z.unknown(), { error: 'an object of fields' }).safeParse(raw)
  if (!object.success) return badInput('Temper', object.error)
  const read = readChecked(temperInput, object.data, { gaugeSystem: 'B&S' })
  if (!read.ok) return bad('bad-input', read.issues.map(sayIssue).join('; '), read.issues)
  const walk = walkTemper(read.data)
  return walk.issues.length > 0
    ? bad('bad-input', walk.issues.map((issue) => issue.message).join('; '), walk.issues)
    : { ok: true, body: withBands(read.data, walk) }
}

/** The walk with what each of its states may be off by. */
function withBands(input: TemperInput, walk: TemperWalk) {
  const bands = temperBands(input)
  return { ...walk, steps: walk.steps.map((state, i) => ({ ...state, band: bands[i] })) }
}

/** The commands that take one JSON input, by name. */
export const COMMANDS: ReadonlyMap<string, (raw: unknown, clock: Clock) => DoorAnswer> = new Map([
  ['convert', convert],
  ['etch', etch],
  ['find', find],
  ['form', form],
  ['joints', joints],
  ['layout', layout],
  ['lengths', lengths],
  ['marks', marks],
  ['route', route],
  ['saw-plan', saw],
  ['schedule', schedule],
  ['surface', surface],
  ['table', readTable],
  ['temper', temper],
])
