import { COLOUR_ERROR_C, SOFT_STRAIN, STOCK_GRAIN_MM } from '../forming/anneal'
import { crackProbability, type Light, lightOf } from '../forming/work-used'
import type { Alloy, AlloyId } from '../metals/alloys'
import { curveSpread, flowStressMPa, hardnessBand, hardnessHv, KNOWN_STRAIN, shownHv } from '../metals/flow'
import { type BoughtTemper, boughtStrain, type Temper, temperOfStrain } from '../metals/tempers'
import { findOperation } from '../operations/catalogue'
import type { Effect, Heat, Operation, OperationContext, Working } from '../operations/contract'
import type { OwnFigures } from '../tables/figures'
import { alloyWith, isMetalKnown, sayMetalUnknown } from '../tables/own-metal'
import { roundTo } from '../units/format'
import { aged, cooledSlowly, corrected, heated, type RegionState, startRegion, type WalkedRegion, worked } from './region'

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
  /** The smith's own figures: a batch that hardens faster, a limit of one's own. */
  readonly figures?: OwnFigures | undefined
  /** Parts that harden differently; without it, one body. */
  readonly regions?: readonly (string | RegionSize)[] | undefined
  readonly steps: readonly RouteStep[]
}

/** The metal after a step, done by its hardest-worked part. */
export interface TemperState {
  readonly op: string
  readonly title: string
  readonly heat: boolean
  readonly regions: readonly RegionState[]
  /** The region that has used most: what else is said of the state is said of it. */
  readonly worstRegion: string
  readonly strain: number
  readonly workUsedFraction: number
  readonly workLeftFraction: number
  /** ± on the work left, from the spread of the limit. */
  readonly plusMinusFraction: number
  readonly crackProbability: number
  readonly light: Light
  readonly hardnessHv: number
  /** The hardness as it is shown: of a metal that is little known two figures. */
  readonly shownHv: number
  /** 10 and 90 % of its hardness, by how well its curve is known. */
  readonly hardnessBand: { readonly low: number; readonly high: number }
  /** Whether it is worked past what its curve is known for. */
  readonly isPastCurve: boolean
  readonly flowStressMPa: number
  readonly temper: Temper
  readonly thicknessMm: number
  readonly grainMm: number
  readonly coarseGrain: boolean
  /** Stress to go on working the metal, against that of the same metal annealed: what hand and tool have to move. */
  readonly stiffness: number
  /** Share of the metal softened, where the step was a heat. */
  readonly softenedFraction: number | null
  /** How hot it was meant to be, °C, where the step was a heat. */
  readonly heatC: number | null
  /** Seconds it was held hot, where the step was a heat. */
  readonly heldS: number | null
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

interface Piece {
  readonly regions: readonly WalkedRegion[]
  readonly thicknessMm: number
}

/** What is done to a region: what names it, or the hardest of what is named where the piece has none of those regions. */
function workingOn(region: WalkedRegion, effect: Effect, names: readonly string[]): Working {
  const at = effect.at
  if (!at) return effect.elsewhere
  const own = [region.region, region.of].flatMap((name) => (name !== undefined && Object.hasOwn(at, name) ? [at[name]] : []))[0]
  if (own) return own
  if (Object.keys(at).some((name) => names.includes(name))) return effect.elsewhere
  return Object.values(at).reduce((most, one) => (one.strain * one.weight > most.strain * most.weight ? one : most), effect.elsewhere)
}

const NO_REGION: RegionState = {
  region: 'body',
  strain: 0,
  workUsedFraction: 0,
  damageFraction: 0,
  grainMm: STOCK_GRAIN_MM,
  hardnessHv: 0,
  thicknessMm: 0,
}

function worst(regions: readonly WalkedRegion[]): RegionState {
  const [first, ...rest] = regions
  return rest.reduce<RegionState>((a, b) => (b.workUsedFraction > a.workUsedFraction ? b : a), first ?? NO_REGION)
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
  readonly heldS: number | null
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
    regions: piece.regions.map(
      ({ widthMm: _w, sheetMm: _s, held: _h, heldThrough: _t, age: _a, slowHv: _l, isDissolved: _d, of: _o, ...state }) => state,
    ),
    worstRegion: region.region,
    strain: region.strain,
    workUsedFraction: region.workUsedFraction,
    workLeftFraction: left,
    plusMinusFraction: 0.3 * region.workUsedFraction,
    crackProbability: crackProbability(region.workUsedFraction),
    light: LIGHTS[Math.max(LIGHTS.indexOf(worked), LIGHTS.indexOf(heated))] ?? worked,
    hardnessHv: region.hardnessHv,
    shownHv: shownHv(alloy, region.hardnessHv),
    hardnessBand: hardnessBand(region.hardnessHv, curveSpread(alloy)),
    isPastCurve: region.strain > KNOWN_STRAIN,
    flowStressMPa: flowStressMPa(alloy, region.strain) * (region.hardnessHv / hardnessHv(alloy, region.strain)),
    stiffness: region.hardnessHv / hardnessHv(alloy, 0),
    temper: temperOfStrain(region.strain),
    thicknessMm: piece.thicknessMm,
    grainMm: region.grainMm,
    coarseGrain: done.coarse,
    softenedFraction: hot ? done.softened : null,
    heatC: hot?.tempC ?? null,
    heldS: done.heldS,
    meltingMarginC: marginC === null ? null : roundTo(marginC, 1),
  }
}

function startPiece(alloy: Alloy, input: TemperInput): Piece {
  const strain = boughtStrain(input.bought)
  const named = input.regions && input.regions.length > 0 ? input.regions : ['body']
  const regions = named.map((given): WalkedRegion => {
    const size: RegionSize = typeof given === 'string' ? { region: given } : given
    const thicknessMm = size.thicknessMm ?? input.thicknessMm
    return startRegion(alloy, { region: size.region, strain, thicknessMm, widthMm: size.widthMm ?? input.widthMm ?? WIDE * thicknessMm })
  })
  return { regions, thicknessMm: input.thicknessMm }
}

/** Steps as they were read: one that touches many parts is read once. */
const READ = new WeakMap<RouteStep, ReturnType<Operation['read']> | undefined>()

function readStep(step: RouteStep) {
  if (!READ.has(step)) READ.set(step, findOperation(step.op)?.read(step.params))
  return READ.get(step)
}

/** A piece with the small places that a tool makes of its own, each as hard as the hardest was before. */
function split(piece: Piece, { at = {}, splits }: Effect): Piece {
  const names = piece.regions.map(({ region }) => region)
  const [first, ...rest] = piece.regions
  const added = splits ? Object.keys(at).filter((name) => !names.includes(name)) : []
  if (!first || added.length === 0) return piece
  const hardest = rest.reduce((a, b) => (b.workUsedFraction > a.workUsedFraction ? b : a), first)
  return { ...piece, regions: [...piece.regions, ...added.map((region) => ({ ...hardest, region, of: hardest.of ?? hardest.region }))] }
}

/** The regions as they were found to be: the one that was tried as hard as it was found, the others as much more or less. */
function foundIn(alloy: Alloy, regions: readonly WalkedRegion[], { strain, region: name }: NonNullable<Effect['found']>): WalkedRegion[] {
  const tried = regions.find(({ region }) => region === name) ?? regions.find(({ region }) => region === worst(regions).region)
  const ratio = tried && tried.strain > 0 ? strain / tried.strain : 1
  return regions.map((region) => corrected(alloy, region, ratio, strain))
}

/** What a step does to the metal of a piece, region by region. */
function after(alloy: Alloy, given: Piece, step: ReadStep, context: OperationContext, heatErrorC: number) {
  const effect = step.effect(context)
  const piece = split(given, effect)
  const names = piece.regions.map((region) => region.region)
  const ratio = effect.thicknessRatio ?? 1
  const coldWorked = piece.regions.map((region) => {
    const own = step.effect({ alloy, thicknessMm: region.sheetMm, widthMm: region.widthMm })
    return worked(alloy, region, workingOn(region, own, names))
  })
  const { heat, age } = effect
  const tried = effect.found ? foundIn(alloy, coldWorked, effect.found) : coldWorked
  const results = tried.map((region) => {
    if (heat) return heated(alloy, region, { tempC: heat.tempC + heatErrorC, timeS: heat.timeS })
    const old = age ? aged(alloy, region, { ...age, tempC: age.tempC + heatErrorC }) : region
    return { region: effect.coolsSlowly ? cooledSlowly(alloy, old) : old, softened: 0, coarse: false }
  })
  return {
    piece: {
      regions: results.map(({ region }) => ({ ...region, thicknessMm: region.thicknessMm * ratio, sheetMm: region.sheetMm * ratio })),
      thicknessMm: piece.thicknessMm * ratio,
    },
    done: {
      effect,
      softened: Math.min(...results.map(({ softened }) => softened)),
      heldS: heat?.timeS ?? null,
      coarse: results.some(({ coarse }) => coarse),
    },
  }
}

type ReadStep = Extract<ReturnType<Operation['read']>, { ok: true }>['step']

const NOTHING_DONE = { effect: undefined, softened: 0, heldS: null, coarse: false } as const

/** A metal as it is walked, and how far every heat is off what it is meant to be. */
export interface WalkedMetal {
  readonly alloy: Alloy
  readonly heatErrorC: number
}

/**
 * Walks a route through the metal: the state after each step, worst part first (sources: temper-fit, trade-limit,
 * anneal-model; work left is ±30 % at best). Unknown operations and unreadable parameters become issues and change nothing. A metal of
 * which nothing is known is an issue and no steps.
 */
export function walkTemper(input: TemperInput): TemperWalk {
  const figures = input.figures ?? {}
  const metal = { alloy: alloyWith(input.alloy, figures), heatErrorC: 0 }
  const walk = walkMetal(metal, isMetalKnown(input.alloy, figures) ? input : { ...input, steps: [] })
  return isMetalKnown(input.alloy, figures) ? walk : { ...walk, issues: [{ path: 'alloy', message: sayMetalUnknown(input.alloy) }] }
}

/** The same walk for a metal given whole. */
export function walkMetal({ alloy, heatErrorC }: WalkedMetal, input: TemperInput): TemperWalk {
  let piece = startPiece(alloy, input)
  const start = stateAfter(alloy, piece, { op: 'stock', title: 'As bought', ...NOTHING_DONE })
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
    const next = after(alloy, piece, read.step, context, heatErrorC)
    piece = next.piece
    steps.push(stateAfter(alloy, piece, { op: step.op, title: read.step.words(context).title, ...next.done }))
  })
  return { start, steps, annealBefore: annealsAsked(start, steps), issues }
}

/** Soft metal is not made softer: a step too far from there is a step to divide. */
function annealsAsked(start: TemperState, steps: readonly TemperState[]): number[] {
  const isSoft = (state: TemperState) => state.regions.every((region) => region.strain < SOFT_STRAIN)
  return steps.flatMap((state, i) => {
    const before = steps[i - 1] ?? start
    const isWorked = state.workUsedFraction > before.workUsedFraction + 1e-9
    return lightOf(state.workUsedFraction) !== 'green' && !state.heat && isWorked && !isSoft(before) ? [i] : []
  })
}
