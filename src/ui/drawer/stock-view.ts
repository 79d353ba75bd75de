import type { Stock, StockNote } from '@/server/db/repositories'
import type { Thing } from '../archive/use-archive'

/** A piece of metal of the drawer, with what is needed to correct it. */
export interface StockView extends Stock {
  /** A layout lies on it, or something was cut from it. */
  readonly isUsed: boolean
  readonly notes: readonly StockNote[]
}

/** What can be done with a piece of metal beside measuring it. */
export interface StockActs {
  readonly correct: (stock: StockView) => void
  readonly duplicate: (stock: StockView) => void
  readonly archive: (thing: Thing) => void
}
