import type { Point } from '../geometry/point'
import { seeCard } from './camera/see-card'
import { SCALE_LINE_MM } from './card'
import { cardFault, thingFault } from './faults'
import { isOnColour, type Measured, outlineFromEdge } from './outline-from-edge'
import { makeSmall, type Picture } from './picture'
import { refuse } from './refusals'
import { flatten } from './thing/field'
import { findThing } from './thing/object'
import { printedOff } from './uncertainty'

export interface OutlineQuestion {
  /** How high the edge of the thing stands over the card, mm, and what that may be off by. */
  readonly heightMm: number
  readonly heightOffMm: number
  /** The card's two 100 mm lines as measured; not given where nobody measured them. */
  readonly lineXMm?: number | undefined
  readonly lineYMm?: number | undefined
}

const NOT_MEASURED = 'the printed lines of this card have not been measured: sizes may be 0.5 % off'

/**
 * The outline of what lies on the measuring card, in true millimetres, from one photograph, with what each point may be off by; or why it
 * cannot be told and what to do. Heights 0 to 30 mm; a thing with straight walls is brought down to the card exactly.
 */
export function measureOutline(picture: Picture, question: OutlineQuestion): Measured {
  const small = makeSmall(picture)
  const stretch: Point = [(question.lineXMm ?? SCALE_LINE_MM) / SCALE_LINE_MM, (question.lineYMm ?? SCALE_LINE_MM) / SCALE_LINE_MM]
  const sight = seeCard(picture, small, stretch)
  if (!sight.ok) return sight.why === 'few' ? refuse('marks-hidden', sight.hidden) : refuse(sight.why)
  const { card } = sight
  const fault = cardFault(card)
  if (fault) return fault
  const thing = findThing(flatten(picture, small, card.camera, card.fringe))
  const isMeasured = question.lineXMm !== undefined && question.lineYMm !== undefined
  const asked = { ...question, mmPerUnit: 1, scaleOff: printedOff(isMeasured), notes: isMeasured ? [] : [NOT_MEASURED] }
  return thingFault(thing, isOnColour(thing)) ?? outlineFromEdge({ picture, camera: card.camera, fringe: card.fringe }, card, thing, asked)
}
