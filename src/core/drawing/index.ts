export { type Cut, kerfLine } from './cut'
export { deviationOf } from './deviation'
export {
  type Dimension,
  type Drawing,
  type DrawingHandle,
  type DrawingLayer,
  type DrawingShape,
  type DrawingView,
  viewBounds,
} from './drawing'
export { dxfOf } from './dxf'
export { piecesMesh } from './solid/mesh'
export type { Mesh, SolidPart } from './solid/solid'
export { type CutSheetItem, cutSheetSvg } from './svg'
export { thumbnailView } from './thumbnail'
