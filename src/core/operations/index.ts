export { findOperation, OPERATIONS, type OperationId } from './catalogue'
export type { BenchWords, Operation } from './contract'
export { type ParamField, paramFields } from './param-fields'
