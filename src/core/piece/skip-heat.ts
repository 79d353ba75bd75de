import type { Assembly } from '../assembly/assembly'
import type { PartMetal } from './plan-piece'
import { type RouteState, type RouteTemper, routeTemper } from './route-temper'

/** What would become of the metal were an anneal left out. */
export interface Skipped {
  /** By step of the route as it is, the metal without that anneal; null up to the anneal itself. */
  readonly without: readonly (RouteState | null)[]
  /** The step at which the metal would be worst before it is next softened; undefined where nothing works it before that. */
  readonly worst: { readonly step: number; readonly as: RouteState; readonly without: RouteState } | undefined
}

/** A heat that leaves the metal as good as soft ends what a skipped anneal can do. */
const SOFTENS = 0.9

/** The steps after an anneal up to the next heat that softens the metal anyhow. */
function reach({ steps }: RouteTemper, from: number): number[] {
  const next = steps.findIndex((state, i) => i > from && (state.softenedFraction ?? 0) > SOFTENS)
  return steps.flatMap((_, i) => (i > from && (next < 0 || i < next) ? [i] : []))
}

/** The same route with one anneal left out, beside the route as it is. */
export function skipHeat(assembly: Assembly, metals: ReadonlyMap<string, PartMetal>, step: number): Skipped {
  const as = routeTemper(assembly, metals)
  const less = routeTemper({ ...assembly, steps: assembly.steps.filter((_, i) => i !== step) }, metals)
  const without = as.steps.map((_, i) => (i <= step ? null : (less.steps[i - 1] ?? null)))
  const worst = reach(as, step).reduce<Skipped['worst']>((most, i) => {
    const [here, left] = [as.steps[i], without[i]]
    if (!here || !left || left.workUsedFraction <= (most?.without.workUsedFraction ?? here.workUsedFraction + 1e-6)) return most
    return { step: i, as: here, without: left }
  }, undefined)
  return { without, worst }
}

const percent = (share: number) => (share > 0 && share < 0.01 ? 'under 1 %' : `${Math.round(100 * share)} %`)

/** What skipping an anneal comes to, in words. */
export function skipWords({ worst }: Skipped): string {
  if (!worst) return 'Nothing works the metal before it is next softened: here it may be left out.'
  const { as, without } = worst
  const stiff = without.stiffness / as.stiffness
  const push = stiff > 1.1 ? `, and it pushes back ${stiff.toFixed(1)} times as hard` : ''
  return `Without it, at “${without.title}” ${percent(without.workUsedFraction)} of what the metal can take would be used, with it ${percent(as.workUsedFraction)}: the chance of a crack is about ${percent(without.crackProbability)} instead of ${percent(as.crackProbability)}${push}.`
}
