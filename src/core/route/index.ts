export { temperInput } from './schema'
export { type RegionState, type RouteStep, type TemperInput, type TemperState, type TemperWalk, walkTemper } from './temper'
export { type ToolNote, toolNotes } from './tool-notes'
