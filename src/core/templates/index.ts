export { mirroredAbout, scaled, sectorsOf } from './change'
export { differenceOf, type PairDifference } from './pair'
