export { findOperation, OPERATIONS, type OperationId } from './catalogue'
export { type BenchWords, type Operation, RESOURCES } from './contract'
export { heatGoalOf } from './heat/heat-goal'
export { type ParamField, paramFields } from './param-fields'
