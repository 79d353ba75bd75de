export { readingBesideOriginal, tallyBesideOriginal } from './after-original'
export {
  addGrowth,
  type GrowthReading,
  type GrowthSums,
  growthOf,
  LEAST_READINGS,
  NO_GROWTH,
  type OwnAllowance,
  ownAllowance,
  type Shape,
} from './allowance'
export { answered, NO_ANSWER, type RecordAnswer } from './answered'
export { type BlankAndOutcomes, blankDimension, comesOutMm } from './comes-out'
export { type FarOff, farOff, READING_REACH } from './far-off'
export { countedReading, type ItemEntry } from './finished'
export { CRACKED, isCracked, lossHint, type TrayAtStep } from './loss-hints'
export { routeStepOf } from './made-again'
export { bestSets, isOpening, type MatchedSet, type Measured, MOST_IN_SET, mostMatched } from './matching'
export { ownAllowanceOf, shapeOf } from './own'
export { doMeet, isWholeLoss, type ProgressEvent, type ProgressStep, type TrayProgress, trayProgress } from './progress'
export { asksForRework, FAILED, isFailedTest, PASSED, REWORK_LOOP, type ReworkableStep, TESTED, withRework } from './rework'
export { type Drift, driftOf, type Hindsight, hindsight, mattering, weighed } from './robust'
export { seriesWords } from './series'
export { countWords, type Losses, lossShare, type Spares, sparesFor } from './spares'
export { type LedgerEntry, standingEntries } from './standing'
export { gapWords, TEST_READINGS, type TestReading } from './test-readings'
export { toldWords } from './told'
export { type Waiting, waitingNow, waitOverAt, waitsOf } from './waiting'
