export { type AnnealResult, halfSofteningS, recommendedAnnealS, SOFT_STRAIN, softenByHeat } from './anneal'
export { flowStressMPa, hardnessHv, strainOfStress } from './flow'
export { ANNEAL_AT, crackProbability, type Light, lightOf, RISK_AT, strainLimit } from './work-used'
