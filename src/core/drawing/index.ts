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
export { patternDxf } from './dxf'
export {
  LINE_PURPOSE_IDS,
  LINE_PURPOSES,
  type LinePurpose,
  mirrored,
  movedPattern,
  type Pattern,
  type PatternLine,
  patternBounds,
} from './pattern'
export { GUIDE_WORDS, isPatternMethod, methodOfMarking, PATTERN_METHOD_IDS, PATTERN_METHODS, type PatternMethod } from './pattern-method'
export { piecesMesh } from './solid/mesh'
export type { Mesh, SolidPart } from './solid/solid'
export { outlinesPattern, patternSvg } from './svg'
export { thumbnailView } from './thumbnail'
