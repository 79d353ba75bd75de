import type { AssemblyJoint, AssemblyStep } from '../assembly/assembly'
import type { Operation } from '../operations/contract'

/** One operation of the unfolded route: on what, where, and which step of the route it is of. */
export interface Act {
  readonly op: Operation
  readonly index: number
  readonly step: AssemblyStep
  readonly params: Readonly<Record<string, unknown>>
  readonly things: readonly string[]
  readonly joints: readonly AssemblyJoint[]
  /** Where on the things it is done; empty where no place is meant. */
  readonly place: string
  readonly face: string
}
