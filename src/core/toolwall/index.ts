export { type MandrelReading, readMandrel } from './mandrel'
export { findStartingSet, STARTING_SETS, type StartingSet } from './starting-sets'
export {
  type Bench,
  type OwnTool,
  ownToolSchema,
  sizeOfTool,
  TOOL_KIND_INFO,
  TOOL_KINDS,
  type ToolFacts,
  type ToolKind,
  toolFacts,
  usable,
} from './tools'
export { USUAL_BENCH } from './usual-bench'
