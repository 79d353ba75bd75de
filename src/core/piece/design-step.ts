import type { AssemblyStep, Override, Ref } from '../assembly/assembly'
import type { Target } from '../forms/contract'

/** A step of a piece's route. Its id is given once and stays whatever comes before it. */
export interface DesignStep extends AssemblyStep {
  readonly id: string
  readonly target?: Target | undefined
  readonly overrides?: readonly Override[] | undefined
  readonly on: readonly Ref[]
}
