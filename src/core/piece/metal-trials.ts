import { COLOUR_ERROR_C, softenByHeat } from '../forming/anneal'
import { strainLimit } from '../forming/work-used'
import type { Alloy } from '../metals/alloys'
import { flowStressMPa, hardnessHv, strainOfHardness } from '../metals/flow'
import { bisect } from '../numerics/bisect'
import type { TemperState } from '../route/temper'

interface HeatOfState {
  readonly before: TemperState
  readonly state: TemperState
}

function softenedAt(alloy: Alloy, { before, state }: HeatOfState, tempC: number): number {
  const { heldS } = state
  if (heldS === null) return 0
  return Math.min(
    ...before.regions.map(({ strain, grainMm }) => softenByHeat(alloy, { strain, grainMm, tempC, timeS: heldS }).softenedFraction),
  )
}

/** What a heat softens where the eye takes it 40 °C cooler and 40 °C hotter than it is meant; undefined of what is no heat. */
export function softenedByEye(alloy: Alloy, heat: HeatOfState): { readonly cooler: number; readonly hotter: number } | undefined {
  const { heatC } = heat.state
  if (heatC === null) return undefined
  return { cooler: softenedAt(alloy, heat, heatC - COLOUR_ERROR_C), hotter: softenedAt(alloy, heat, heatC + COLOUR_ERROR_C) }
}

/** The reduction between two anneals, %, to which metal is worked in a state. */
export function workedPercent(alloy: Alloy, { workUsedFraction }: Pick<TemperState, 'workUsedFraction'>): number {
  return 100 * (1 - Math.exp((-Math.sqrt(3) / 2) * strainLimit(alloy) * workUsedFraction))
}

/** Under so much used, something else broke it: a notch, a burr, a hidden crack. */
const LEAST_USED = 0.2

/** The least reduction, %, at which a crack speaks for the limit of a metal. */
export const leastTellingPercent = (alloy: Alloy): number => workedPercent(alloy, { workUsedFraction: LEAST_USED })

/**
 * The reduction between two anneals, %, that a crack at this state speaks for: the limit is where half of all cracks have come, so that what was
 * counted as used is all there was. Undefined where next to nothing was used: something else broke it.
 */
export function limitOfCrack(alloy: Alloy, state: Pick<TemperState, 'workUsedFraction'>): number | undefined {
  return state.workUsedFraction < LEAST_USED ? undefined : workedPercent(alloy, state)
}

/** Softened by less or more than this, a hardness tells nothing of where softening begins. */
const TELLING = [0.05, 0.95] as const
const SOFTENING_RANGE_C = [-130, 200] as const

/**
 * The heat of half softening in an hour, °C, by the hardness that was measured after an anneal. Undefined where the metal was softened so little or
 * so far that its hardness does not tell.
 */
export function softeningOfHardness(alloy: Alloy, { before, state }: HeatOfState, measuredHv: number): number | undefined {
  const { heatC, heldS } = state
  if (heatC === null || heldS === null || before.strain <= 0) return undefined
  const soft = flowStressMPa(alloy, 0)
  const left = flowStressMPa(alloy, strainOfHardness(alloy, measuredHv)) - soft
  const softened = 1 - left / (flowStressMPa(alloy, before.strain) - soft)
  if (softened < TELLING[0] || softened > TELLING[1]) return undefined
  const off = (halfSofteningC: number) =>
    softenByHeat({ ...alloy, halfSofteningC }, { strain: before.strain, grainMm: before.grainMm, tempC: heatC, timeS: heldS })
      .softenedFraction - softened
  const [low, high] = SOFTENING_RANGE_C.map((by) => alloy.halfSofteningC + by) as [number, number]
  const found = bisect(off, low, high, 1e-6)
  return found.outcome === 'converged' ? found.x : undefined
}

/** What age or slow cooling have added to the hardness of a state. */
const gainedHv = (alloy: Alloy, { hardnessHv: hv, strain }: Pick<TemperState, 'hardnessHv' | 'strain'>) => hv - hardnessHv(alloy, strain)

/**
 * The hardness of this metal when it is annealed, HV, by the hardness that was measured after a heat. Undefined where the heat left it less than
 * soft: what it measures then is not annealed metal.
 */
export function annealedOfHardness(alloy: Alloy, { state }: Pick<HeatOfState, 'state'>, measuredHv: number): number | undefined {
  if (state.softenedFraction === null || state.softenedFraction < TELLING[1]) return undefined
  return measuredHv - (state.hardnessHv - hardnessHv(alloy, 0))
}

/** Worked less than this, a hardness tells next to nothing of how fast a metal hardens. */
const TELLING_STRAIN = 0.1

/**
 * How fast this metal hardens against the tables, a ratio, by the hardness that was measured where it is worked so far. The alloy is that of the
 * tables, or one with its own annealed hardness; `now` is the one the state was worked out with. Undefined where it is hardly worked.
 */
export function hardeningOfHardness(
  { alloy, now }: { readonly alloy: Alloy; readonly now: Alloy },
  state: Pick<TemperState, 'hardnessHv' | 'strain'>,
  measuredHv: number,
): number | undefined {
  if (state.strain < TELLING_STRAIN) return undefined
  const soft = hardnessHv({ ...alloy, flow: { ...alloy.flow, qMPa: 0, hMPa: 0 } }, state.strain)
  const ratio = (measuredHv - gainedHv(now, state) - soft) / (hardnessHv(alloy, state.strain) - soft)
  return ratio > 0 ? ratio : undefined
}
