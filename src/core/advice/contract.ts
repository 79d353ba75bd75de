import type { z } from 'zod'
import type { Drawing } from '../drawing/drawing'
import type { Check } from '../forms/contract'
import type { InputIssue } from '../sizes/read-fields'
import type { Unit } from '../units/unit'
import type { WorkingStep } from '../working/derive'

/** One thing that would do, from the tables or from the smith's own wall. */
export interface ToolPick {
  readonly name: string
  readonly value: number
  readonly unit: Unit
  readonly detail: string
  /** How well it does: right, usable with care, or not at all. */
  readonly grade: 'right' | 'usable' | 'no'
  readonly owned: boolean
}

/** Steps in a falling or rising order on one axis: grits by micron, solders by temperature. */
export interface Ladder {
  readonly unit: Unit
  readonly spacing: 'linear' | 'ratio'
  /** One step leads to the next. */
  readonly joined: boolean
  readonly steps: readonly { readonly name: string; readonly from: number; readonly to: number; readonly flag?: string }[]
  readonly limits: readonly { readonly name: string; readonly at: number }[]
}

/** Two faces that meet, with how hard each is; null is soft. */
export interface Faces {
  readonly striking: { readonly title: string; readonly hrc: readonly [number, number] | null }
  readonly struck: { readonly title: string; readonly hrc: readonly [number, number] | null }
}

export type Picture =
  | { readonly kind: 'drawing'; readonly drawing: Drawing }
  | { readonly kind: 'ladder'; readonly ladder: Ladder }
  | { readonly kind: 'faces'; readonly faces: Faces }
  /** Steps one after another, each with how it is done. */
  | { readonly kind: 'steps'; readonly steps: readonly { readonly step: string; readonly say: string }[] }

export interface Advice {
  readonly adviser: string
  /** What to take, in a few words. */
  readonly answer: string
  readonly reason: string
  readonly picks: readonly ToolPick[]
  /** What would be right and is not on the wall, with the nearest that is; null where nothing is missing or nothing is owned. */
  readonly missing: string | null
  readonly checks: readonly Check[]
  readonly working: readonly WorkingStep[]
  readonly picture: Picture
}

export type AdviceRun = { readonly ok: true; readonly advice: Advice } | { readonly ok: false; readonly issues: readonly InputIssue[] }

export interface AdviserSpec<Id extends string, S extends z.ZodObject> {
  readonly id: Id
  readonly title: string
  /** What a smith would ask. */
  readonly question: string
  readonly input: S
  readonly example: Readonly<Partial<Record<keyof z.input<S>, unknown>>>
  /** Gives advice, or the issue that stands in its way. */
  readonly advise: (input: z.output<S>) => Omit<Advice, 'adviser'> | InputIssue
}
