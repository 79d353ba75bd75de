import { objectOfFields } from '../../sizes/read-fields'
import { sayIssue } from '../../units/plain-words'
import { bad, type DoorAnswer } from '../door-answer'
import { bend, coil } from './bend'
import { bulge } from './bulge'
import { hammer, raise, sink } from './courses'
import { anticlastic, stripToTubeKind } from './curl'
import { dome } from './dome'
import { draw, roll } from './passes'

/** What can be simulated, each with its schema. */
export const FORM_KINDS = {
  dome,
  bulge,
  bend,
  coil,
  'strip-to-tube': stripToTubeKind,
  anticlastic,
  sink,
  raise,
  hammer,
  roll,
  draw,
} as const

/** Simulates forming: a dome through its punches, a held bulge, bends and coils, a strip curled or closed to a tube, courses, passes. */
export function form(raw: unknown): DoorAnswer {
  const object = objectOfFields(raw)
  const kinds = Object.keys(FORM_KINDS).join(', ')
  const { kind } = object ?? {}
  if (!object || typeof kind !== 'string' || !Object.hasOwn(FORM_KINDS, kind)) {
    const issue = { path: 'kind', message: `${kind === undefined ? 'nothing' : JSON.stringify(kind)} was given; allowed: ${kinds}` }
    return bad('bad-input', sayIssue(issue), [issue])
  }
  return FORM_KINDS[kind as keyof typeof FORM_KINDS].answer(object)
}
