import { COLOUR_ERROR_C } from '../forming/anneal'
import { LIMIT_SPREAD } from '../forming/work-used'
import type { Alloy } from '../metals/alloys'
import { curveSpread } from '../metals/flow'
import { TENTH } from '../numerics/normal'
import { drawNormal, seededRandom } from '../numerics/random'
import { alloyWith, isMetalKnown } from '../tables/own-metal'
import { type TemperInput, type WalkedMetal, walkMetal } from './temper'

/** 10 and 90 % of what may come of it. */
export interface Band {
  readonly low: number
  readonly high: number
}

/** How far the metal after a step may be off what is said of it. */
export interface TemperBand {
  readonly hardnessHv: Band
  readonly workUsedFraction: Band
  readonly stiffness: Band
  /** Share softened, where the step was a heat. */
  readonly softenedFraction: Band | null
}

/** What 10 to 90 % of half softening lie within, °C. */
const SOFTENING_C = 30

/** A metal as it may really be: one draw of curve, limit, softening and the eye for the heat. */
function drawn(alloy: Alloy, random: () => number): WalkedMetal {
  const curve = Math.exp(curveSpread(alloy) * drawNormal(random))
  const limit = Math.exp(LIMIT_SPREAD * drawNormal(random))
  const { s0MPa, qMPa, hMPa } = alloy.flow
  return {
    alloy: {
      ...alloy,
      flow: { ...alloy.flow, s0MPa: curve * s0MPa, qMPa: curve * qMPa, hMPa: curve * hMPa },
      reductionLimitFraction: 1 - (1 - alloy.reductionLimitFraction) ** limit,
      halfSofteningC: alloy.halfSofteningC + (alloy.learned?.halfSofteningC ?? SOFTENING_C / TENTH) * drawNormal(random),
    },
    heatErrorC: (COLOUR_ERROR_C / TENTH) * drawNormal(random),
  }
}

function bandOf(values: readonly number[]): Band {
  const sorted = [...values].sort((a, b) => a - b)
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? Number.NaN
  return { low: at(0.1), high: at(0.9) }
}

/** The bands of a walk after each of its steps, by so many draws from a seed; none of a metal that is not known. */
export function temperBands(input: TemperInput, { samples = 200, seed = 1 }: { readonly samples?: number; readonly seed?: number } = {}) {
  const figures = input.figures ?? {}
  if (!isMetalKnown(input.alloy, figures)) return []
  const own = alloyWith(input.alloy, figures)
  const random = seededRandom(seed)
  // an anneal is held as long as the metal of the tables asks, whatever the metal is in truth
  const held = walkMetal({ alloy: own, heatErrorC: 0 }, input)
  const steps = input.steps.map((step, i) => {
    const heldS = held.steps[i]?.heldS
    return step.op === 'anneal' && heldS ? { ...step, params: { ...step.params, timeS: heldS } } : step
  })
  const walks = Array.from({ length: samples }, () => walkMetal(drawn(own, random), { ...input, steps }))
  return held.steps.map((state, i): TemperBand => {
    const states = walks.flatMap((walk) => walk.steps[i] ?? [])
    return {
      hardnessHv: bandOf(states.map(({ hardnessHv }) => hardnessHv)),
      workUsedFraction: bandOf(states.map(({ workUsedFraction }) => workUsedFraction)),
      stiffness: bandOf(states.map(({ stiffness }) => stiffness)),
      softenedFraction: state.softenedFraction === null ? null : bandOf(states.map(({ softenedFraction }) => softenedFraction ?? 0)),
    }
  })
}
