export { type StoneSetting, settingsFor, wrappedRoundMm } from './as-stone'
export { mirroredAbout, scaled, sectorsOf } from './change'
export { type FormCheck, type FormPlace, formCheck } from './form-check'
export { differenceOf, type PairDifference } from './pair'
