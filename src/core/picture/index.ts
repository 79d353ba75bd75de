export {
  CELL_MM,
  DOT_CENTRES,
  DOT_RADIUS_MM,
  FIELD_HALF_MM,
  isCellBlack,
  MARK_CENTRES,
  MARK_CODES,
  MARK_MM,
  SCALE_LINE_MM,
} from './card'
export { type MeasuredOutline, measureOutline, type Refused } from './measure-outline'
export { answerOutline, type OutlineAnswer, outlineInput } from './outline-answer'
export type { Picture } from './picture'
