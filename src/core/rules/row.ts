export type Level = 'stop' | 'warn' | 'note' | 'off'

export const SHARES = {
  thing: 'same thing',
  joint: 'same joint',
  face: 'same face',
  place: 'same place',
  attached: 'attached',
  bath: 'same bath',
} as const
export type Share = keyof typeof SHARES

/** Another level under an answer to a question; of some operations alone where they are named. */
export interface SchoolLevel {
  readonly school: string
  readonly level: Level
  readonly of?: string
}

/** A state that is asked for just before an operation. `asks` and `of` are in the notation of the operations. */
export interface NeedsClause {
  readonly asks: string
  readonly of: string
  /** Operations that put it right, done just before, on what lacks it. */
  readonly put: readonly string[]
  /** A stop that no reason lifts. */
  readonly fixed?: true
}

/** Which operation comes before which: `order`, no first after a next; `must`, next asks that a first was done; `both`. */
export interface BeforeClause {
  readonly first: string
  readonly next: string
  readonly mode?: 'order' | 'must' | 'both'
  readonly level?: Level
  readonly put?: readonly string[]
}

/** A parameter that falls along successive steps on the same thing. */
export interface FallsClause {
  readonly param: string
  readonly of: string
  /** The order of values that are words, highest first. */
  readonly words?: readonly string[]
  /** Operations after which it starts anew. */
  readonly anew?: string
}

/** A joint whose solder must flow lower than those made before it in one subassembly. */
export interface FlowClause {
  readonly earlier?: string
  readonly of: string
}

/** A number of minutes between the end of one step and the start of another. */
export interface WithinClause {
  readonly first: string
  readonly next: string
  readonly least?: number
  readonly most?: number
  readonly must?: true
  readonly put: readonly string[]
  /** What is done where the first step is missing altogether. */
  readonly missing?: readonly string[]
}

/** The order of sub-steps of one operation; watched only where the smith has divided the step. */
export interface InsideClause {
  readonly of: string
  readonly order: readonly string[]
}

/** Something attached that does not stand the heat of a step. */
export interface HoldsClause {
  readonly holds: readonly ('rivet' | 'other' | 'glue' | 'colour' | 'wax' | 'spring')[]
  readonly of: string
  readonly fixed?: true
}

/** A solder that flows where a metal of the heat begins to melt, or is liquid. */
export interface MeltsClause {
  readonly at: 'solidus' | 'liquidus'
  readonly of: string
  readonly fixed?: true
}

export type RuleShape =
  | { readonly shape: 'needs'; readonly clauses: readonly NeedsClause[] }
  | { readonly shape: 'holds'; readonly clauses: readonly HoldsClause[] }
  | { readonly shape: 'before'; readonly clauses: readonly BeforeClause[] }
  | { readonly shape: 'falls'; readonly clauses: readonly FallsClause[] }
  | { readonly shape: 'flow'; readonly clauses: readonly FlowClause[] }
  | { readonly shape: 'melts'; readonly clauses: readonly MeltsClause[] }
  | { readonly shape: 'within'; readonly clauses: readonly WithinClause[] }
  | { readonly shape: 'inside'; readonly clauses: readonly InsideClause[] }

/** One rule of the order of work (common practice, no source). */
export type Rule = RuleShape & {
  readonly id: string
  readonly share: Share
  readonly level: Level
  readonly schools?: readonly SchoolLevel[]
  /** More general rules that a breach of this one falls under. */
  readonly under?: readonly string[]
  /** How it is put right, in words. */
  readonly remedy: string
  readonly says: string
}
