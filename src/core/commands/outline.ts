import * as z from 'zod'
import { readDrawn } from '../drawn'
import { answerOutline, type OutlineInput, outlineInput, type Picture } from '../picture'
import { type InputIssue, objectOfFields, readChecked } from '../sizes/read-fields'
import { lengthMm } from '../units/fields'
import { sayIssue } from '../units/plain-words'
import { bad, type DoorAnswer } from './door-answer'

type Read<T> = { readonly ok: true; readonly input: T } | { readonly ok: false; readonly issues: readonly InputIssue[] }

function readObject<S extends z.ZodObject>(schema: S, raw: unknown): Read<z.output<S>> {
  const object = objectOfFields(raw)
  if (!object) return { ok: false, issues: [{ path: '', message: 'an object of fields is needed, such as {"heightMm": 2}' }] }
  const read = readChecked(schema, object, { gaugeSystem: 'B&S' })
  return read.ok ? { ok: true, input: read.data } : { ok: false, issues: read.issues }
}

/** What is asked of a picture, from what was typed. */
export function readOutlineInput(raw: unknown): Read<OutlineInput> {
  return readObject(outlineInput, raw)
}

const refuse = (issues: readonly InputIssue[]) => bad('bad-input', issues.map(sayIssue).join('; '), issues)

/** The outline of what lies on the measuring card of a picture, from raw options. */
export function outlineOfPicture(picture: Picture, raw: unknown): DoorAnswer {
  const read = readOutlineInput(raw)
  if (!read.ok) return refuse(read.issues)
  const answer = answerOutline(picture, read.input)
  return 'ok' in answer ? bad(answer.code, answer.message, [{ path: 'picture', message: answer.message }]) : { ok: true, body: answer }
}

const drawnInput = z.strictObject({ longestMm: lengthMm({ label: 'Longest side', min: 0.1, max: 5000 }).optional() })

/** What is asked of a drawing, from what was typed. */
export function readDrawnInput(raw: unknown): Read<z.output<typeof drawnInput>> {
  return readObject(drawnInput, raw)
}

/** The outlines that an SVG or a DXF draws, from its text and raw options. */
export function outlineOfDrawing(text: string, raw: unknown): DoorAnswer {
  const read = readDrawnInput(raw)
  if (!read.ok) return refuse(read.issues)
  const answer = readDrawn(text, read.input)
  if (!answer.ok) return bad(answer.code, answer.message, [{ path: 'drawing', message: answer.message }])
  const { ok: _, ...body } = answer
  return { ok: true, body }
}
