export {
  type Dimension,
  type Drawing,
  type DrawingHandle,
  type DrawingLayer,
  type DrawingShape,
  type DrawingView,
  viewBounds,
} from './drawing'
export { type CutSheetItem, cutSheetSvg } from './svg'
