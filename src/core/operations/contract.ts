import type * as z from 'zod'
import type { Alloy } from '../metals/alloys'
import { objectOfFields, readChecked } from '../sizes/read-fields'

/** Strain put into a region and how hard it counts against the work limit (source: trade-limit for the weights, low). */
export interface Working {
  readonly strain: number
  readonly weight: number
  /** Where it is the strain of a shape the region is brought to: a shape of this kind that it holds already adds nothing again. */
  readonly held?: 'bend' | 'dome' | 'press'
}

export const UNWORKED: Working = { strain: 0, weight: 1 }

/** Weight of hammering in the work ledger: kinder than stretching (source: estimated, low). */
export const HAMMER_WEIGHT = 0.8

/** A heat, and how near the solidus it may come: judged by colour it needs more room than where solder tells it. */
export interface Heat {
  readonly tempC: number
  readonly timeS: number
  /** Where another metal is in the heat: where that begins to melt. */
  readonly otherSolidusC?: number
  /** Degrees under the solidus, the observer's error off, below which it is told, and below which it is a stop; none where melting is meant. */
  readonly marginsC?: { readonly amber: number; readonly red: number }
}

/**
 * What an operation does to the metal: work, by region or everywhere else, then heat. Where the piece has none of the regions named in
 * `at`, the hardest of them is done to all of it.
 */
export interface Effect {
  readonly elsewhere: Working
  readonly at?: Readonly<Record<string, Working>>
  readonly heat?: Heat
  readonly thicknessRatio?: number
}

/** What the smith reads at the bench. Big type: short sentences. */
export interface BenchWords {
  readonly title: string
  readonly say: string
  readonly facts: readonly { readonly label: string; readonly value: string }[]
  /** What going wrong looks like, and what to do then. */
  readonly watch?: string
}

export interface OperationContext {
  readonly alloy: Alloy
  readonly thicknessMm: number
  readonly widthMm: number
}

export interface OperationSpec<Id extends string = string, S extends z.ZodObject = z.ZodObject> {
  readonly id: Id
  readonly title: string
  readonly kind: 'cold' | 'heat' | 'bath' | 'finish'
  /** Whether the whole tray goes through together (a pickle bath, a heat). */
  readonly together: boolean
  readonly params: S
  readonly handsOnS: number
  /** Time the work looks after itself. */
  readonly waitS: number
  readonly caution?: string
  readonly effect: (params: z.output<S>, context: OperationContext) => Effect
  /** Why it cannot be done to this metal, where it cannot. */
  readonly refuses?: (params: z.output<S>, context: OperationContext) => string | undefined
  readonly words: (params: z.output<S>, context: OperationContext) => BenchWords
}

/** An operation ready for the catalogue: the same, with one entrance for outside data. */
export interface Operation extends Omit<OperationSpec, 'effect' | 'refuses' | 'words'> {
  /** Reads parameters, filling defaults; the message names the parameter. */
  readonly read: (params: unknown) => { readonly ok: true; readonly step: ReadStep } | { readonly ok: false; readonly message: string }
}

export interface ReadStep {
  readonly effect: (context: OperationContext) => Effect
  readonly refuses: (context: OperationContext) => string | undefined
  readonly words: (context: OperationContext) => BenchWords
}

/** Closes the operation over its own parameter schema, so that nothing outside needs a cast. */
export function defineOperation<const Id extends string, S extends z.ZodObject>(
  spec: OperationSpec<Id, S>,
): Operation & { readonly id: Id } {
  return {
    ...spec,
    read: (raw) => {
      const params = objectOfFields(raw ?? {})
      if (!params) return { ok: false, message: `${spec.title}: its parameters are an object of fields` }
      const read = readChecked(spec.params, params, { gaugeSystem: 'B&S' })
      if (!read.ok) return { ok: false, message: `${spec.title}: ${read.issues.map((issue) => issue.message).join('; ')}` }
      return {
        ok: true,
        step: {
          effect: (context) => spec.effect(read.data, context),
          refuses: (context) => spec.refuses?.(read.data, context),
          words: (context) => spec.words(read.data, context),
        },
      }
    },
  }
}
