export { type GrowthReading, growthOf, LEAST_READINGS, type OwnAllowance, ownAllowance } from './allowance'
export { type ProgressEvent, type ProgressStep, type TrayProgress, trayProgress } from './progress'
export { type Losses, type Spares, sparesFor } from './spares'
