export { type GrowthReading, growthOf, LEAST_READINGS, type OwnAllowance, ownAllowance } from './allowance'
