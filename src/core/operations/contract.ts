import type * as z from 'zod'
import type { Alloy } from '../metals/alloys'
import { objectOfFields, readChecked } from '../sizes/read-fields'
import { type FactChange, readChanges } from './notation/effect'
import { type Included, readIncludes } from './notation/includes'

/** Strain put into a region and how hard it counts against the work limit (source: trade-limit for the weights, low). */
export interface Working {
  readonly strain: number
  readonly weight: number
  /** Where it is the strain of a shape the region is brought to: a shape of this kind that it holds already adds nothing again. */
  readonly held?: 'bend' | 'dome' | 'press' | 'curl'
  /** Strain through its thickness that the shape has brought about, below zero where it is thinner; of that too only what is new counts. */
  readonly through?: number
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
  /** Whether what is named in `at` is small and of its own: a piece that has no such place has it from then on, as hard as its hardest was. */
  readonly splits?: true
  readonly heat?: Heat
  /** Where it is hardened by age: a low heat that some metals gain hardness in. */
  readonly age?: { readonly tempC: number; readonly timeS: number }
  /** Whether it is a cooling so slow that some metals are left harder by it. */
  readonly coolsSlowly?: true
  readonly thicknessRatio?: number
  /** Where it was tried what the metal is: the hardening strain that was found, of a region or of the hardest; the others with it. */
  readonly found?: { readonly strain: number; readonly region?: string }
}

export const RESOURCES = {
  bench: 'bench',
  torch: 'torch',
  'pickle-pot': 'pickle pot',
  bath: 'bath',
  press: 'press',
  mill: 'rolling mill',
  'etching-pan': 'etching pan',
  tumbler: 'tumbler',
  drill: 'drill',
  none: 'nothing',
} as const
export type Resource = keyof typeof RESOURCES

/** Bench words that no parameter changes; the title is the operation's. */
type PlainWords = Pick<BenchWords, 'say' | 'watch'>

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

/** How often a step is done over, and how long the work looks after itself after each time. */
export interface Runs {
  readonly count: number
  readonly restS: number
}

export interface OperationSpec<Id extends string = string, S extends z.ZodObject = z.ZodObject> {
  readonly id: Id
  readonly title: string
  readonly kind: 'cold' | 'heat' | 'bath' | 'finish'
  /** What it is done with or in, and so what it waits for. */
  readonly resource: Resource
  /** Whether the whole tray goes through together (a pickle bath, a heat). */
  readonly together: boolean
  readonly params: S
  readonly handsOnS: number
  /** Time the work looks after itself. */
  readonly waitS: number
  /** Of what is done in several runs with a rest after each, how many; hands and rest count for every one of them. */
  readonly runs?: (params: z.output<S>) => Runs
  readonly caution?: string
  /** The steps it includes, in order, itself as `*`; none where it is one step. */
  readonly includes?: string
  /** What it does to the state of what is worked on, in the notation of `notation/effect.ts`. */
  readonly does?: string
  /** Where on a thing it is done, where the step names no place. */
  readonly place?: string
  /** Its heat in °C; `flow` for the flow point of its solder. */
  readonly heatC?: number | 'flow'
  /** How it joins what it is done to: by heat, cold, by a headed rivet, loosely, or it takes loose parts apart. */
  readonly joins?: 'hot' | 'cold' | 'headed' | 'loose' | 'apart'
  /** It makes several parts of one: those named in `into`. */
  readonly divides?: true
  /** Of a joint it is done to the first part alone. */
  readonly firstOnly?: true
  /** What it does to the metal; what operations of its kind usually do where it is left out or says nothing. */
  readonly effect?: (params: z.output<S>, context: OperationContext) => Effect | undefined
  /** Why it cannot be done to this metal, where it cannot. */
  readonly refuses?: (params: z.output<S>, context: OperationContext) => string | undefined
  readonly words: PlainWords | ((params: z.output<S>, context: OperationContext) => BenchWords)
}

/** An operation ready for the catalogue: the same, with one entrance for outside data. */
export interface Operation extends Omit<OperationSpec, 'effect' | 'refuses' | 'words' | 'includes' | 'does' | 'runs'> {
  readonly includes: readonly Included[]
  readonly does: readonly FactChange[]
  readonly runs?: (params: unknown) => Runs
  /** Reads parameters, filling defaults; the message names the parameter. */
  readonly read: (params: unknown) => { readonly ok: true; readonly step: ReadStep } | { readonly ok: false; readonly message: string }
}

export interface ReadStep {
  readonly effect: (context: OperationContext) => Effect
  readonly refuses: (context: OperationContext) => string | undefined
  readonly words: (context: OperationContext) => BenchWords
}

/** Strain over the rules' scale of tempers: rolled stock has 0.54 at quarter hard, 0.60 at half hard, 0.67 at hard (temperStrain); low. */
const STRAIN_PER_TEMPER = 0.6
/** How long a torch heat of which nothing else is said lasts. */
const USUAL_HEAT_S = 20

/** What a step does to the metal of which no more is known than how much it hardens and how hot it gets. */
function usualEffect(
  { heatC, waitS }: Pick<OperationSpec, 'heatC' | 'waitS'>,
  changes: readonly FactChange[],
  { alloy }: OperationContext,
): Effect {
  const hardened = Math.max(0, ...changes.flatMap(({ to }) => ('add' in to ? [to.add] : [])))
  const elsewhere = hardened > 0 ? { strain: STRAIN_PER_TEMPER * hardened, weight: HAMMER_WEIGHT } : UNWORKED
  if (typeof heatC !== 'number') return { elsewhere }
  return { elsewhere, heat: { tempC: Math.min(heatC, alloy.annealHighC), timeS: waitS || USUAL_HEAT_S } }
}

/** Closes the operation over its own parameter schema, so that nothing outside needs a cast. */
export function defineOperation<const Id extends string, S extends z.ZodObject>(
  spec: OperationSpec<Id, S>,
): Operation & { readonly id: Id } {
  const { includes, does, effect, words, runs, ...rest } = spec
  const changes = does ? readChanges(does) : []
  return {
    ...rest,
    ...(runs ? { runs: (raw: unknown) => runs(spec.params.parse(objectOfFields(raw ?? {}) ?? {})) } : {}),
    includes: includes ? readIncludes(includes) : [{ op: '*', params: {}, when: [] }],
    does: changes,
    read: (raw) => {
      const params = objectOfFields(raw ?? {})
      if (!params) return { ok: false, message: `${spec.title}: its parameters are an object of fields` }
      const read = readChecked(spec.params, params, { gaugeSystem: 'B&S' })
      if (!read.ok) return { ok: false, message: `${spec.title}: ${read.issues.map((issue) => issue.message).join('; ')}` }
      return {
        ok: true,
        step: {
          effect: (context) => effect?.(read.data, context) ?? usualEffect(spec, changes, context),
          refuses: (context) => spec.refuses?.(read.data, context),
          words: (context) => (typeof words === 'function' ? words(read.data, context) : { title: spec.title, facts: [], ...words }),
        },
      }
    },
  }
}
