export { derive, type Given, given, note, type WorkingKind, type WorkingLog, type WorkingStep } from './derive'
export { evaluateFormula, substituteFormula } from './formula'
export { InvariantError } from './invariant'
export { recent } from './recent'
