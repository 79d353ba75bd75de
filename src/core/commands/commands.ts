import { z } from 'zod'
import { FORM_IDS, FORMS, findForm } from '../forms/registry'
import { layoutInput, packLayout } from '../layout'
import { temperInput, walkTemper } from '../route'
import { parseSize } from '../sizes'

/** A problem a person can fix, in the shape every door gives it. */
export interface DoorError {
  readonly error: {
    readonly code: string
    readonly message: string
    readonly issues: readonly { readonly path: string; readonly message: string }[]
  }
}

export type DoorAnswer = { readonly ok: true; readonly body: unknown } | { readonly ok: false; readonly body: DoorError }

/** The caller's clock, in seconds since the call began. */
export type Clock = () => number

function bad(code: string, message: string, issues: DoorError['error']['issues'] = []): DoorAnswer {
  return { ok: false, body: { error: { code, message, issues } } }
}

function badInput(what: string, error: z.ZodError): DoorAnswer {
  const issues = error.issues.map((issue) => ({ path: issue.path.map(String).join('.'), message: issue.message }))
  return bad('bad-input', `${what}: ${issues.map((issue) => `${issue.path || 'input'}: ${issue.message}`).join('; ')}`, issues)
}

/** All forms with their JSON Schema and a valid example. */
export function listForms(): DoorAnswer {
  return { ok: true, body: FORMS.map(({ id, title, summary, schema, example }) => ({ id, title, summary, schema, example })) }
}

/** A form's result from raw input. */
export function calc(formId: string, raw: unknown): DoorAnswer {
  const form = findForm(formId)
  if (!form)
    return bad('unknown-form', `there is no form "${formId}"; there are ${FORM_IDS.join(', ')}`, [
      { path: 'form', message: `one of ${FORM_IDS.join(', ')}` },
    ])
  const run = form.run(raw)
  return run.ok ? { ok: true, body: run.result } : bad('bad-input', run.issues.map((issue) => issue.message).join('; '), run.issues)
}

const convertInput = z.union([z.string(), z.strictObject({ text: z.string() })])

/** What a typed size means; an ambiguous text is an answer too. */
export function convert(raw: unknown): DoorAnswer {
  const parsed = convertInput.safeParse(raw)
  if (!parsed.success)
    return bad('bad-input', 'a text is needed, such as "5/16 in"', [{ path: 'text', message: 'a text such as "5/16 in"' }])
  const reading = parseSize(typeof parsed.data === 'string' ? parsed.data : parsed.data.text)
  return reading.kind === 'unknown'
    ? bad('bad-input', reading.message, [{ path: 'text', message: reading.message }])
    : { ok: true, body: reading }
}

/** Nests blanks on sheets within the seconds the instance allows. */
export function layout(raw: unknown, clock: Clock): DoorAnswer {
  const parsed = layoutInput.safeParse(raw)
  if (!parsed.success) return badInput('Layout', parsed.error)
  return { ok: true, body: packLayout(parsed.data, { shouldStop: () => clock() >= parsed.data.seconds, elapsedS: clock }) }
}

/** Walks a route of operations through the metal. */
export function temper(raw: unknown): DoorAnswer {
  const parsed = temperInput.safeParse(raw)
  if (!parsed.success) return badInput('Temper', parsed.error)
  const walk = walkTemper(parsed.data)
  return walk.issues.length > 0
    ? bad('bad-input', walk.issues.map((issue) => issue.message).join('; '), walk.issues)
    : { ok: true, body: walk }
}

/** The commands that take one JSON input, by name. */
export const COMMANDS: Readonly<Record<string, (raw: unknown, clock: Clock) => DoorAnswer>> = { convert, layout, temper }
