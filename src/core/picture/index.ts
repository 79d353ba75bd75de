export {
  CELL_MM,
  COLOUR_HALF_MM,
  DOT_CENTRES,
  DOT_RADIUS_MM,
  isCellBlack,
  MARK_CENTRES,
  MARK_CODES,
  MARK_MM,
  SCALE_LINE_MM,
} from './card'
export { answerOutline, type OutlineAnswer, type OutlineInput, outlineInput } from './outline-answer'
export type { Picture } from './picture'
export type { Refused } from './refusals'
export { partingShade, type Shades, shadesOf } from './shades'
