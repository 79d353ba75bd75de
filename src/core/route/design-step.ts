import type { Target } from '../forms/contract'

/** A step of a piece's route. Its id is given once and stays whatever comes before it. */
export interface DesignStep {
  readonly id: string
  readonly op: string
  readonly params: Readonly<Record<string, unknown>>
  readonly target?: Target | undefined
}
