import type { Ref } from '../assembly/assembly'
import { ALLOYS } from '../metals/alloys'
import { findOperation } from '../operations/catalogue'
import type { BenchWords, OperationContext } from '../operations/contract'
import type { RouteStep } from '../route/temper'
import { alloyWith } from '../tables/own-metal'
import type { NamedThings } from './names'
import type { PartMetal, PiecePlan } from './plan-piece'

/** Metal of which nothing is known yet. */
const SOME_METAL: OperationContext = { alloy: ALLOYS['sterling-925'], thicknessMm: 1, widthMm: 20 }

type WordedMetal = Pick<PartMetal, 'alloy' | 'thicknessMm' | 'widthMm' | 'figures'>

function contextOf(metal: WordedMetal | undefined): OperationContext {
  if (!metal) return SOME_METAL
  return {
    alloy: alloyWith(metal.alloy, metal.figures ?? {}),
    thicknessMm: metal.thicknessMm,
    widthMm: metal.widthMm ?? 20 * metal.thicknessMm,
  }
}

/** The words of each step on each metal, put together once. */
const WORDS = new WeakMap<RouteStep, WeakMap<object, BenchWords>>()
const NO_METAL = {}

/** What the smith reads at a step; one whose sizes are still open reads as its operation, and an unknown operation as its own id. */
export function wordsOf(step: RouteStep, metal: WordedMetal | undefined): BenchWords {
  const known = WORDS.get(step) ?? new WeakMap<object, BenchWords>()
  WORDS.set(step, known)
  const words = known.get(metal ?? NO_METAL) ?? worded(step, metal)
  known.set(metal ?? NO_METAL, words)
  return words
}

function worded(step: RouteStep, metal: WordedMetal | undefined): BenchWords {
  const operation = findOperation(step.op)
  if (!operation) return { title: step.op, say: 'This version does not know this step; see the route.', facts: [] }
  const own = Object.fromEntries(Object.entries(step.params ?? {}).filter(([name]) => name in operation.params.shape))
  const read = operation.read(own)
  return read.ok ? read.step.words(contextOf(metal)) : { title: operation.title, say: 'Its sizes are still open.', facts: [] }
}

/** The part whose metal a step works: the first it is done to, of a joint the first it joins. */
export function partOfStep(
  { parts, assembly }: { readonly parts: readonly { readonly id: string }[]; readonly assembly: Pick<PiecePlan['assembly'], 'joints'> },
  on: readonly Ref[],
): string | undefined {
  const isPart = (thing: string) => parts.some(({ id }) => id === thing)
  for (const { thing } of on) {
    if (isPart(thing)) return thing
    const joined = assembly.joints.find(({ id }) => id === thing)?.members.find((member) => isPart(member.thing))
    if (joined) return joined.thing
  }
  return parts[0]?.id
}

/** What of a plan has a name: its parts by their own, those that only a route knows by their id. */
export function namedThings({ parts, assembly }: Pick<PiecePlan, 'parts' | 'assembly'>): NamedThings {
  const { others, joints } = assembly
  return { parts: assembly.parts.map(({ id }) => ({ id, name: parts.find((part) => part.id === id)?.name })), others, joints }
}

/** The same route with an anneal (and the pickle that should follow it) before a step, on what that step is done to. */
export function insertAnneal<T extends RouteStep>(steps: readonly T[], before: number, make: (op: 'anneal' | 'pickle') => T): T[] {
  const needsPickle = steps[before]?.op !== 'pickle'
  return [...steps.slice(0, before), make('anneal'), ...(needsPickle ? [make('pickle')] : []), ...steps.slice(before)]
}
