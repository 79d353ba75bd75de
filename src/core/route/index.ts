export { checkOrder, type OrderFinding } from './order'
export { temperInput } from './schema'
export { type RegionState, type RouteStep, type TemperInput, type TemperState, type TemperWalk, walkTemper } from './temper'
export { insertAnneal, wordsOf } from './words'
