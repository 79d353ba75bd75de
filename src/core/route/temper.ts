import { SOFT_STRAIN, STOCK_GRAIN_MM, softenByHeat } from '../forming/anneal'
import { flowStressMPa, hardnessHv } from '../forming/flow'
import { crackProbability, type Light, lightOf, RISK_AT, strainLimit } from '../forming/work-used'
import { ALLOYS, type Alloy, type AlloyId } from '../metals/alloys'
import { type BoughtTemper, boughtStrain, type Temper, temperOfStrain } from '../metals/tempers'
import { findOperation } from '../operations/catalogue'
import type { Effect, Heat, Operation, OperationContext, Working } from '../operations/contract'
import { roundTo } from '../units/format'

export interface RouteStep {
  readonly op: string
  readonly params?: Readonly<Record<string, unknown>> | undefined
}

/** A part of the piece that hardens on its own; of another blank, as thick and as wide as that one. */
export interface RegionSize {
  readonly region: string
  readonly thicknessMm?: number | undefined
  readonly widthMm?: number | undefined
}

export interface TemperInput {
  readonly alloy: AlloyId
  readonly thicknessMm: number
  /** How wide the metal is along a bend; a wide strip strains more. Without it the strip counts as wide. */
  readonly widthMm?: number | undefined
  readonly bought: BoughtTemper
  /** Parts that harden differently; without it, one body. */
  readonly regions?: readonly (string | RegionSize)[] | undefined
  readonly steps: readonly RouteStep[]
}

/** One part of the workpiece: hardening strain resets at an anneal, what is lost does not. */
export interface RegionState {
  readonly region: string
  readonly strain: number
  readonly workUsedFraction: number
  /** Share of the limit that is gone for good: cracks that have begun, which no anneal closes. */
  readonly damageFraction: number
  readonly grainMm: number
  readonly hardnessHv: number
}

/** A region as it is walked: its own size, and the strain of each shape that it holds. */
interface WalkedRegion extends RegionState {
  readonly thicknessMm: number
  readonly widthMm: number
  readonly held: Readonly<Partial<Record<NonNullable<Working['held']>, number>>>
}

/** The metal after a step, done by its hardest-worked part. */
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

/** Wider than this many thicknesses a strip cannot narrow as it is bent, and counts as wide. */
const WIDE = 20
/** An observer's error in judging a heat by its colour. */
const COLOUR_ERROR_C = 40

interface Piece {
  readonly regions: readonly WalkedRegion[]
  readonly thicknessMm: number
}

/** What is done to a region: what names it, or the hardest of what is named where the piece has none of those regions. */
function workingOn(region: WalkedRegion, effect: Effect, names: readonly string[]): Working {
  const at = effect.at
  if (!at) return effect.elsewhere
  const own = Object.hasOwn(at, region.region) ? at[region.region] : undefined
  if (own) return own
  if (Object.keys(at).some((name) => names.includes(name))) return effect.elsewhere
  return Object.values(at).reduce((most, one) => (one.strain * one.weight > most.strain * most.weight ? one : most), effect.elsewhere)
}

function work(alloy: Alloy, region: WalkedRegion, { strain: given, weight, held }: Working): WalkedRegion {
  const added = held ? Math.abs(given - (region.held[held] ?? 0)) : given
  const workUsedFraction = region.workUsedFraction + (weight * added) / strainLimit(alloy)
  const strain = region.strain + added
  const damageFraction = region.damageFraction + Math.max(0, workUsedFraction - Math.max(RISK_AT, region.workUsedFraction))
  return {
    ...region,
    strain,
    workUsedFraction,
    damageFraction,
    hardnessHv: hardnessHv(alloy, strain),
    held: held ? { ...region.held, [held]: given } : region.held,
  }
}

function heat(alloy: Alloy, region: WalkedRegion, effect: Effect): { region: WalkedRegion; softened: number; coarse: boolean } {
  if (!effect.heat) return { region, softened: 0, coarse: false }
  const { tempC, timeS } = effect.heat
  const after = softenByHeat(alloy, { strain: region.strain, grainMm: region.grainMm, tempC, timeS })
  const workUsedFraction = Math.max(region.damageFraction, region.workUsedFraction * (1 - after.softenedFraction))
  return {
    region: { ...region, strain: after.strain, workUsedFraction, grainMm: after.grainMm, hardnessHv: hardnessHv(alloy, after.strain) },
    softened: after.softenedFraction,
    coarse: after.coarse,
  }
}

function worst(regions: readonly WalkedRegion[]): RegionState {
  const [first, ...rest] = regions
  const empty: RegionState = { region: 'body', strain: 0, workUsedFraction: 0, damageFraction: 0, grainMm: STOCK_GRAIN_MM, hardnessHv: 0 }
  return rest.reduce<RegionState>((a, b) => (b.workUsedFraction > a.workUsedFraction ? b : a), first ?? empty)
}

const LIGHTS: readonly Light[] = ['green', 'amber', 'red']

/** How near a heat comes to melting the metal. */
function lightOfHeat(marginC: number, { marginsC }: Heat): Light {
  if (!marginsC || marginC >= marginsC.amber) return 'green'
  return marginC < marginsC.red ? 'red' : 'amber'
}

interface StepDone {
  readonly op: string
  readonly title: string
  readonly effect: Effect | undefined
  readonly softened: number
  readonly coarse: boolean
}

function stateAfter(alloy: Alloy, piece: Piece, done: StepDone): TemperState {
  const region = worst(piece.regions)
  const left = Math.max(0, 1 - region.workUsedFraction)
  const hot = done.effect?.heat
  const marginC = hot ? Math.min(alloy.solidusC, hot.otherSolidusC ?? Infinity) - hot.tempC - COLOUR_ERROR_C : null
  const worked = lightOf(region.workUsedFraction)
  const heated = hot && marginC !== null ? lightOfHeat(marginC, hot) : 'green'
  return {
    op: done.op,
    title: done.title,
    heat: hot !== undefined,
    regions: piece.regions.map(({ thicknessMm: _t, widthMm: _w, held: _h, ...state }) => state),
    strain: region.strain,
    workUsedFraction: region.workUsedFraction,
    workLeftFraction: left,
    plusMinusFraction: 0.3 * region.workUsedFraction,
    crackProbability: crackProbability(region.workUsedFraction),
    light: LIGHTS[Math.max(LIGHTS.indexOf(worked), LIGHTS.indexOf(heated))] ?? worked,
    hardnessHv: region.hardnessHv,
    flowStressMPa: flowStressMPa(alloy, region.strain),
    temper: temperOfStrain(region.strain),
    thicknessMm: piece.thicknessMm,
    grainMm: region.grainMm,
    coarseGrain: done.coarse,
    softenedFraction: hot ? done.softened : null,
    meltingMarginC: marginC === null ? null : roundTo(marginC, 1),
  }
}

function startPiece(alloy: Alloy, input: TemperInput): Piece {
  const strain = boughtStrain(input.bought)
  const named = input.regions && input.regions.length > 0 ? input.regions : ['body']
  const regions = named.map((given): WalkedRegion => {
    const size: RegionSize = typeof given === 'string' ? { region: given } : given
    const thicknessMm = size.thicknessMm ?? input.thicknessMm
    return {
      region: size.region,
      strain,
      workUsedFraction: strain / strainLimit(alloy),
      damageFraction: 0,
      grainMm: STOCK_GRAIN_MM,
      hardnessHv: hardnessHv(alloy, strain),
      thicknessMm,
      widthMm: size.widthMm ?? input.widthMm ?? WIDE * thicknessMm,
      held: {},
    }
  })
  return { regions, thicknessMm: input.thicknessMm }
}

/** Steps as they were read: one that touches many parts is read once. */
const READ = new WeakMap<RouteStep, ReturnType<Operation['read']> | undefined>()

function readStep(step: RouteStep) {
  if (!READ.has(step)) READ.set(step, findOperation(step.op)?.read(step.params))
  return READ.get(step)
}

/**
 * Walks a route through the metal: the state after each step, worst part first (sources: temper-fit, trade-limit,
 * anneal-model; work left is ±30 % at best). Unknown operations and unreadable parameters become issues and change nothing.
 */
export function walkTemper(input: TemperInput): TemperWalk {
  const alloy = ALLOYS[input.alloy]
  let piece = startPiece(alloy, input)
  const start = stateAfter(alloy, piece, { op: 'stock', title: 'As bought', effect: undefined, softened: 0, coarse: false })
  const steps: TemperState[] = []
  const issues: { path: string; message: string }[] = []
  input.steps.forEach((step, index) => {
    const read = readStep(step)
    if (!read?.ok) {
      issues.push({ path: `steps.${index}`, message: read && !read.ok ? read.message : `"${step.op}" is not an operation` })
      return
    }
    const context: OperationContext = { alloy, thicknessMm: piece.thicknessMm, widthMm: input.widthMm ?? WIDE * piece.thicknessMm }
    const refused = read.step.refuses(context)
    if (refused) {
      issues.push({ path: `steps.${index}`, message: refused })
      return
    }
    const effect = read.step.effect(context)
    const names = piece.regions.map((region) => region.region)
    const ratio = effect.thicknessRatio ?? 1
    const worked = piece.regions.map((region) => {
      const own = read.step.effect({ alloy, thicknessMm: region.thicknessMm, widthMm: region.widthMm })
      const after = heat(alloy, work(alloy, region, workingOn(region, own, names)), own)
      return { ...after, region: { ...after.region, thicknessMm: region.thicknessMm * ratio } }
    })
    piece = { regions: worked.map((item) => item.region), thicknessMm: piece.thicknessMm * ratio }
    const softened = Math.min(...worked.map((item) => item.softened))
    steps.push(
      stateAfter(alloy, piece, {
        op: step.op,
        title: read.step.words(context).title,
        effect,
        softened,
        coarse: worked.some((item) => item.coarse),
      }),
    )
  })
  const isSoft = (state: TemperState) => state.regions.every((region) => region.strain < SOFT_STRAIN)
  const annealBefore = steps.flatMap((state, i) => {
    const before = steps[i - 1] ?? start
    const worked = state.workUsedFraction > before.workUsedFraction + 1e-9
    // soft metal is not made softer: a step too far from there is a step to divide
    return lightOf(state.workUsedFraction) !== 'green' && !state.heat && worked && !isSoft(before) ? [i] : []
  })
  return { start, steps, annealBefore, issues }
}
