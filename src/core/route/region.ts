import { STOCK_GRAIN_MM, softenByHeat } from '../forming/anneal'
import { RISK_AT, strainLimit } from '../forming/work-used'
import type { Alloy } from '../metals/alloys'
import { hardnessHv } from '../metals/flow'
import type { Working } from '../operations/contract'
import { KELVIN_AT_ZERO_C } from '../units/convert'

/** One part of the workpiece: hardening strain resets at an anneal, what is lost does not. */
export interface RegionState {
  readonly region: string
  readonly strain: number
  readonly workUsedFraction: number
  /** Share of the limit that is gone for good: cracks that have begun, which no anneal closes. */
  readonly damageFraction: number
  readonly grainMm: number
  readonly hardnessHv: number
  readonly thicknessMm: number
}

/** A region as it is walked: its own size, the strain of each shape that it holds, and its hardening by age. */
export interface WalkedRegion extends RegionState {
  readonly widthMm: number
  /** Thickness of the sheet it is of, without what shapes have made of it: shapes are counted from there. */
  readonly sheetMm: number
  /** The place it was split off from, where a tool made it a place of its own: what is done to that is done to it too. */
  readonly of?: string
  readonly held: Readonly<Partial<Record<NonNullable<Working['held']>, number>>>
  /** Strain through the thickness of each shape that it holds. */
  readonly heldThrough: Readonly<Partial<Record<NonNullable<Working['held']>, number>>>
  /** Vickers hardness gained by age. */
  readonly age: number
  /** Vickers hardness left by cooling slowly from the last heat. */
  readonly slowHv: number
  /** Whether the last heat was high enough to take up all that can harden by age. */
  readonly isDissolved: boolean
}

/** Age costs ductility: the strain it can still take is this share of before (estimate, low). */
const AGED_LIMIT = 0.6
/** Share of the hardening by age that an ordinary anneal leaves possible (precious-metal literature, low). */
const UNDISSOLVED_SHARE = 0.5
/** A heat so far under that of solution still dissolves all. */
const SOLUTION_SLACK_C = 5
const AGE_S_AT_300 = 900
const AGE_KJ = 100
const GAS_CONSTANT_KJ = 0.00831446
const AGE_KELVIN = 573.15

/** A region of stock as it is bought. */
export function startRegion(alloy: Alloy, stock: Pick<WalkedRegion, 'region' | 'strain' | 'thicknessMm' | 'widthMm'>): WalkedRegion {
  return {
    ...stock,
    sheetMm: stock.thicknessMm,
    workUsedFraction: stock.strain / strainLimit(alloy),
    damageFraction: 0,
    grainMm: STOCK_GRAIN_MM,
    hardnessHv: hardnessHv(alloy, stock.strain),
    held: {},
    heldThrough: {},
    age: 0,
    slowHv: 0,
    isDissolved: false,
  }
}

/** Hardness by work, and what age or slow cooling have added. */
const hardnessOf = (alloy: Alloy, { strain, age, slowHv }: Pick<WalkedRegion, 'strain' | 'age' | 'slowHv'>) =>
  hardnessHv(alloy, strain) + Math.max(age, slowHv)

/** The region after it was worked. A shape that it holds already adds only what is new of it. */
export function worked(alloy: Alloy, region: WalkedRegion, { strain: given, weight, held, through = 0 }: Working): WalkedRegion {
  const added = held ? Math.abs(given - (region.held[held] ?? 0)) : given
  const limit = strainLimit(alloy) * (region.age > 0 ? AGED_LIMIT : 1)
  const workUsedFraction = region.workUsedFraction + (weight * added) / limit
  const strain = region.strain + added
  const damageFraction = region.damageFraction + Math.max(0, workUsedFraction - Math.max(RISK_AT, region.workUsedFraction))
  return {
    ...region,
    strain,
    workUsedFraction,
    damageFraction,
    hardnessHv: hardnessOf(alloy, { ...region, strain }),
    thicknessMm: held ? region.thicknessMm * Math.exp(through - (region.heldThrough[held] ?? 0)) : region.thicknessMm,
    held: held ? { ...region.held, [held]: given } : region.held,
    heldThrough: held ? { ...region.heldThrough, [held]: through } : region.heldThrough,
  }
}

/** A region in which so many times as much hardening strain was found as was calculated; its work with it, but for what is gone for good. */
export function corrected(alloy: Alloy, region: WalkedRegion, ratio: number, foundStrain: number): WalkedRegion {
  const strain = region.strain > LEAST_STRAIN ? region.strain * ratio : foundStrain
  const used = region.workUsedFraction > 0 ? region.workUsedFraction * (strain / Math.max(region.strain, LEAST_STRAIN)) : 0
  return {
    ...region,
    strain,
    workUsedFraction: Math.max(region.damageFraction, region.strain > LEAST_STRAIN ? used : strain / strainLimit(alloy)),
    hardnessHv: hardnessOf(alloy, { ...region, strain }),
  }
}
/** Less strain than this is none to set another against. */
const LEAST_STRAIN = 1e-3

interface Held {
  readonly tempC: number
  readonly timeS: number
}

/** The region after a heat: softened by its time and temperature, the age gone with what is softened. */
export function heated(
  alloy: Alloy,
  region: WalkedRegion,
  { tempC, timeS }: Held,
): { region: WalkedRegion; softened: number; coarse: boolean } {
  const after = softenByHeat(alloy, { strain: region.strain, grainMm: region.grainMm, tempC, timeS })
  const workUsedFraction = Math.max(region.damageFraction, region.workUsedFraction * (1 - after.softenedFraction))
  const { age, slowHv } = tempC >= alloy.annealLowC - SOLUTION_SLACK_C ? { age: 0, slowHv: 0 } : region
  return {
    region: {
      ...region,
      strain: after.strain,
      workUsedFraction,
      grainMm: after.grainMm,
      age,
      slowHv,
      isDissolved: alloy.ageing !== undefined && tempC >= alloy.ageing.solutionC - SOLUTION_SLACK_C,
      hardnessHv: hardnessOf(alloy, { strain: after.strain, age, slowHv }),
    },
    softened: after.softenedFraction,
    coarse: after.coarse,
  }
}

/** Share of its full hardening by age that a metal has after a time at a heat (precious-metal literature, medium to low). */
export function agedFraction({ tempC, timeS }: Held): number {
  const tauS = AGE_S_AT_300 * Math.exp((AGE_KJ / GAS_CONSTANT_KJ) * (1 / (tempC + KELVIN_AT_ZERO_C) - 1 / AGE_KELVIN))
  return 1 - Math.exp(-timeS / tauS)
}

/** The region after it was aged: half the gain after an ordinary anneal, all of it from the heat of solution. Other metals stay as they are. */
export function aged(alloy: Alloy, region: WalkedRegion, held: Held): WalkedRegion {
  if (!alloy.ageing) return region
  const share = region.isDissolved ? 1 : UNDISSOLVED_SHARE
  const age = Math.max(region.age, alloy.ageing.gainHv * share * agedFraction(held))
  return { ...region, age, hardnessHv: hardnessOf(alloy, { ...region, age }) }
}

/** The region after it cooled slowly: what could harden it has come out of solution, coarse, and leaves less for age. */
export function cooledSlowly(alloy: Alloy, region: WalkedRegion): WalkedRegion {
  const slowHv = alloy.slowCoolGainHv ?? 0
  return slowHv === 0 ? region : { ...region, slowHv, isDissolved: false, hardnessHv: hardnessOf(alloy, { ...region, slowHv }) }
}
