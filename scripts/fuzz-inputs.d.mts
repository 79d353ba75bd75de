export interface Fuzzed {
  readonly asked: number
  readonly refused: number
  readonly answered: number
  readonly slowestMs: number
  readonly faults: readonly { readonly why: string; readonly path?: string; readonly body?: string }[]
}
export declare function fuzz(options: {
  readonly base: string
  readonly count: number
  readonly seed: number
  readonly hangMs?: number
  readonly alive: () => boolean
  readonly atOnce?: number
}): Promise<Fuzzed>
