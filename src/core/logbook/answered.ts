import type { GrowthReading } from './allowance'

/** What a smith answered where the record of one kind of work asked. */
export interface RecordAnswer {
  /** When the first reading was taken that still tells of the hand as it is; empty where all do. */
  readonly since: string
  /** Items whose reading stands far out and is right. */
  readonly right: readonly string[]
}

export const NO_ANSWER: RecordAnswer = { since: '', right: [] }

/** A reading of an item, when it was taken. */
interface TakenReading extends GrowthReading {
  readonly item: string
  readonly at: string
}

/** The readings that count, those that were said to be right marked so. */
export function answered<Reading extends TakenReading>(readings: readonly Reading[], { since, right }: RecordAnswer): Reading[] {
  return readings.filter(({ at }) => at >= since).map((reading) => ({ ...reading, isRight: right.includes(reading.item) }))
}
