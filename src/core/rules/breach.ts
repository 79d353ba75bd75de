import type { Act } from './acted'
import type { Level } from './row'
import type { Walked } from './shapes/walked'
import type { World } from './world'

/** A rule broken at an act, as one of its clauses finds it. */
export interface Breach {
  /** Which clause of the rule. */
  readonly clause: number
  /** The other step it is about, where it is about two. */
  readonly other?: number
  readonly on: readonly string[]
  readonly level?: Level
  readonly fixed?: boolean
  /** More than the rule’s sentence, such as the two flow points. */
  readonly detail?: () => string
}

/** Looks at its act just before it is done, with the state as it is and what was done before. */
export type Check = (world: World, walked: Walked) => readonly Breach[]

export const NONE: readonly Breach[] = []

/** What a rule looks at with an act, one for each clause that is about it, made once. Of the world only what never changes is asked here. */
export type Watch = (world: World, act: Act) => readonly Check[]
