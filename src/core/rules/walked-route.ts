import type { Assembly, AssemblyStep } from '../assembly/assembly'
import { walkOrder } from './act'
import type { Act } from './acted'
import type { Link } from './links'
import { Walk } from './walk'
import type { Raw } from './watched'

/** A step and the number it goes by, whatever its place. */
export interface Numbered {
  readonly step: AssemblyStep
  readonly index: number
}

/** A step of a route as it was walked: what it does, what it breaks, and what hangs together once it is done. */
export interface WalkedStep {
  readonly index: number
  readonly acts: readonly Act[]
  readonly raw: readonly Raw[]
  readonly links: readonly Link[]
}

/** Walks steps one after another, each repeated group twice through; `after` is told of each moment after a step. */
export function walkSteps(assembly: Assembly, row: readonly Numbered[], after?: (index: number, walk: Walk) => void): WalkedStep[] {
  const walk = Walk.of(assembly)
  return walkOrder(row.map(({ step }) => step)).flatMap((place): WalkedStep[] => {
    const at = row[place]
    if (!at) return []
    const { step, index } = at
    const acts = walk.acts(step, index)
    const raw = walk.doActs(acts)
    after?.(index, walk)
    return [{ index, acts, raw, links: walk.links }]
  })
}

/** The steps of a route by the numbers of their places. */
export const rowOf = ({ steps }: Assembly): Numbered[] => steps.map((step, index) => ({ step, index }))

/** Routes as they were walked: the rules, the wires and the metal of one route are read from the same walk. */
const WALKED = new WeakMap<Assembly, readonly WalkedStep[]>()

/** A route as it was walked from its first step to its last, worked out once. */
export function walkedRoute(assembly: Assembly): readonly WalkedStep[] {
  const walked = WALKED.get(assembly) ?? walkSteps(assembly, rowOf(assembly))
  WALKED.set(assembly, walked)
  return walked
}

/** The same with each step of a repeated group once, as it was the first time. */
export function walkedOnce(assembly: Assembly): WalkedStep[] {
  const seen = new Set<number>()
  return walkedRoute(assembly).filter(({ index }) => !seen.has(index) && seen.add(index))
}
