import { anneal } from '../forming/anneal'
import { flowStressMPa, hardnessHv } from '../forming/flow'
import { crackProbability, type Light, lightOf, RISK_AT, strainLimit } from '../forming/work-used'
import { ALLOYS, type Alloy, type AlloyId } from '../metals/alloys'
import { type BoughtTemper, boughtStrain, type Temper, temperOfStrain } from '../metals/tempers'
import { findOperation } from '../operations/catalogue'
import type { Effect, OperationContext } from '../operations/contract'

export interface RouteStep {
  readonly op: string
  readonly params?: Readonly<Record<string, unknown>> | undefined
}

export interface TemperInput {
  readonly alloy: AlloyId
  readonly thicknessMm: number
  readonly widthMm?: number | undefined
  readonly bought: BoughtTemper
  /** Parts that harden differently; without it, one body. */
  readonly regions?: readonly string[] | undefined
  readonly steps: readonly RouteStep[]
}

/** One part of the workpiece: hardening strain resets at an anneal, damage does not. */
export interface RegionState {
  readonly region: string
  readonly strain: number
  readonly workUsedFraction: number
  readonly damageFraction: number
  readonly grainMm: number
  readonly hardnessHv: number
}

/** The metal after a step, told by its hardest-worked part. */
export interface TemperState {
  readonly op: string
  readonly title: string
  readonly heat: boolean
  readonly regions: readonly RegionState[]
  readonly strain: number
  readonly workUsedFraction: number
  readonly workLeftFraction: number
  /** ± on the work left, from the spread of the limit. */
  readonly plusMinusFraction: number
  readonly crackProbability: number
  readonly light: Light
  readonly hardnessHv: number
  readonly flowStressMPa: number
  readonly temper: Temper
  readonly thicknessMm: number
  readonly grainMm: number
  readonly coarseGrain: boolean
  /** Share of the metal softened, where the step was a heat. */
  readonly softenedFraction: number | null
  /** Degrees from the heat (with 40 to spare) to the solidus, where the step was a heat. */
  readonly meltingMarginC: number | null
}

export interface TemperWalk {
  readonly start: TemperState
  readonly steps: readonly TemperState[]
  /** Steps that pass the amber limit: an anneal belongs before each. */
  readonly annealBefore: readonly number[]
  readonly issues: readonly { readonly path: string; readonly message: string }[]
}

/** Sheet as sold for deep drawing and polishing; grain of stock nobody has measured. */
const STOCK_GRAIN_MM = 0.025
/** An observer's error in judging a heat by its colour. */
const COLOUR_ERROR_C = 40

interface Piece {
  readonly regions: readonly RegionState[]
  readonly thicknessMm: number
}

function work(alloy: Alloy, region: RegionState, effect: Effect): RegionState {
  const { strain: added, weight } = effect.at?.[region.region] ?? effect.elsewhere
  const workUsedFraction = region.workUsedFraction + (weight * added) / strainLimit(alloy)
  const strain = region.strain + added
  const damageFraction = region.damageFraction + Math.max(0, workUsedFraction - Math.max(RISK_AT, region.workUsedFraction))
  return { ...region, strain, workUsedFraction, damageFraction, hardnessHv: hardnessHv(alloy, strain) }
}

function heat(alloy: Alloy, region: RegionState, effect: Effect): { region: RegionState; softened: number; coarse: boolean } {
  if (!effect.heat) return { region, softened: 0, coarse: false }
  const after = anneal(alloy, { strain: region.strain, grainMm: region.grainMm, ...effect.heat })
  const workUsedFraction = Math.max(region.damageFraction, region.workUsedFraction * (1 - after.softenedFraction))
  return {
    region: { ...region, strain: after.strain, workUsedFraction, grainMm: after.grainMm, hardnessHv: hardnessHv(alloy, after.strain) },
    softened: after.softenedFraction,
    coarse: after.coarse,
  }
}

function worst(regions: readonly RegionState[]): RegionState {
  const [first, ...rest] = regions
  const empty: RegionState = { region: 'body', strain: 0, workUsedFraction: 0, damageFraction: 0, grainMm: STOCK_GRAIN_MM, hardnessHv: 0 }
  return rest.reduce((a, b) => (b.workUsedFraction > a.workUsedFraction ? b : a), first ?? empty)
}

interface Told {
  readonly op: string
  readonly title: string
  readonly effect: Effect | undefined
  readonly softened: number
  readonly coarse: boolean
}

function tell(alloy: Alloy, piece: Piece, told: Told): TemperState {
  const region = worst(piece.regions)
  const left = Math.max(0, 1 - region.workUsedFraction)
  const hot = told.effect?.heat
  return {
    op: told.op,
    title: told.title,
    heat: hot !== undefined,
    regions: piece.regions,
    strain: region.strain,
    workUsedFraction: region.workUsedFraction,
    workLeftFraction: left,
    plusMinusFraction: 0.3 * region.workUsedFraction,
    crackProbability: crackProbability(region.workUsedFraction),
    light: lightOf(region.workUsedFraction),
    hardnessHv: region.hardnessHv,
    flowStressMPa: flowStressMPa(alloy, region.strain),
    temper: temperOfStrain(region.strain),
    thicknessMm: piece.thicknessMm,
    grainMm: region.grainMm,
    coarseGrain: told.coarse,
    softenedFraction: hot ? told.softened : null,
    meltingMarginC: hot ? alloy.solidusC - hot.tempC - COLOUR_ERROR_C : null,
  }
}

function startPiece(alloy: Alloy, input: TemperInput): Piece {
  const strain = boughtStrain(input.bought)
  const names = input.regions && input.regions.length > 0 ? input.regions : ['body']
  const regions = names.map((region) => ({
    region,
    strain,
    workUsedFraction: strain / strainLimit(alloy),
    damageFraction: 0,
    grainMm: STOCK_GRAIN_MM,
    hardnessHv: hardnessHv(alloy, strain),
  }))
  return { regions, thicknessMm: input.thicknessMm }
}

/**
 * Walks a route through the metal: the state after each step, worst part first (sources: temper-fit, trade-limit,
 * anneal-model; work left is ±30 % at best). Unknown operations and unreadable parameters become issues and change nothing.
 */
export function walkTemper(input: TemperInput): TemperWalk {
  const alloy = ALLOYS[input.alloy]
  let piece = startPiece(alloy, input)
  const start = tell(alloy, piece, { op: 'stock', title: 'As bought', effect: undefined, softened: 0, coarse: false })
  const steps: TemperState[] = []
  const issues: { path: string; message: string }[] = []
  input.steps.forEach((step, index) => {
    const operation = findOperation(step.op)
    const read = operation?.read(step.params)
    if (!operation || !read?.ok) {
      issues.push({ path: `steps.${index}`, message: read && !read.ok ? read.message : `"${step.op}" is no operation` })
      return
    }
    const context: OperationContext = { alloy, thicknessMm: piece.thicknessMm, widthMm: input.widthMm ?? 20 * piece.thicknessMm }
    const effect = read.step.effect(context)
    const worked = piece.regions.map((region) => heat(alloy, work(alloy, region, effect), effect))
    piece = { regions: worked.map((item) => item.region), thicknessMm: piece.thicknessMm * (effect.thicknessRatio ?? 1) }
    const softened = Math.min(...worked.map((item) => item.softened))
    steps.push(
      tell(alloy, piece, {
        op: step.op,
        title: read.step.words(context).title,
        effect,
        softened,
        coarse: worked.some((item) => item.coarse),
      }),
    )
  })
  const annealBefore = steps.flatMap((state, i) =>
    state.light !== 'green' && !state.heat && state.workUsedFraction > (steps[i - 1] ?? start).workUsedFraction + 1e-9 ? [i] : [],
  )
  return { start, steps, annealBefore, issues }
}
