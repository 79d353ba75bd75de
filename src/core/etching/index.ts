export { BATHS } from './baths'
export { type EtchAnswer, etchPlan } from './plan'
export { ETCH_BATHS, type EtchInput, etchInput, RESISTS } from './schema'
