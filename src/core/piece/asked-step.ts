import type { OperationId } from '../operations/catalogue'

/** A step that what was planned for a part asks for: an operation and what it is to be. */
export interface AskedStep {
  readonly op: OperationId
  readonly params: Readonly<Record<string, unknown>>
  /** What comes in with it where it is put in: the steps just before and just after it. */
  readonly with?: { readonly before?: readonly OperationId[]; readonly after?: readonly OperationId[] }
}

/** What has to be done before: the last cut, or the metal is formed, or the piece is set, hung and packed. */
export type Before = 'cutting' | 'forming' | 'setting'
