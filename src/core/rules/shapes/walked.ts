import type { SolderId } from '../../metals/solders'
import type { Act } from '../acted'

/** An act that was done, and when, in minutes from the start. */
export interface Done {
  readonly act: Act
  readonly fromMin: number
  readonly toMin: number
  /** What was done before it, and the last before it of the same operation. */
  readonly before: Done | undefined
  readonly sameBefore: Done | undefined
}

/** A joint that was soldered, at which step and with what. */
export interface Soldered {
  readonly joint: string
  readonly role: string | undefined
  readonly solder: SolderId
  readonly index: number
}

/** What was done so far. */
export interface Walked {
  readonly last: Done | undefined
  /** By operation, the last that was done. */
  readonly lastOf: ReadonlyMap<string, Done>
  readonly soldered: readonly Soldered[]
  readonly nowMin: number
}
