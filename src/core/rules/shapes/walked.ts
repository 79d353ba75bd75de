import type { SolderId } from '../../metals/solders'
import type { Act } from '../act'

/** An act that was done, and when, in minutes from the start. */
export interface Done {
  readonly act: Act
  readonly fromMin: number
  readonly toMin: number
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
  readonly done: readonly Done[]
  readonly byOp: ReadonlyMap<string, readonly Done[]>
  readonly soldered: readonly Soldered[]
  readonly nowMin: number
}
