export { findOperation, OPERATIONS, type OperationId } from './catalogue'
export type { BenchWords, Operation } from './contract'
