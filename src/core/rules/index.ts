export { isReason, REASON_HELP } from './reason'
export { RULES } from './table'
