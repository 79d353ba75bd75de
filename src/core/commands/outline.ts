import { answerOutline, outlineInput, type Picture } from '../picture'
import { objectOfFields, readChecked } from '../sizes/read-fields'
import { sayIssue } from '../units/plain-words'
import { bad, type DoorAnswer } from './door-answer'

/** The outline of what lies on the measuring card of a picture, from raw options. */
export function outlineOfPicture(picture: Picture, raw: unknown): DoorAnswer {
  const read = readChecked(outlineInput, objectOfFields(raw) ?? {}, { gaugeSystem: 'B&S' })
  if (!read.ok) return bad('bad-input', read.issues.map(sayIssue).join('; '), read.issues)
  const answer = answerOutline(picture, read.data)
  return 'ok' in answer ? bad(answer.code, answer.message, [{ path: 'picture', message: answer.message }]) : { ok: true, body: answer }
}
