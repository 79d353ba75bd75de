import type { Alloy } from '../../metals/alloys'
import { TENTH } from '../../numerics/normal'
import { drawNormal, seededRandom } from '../../numerics/random'
import { LIMIT_SPREAD } from '../work-used'
import { type DapInput, type DapStageResult, dap } from './dap'
import { thinnedByHand } from './domed-metal'

/** A figure as one run gives it, and between which values eight of ten fall. */
export interface Band {
  readonly value: number
  readonly p10: number
  readonly p90: number
}

/** How far the figures of a stage may be off. */
export interface StageBands {
  readonly poleThicknessMm: Band
  readonly middleThicknessMm: Band
  readonly rimThicknessMm: Band
  readonly rimDiameterMm: Band
  readonly heightMm: Band
  /** Of the place that has used most. */
  readonly workUsedFraction: Band
}

/** What a run may be off by: the sheet as it truly measures, how fast it hardens, its drag on the punch, the hand, the metal's limit. */
interface Factors {
  readonly thicknessMm: number
  readonly hardening: number
  readonly friction: number
  readonly technique: number
  readonly limit: number
}

const SAMPLES = 200
/** What the sheet itself may measure off, mm (standard deviation). */
export const SHEET_SPREAD_MM = 0.02
const HARDENING_SPREAD = 0.08
const FRICTION_SPREAD = 0.1
/** The hand thins the crown by 0.4 to 1.8 of the model (low); one's own hand, once it is known, is not the same every time either. */
const [LEAST_TECHNIQUE, MOST_TECHNIQUE] = [0.4, 1.8]
const OWN_HAND_SPREAD = 0.15

/** ± on the thinning of the crown as a share of it, from 10 to 90 % of what the hand may do. */
export function handSpread({ learned }: Alloy): number {
  if (learned?.crownThinning !== undefined) return TENTH * Math.hypot(learned.crownThinning, OWN_HAND_SPREAD)
  const at = (share: number) => LEAST_TECHNIQUE * (MOST_TECHNIQUE / LEAST_TECHNIQUE) ** share
  return (at(0.9) - at(0.1)) / 2
}

function drawTechnique({ alloy: { learned } }: DapInput, random: () => number): number {
  if (learned?.crownThinning === undefined) return LEAST_TECHNIQUE * (MOST_TECHNIQUE / LEAST_TECHNIQUE) ** random()
  return Math.exp(Math.hypot(learned.crownThinning, OWN_HAND_SPREAD) * drawNormal(random))
}

function drawFactors(input: DapInput, random: () => number): Factors {
  const { thicknessMm, friction = 0 } = input
  return {
    thicknessMm: Math.max(thicknessMm / 2, thicknessMm + SHEET_SPREAD_MM * drawNormal(random)),
    hardening: Math.exp(HARDENING_SPREAD * drawNormal(random)),
    friction: Math.abs(friction + FRICTION_SPREAD * drawNormal(random)),
    technique: drawTechnique(input, random),
    limit: Math.exp(LIMIT_SPREAD * drawNormal(random)),
  }
}

/** The figures of a stage that its factors move, before the hand and the limit: strains through the thickness, sizes, work used. */
type Figures = readonly [pole: number, middle: number, rim: number, rimDiameterMm: number, heightMm: number, used: number]

function figuresOf({ pole, middle, rim, rimDiameterMm, heightMm }: DapStageResult): Figures {
  const used = Math.max(...[pole, middle, rim].map((spot) => spot.workUsedFraction))
  return [pole.thicknessStrain, middle.thicknessStrain, rim.thicknessStrain, rimDiameterMm, heightMm, used]
}

/** A run with its factors, stage by stage. */
type Run = (factors: Factors) => readonly Figures[]

/** Every draw simulated anew: what the local model is checked against. */
export function fullRun(input: DapInput): Run {
  const { flow } = input.alloy
  return ({ thicknessMm, hardening, friction }) => {
    const alloy = { ...input.alloy, flow: { ...flow, qMPa: hardening * flow.qMPa, hMPa: hardening * flow.hMPa } }
    return dap({ ...input, alloy, thicknessMm, friction }).map(figuresOf)
  }
}

/** A step of each factor to take the slope by. */
const STEPS = { thicknessMm: SHEET_SPREAD_MM, hardening: HARDENING_SPREAD, friction: FRICTION_SPREAD } as const

/** The run as a plane through its own figures, with the slope of each factor from one run more: as good near it, and as quick as four runs. */
export function localRun(input: DapInput): Run {
  const full = fullRun(input)
  const here: Factors = { thicknessMm: input.thicknessMm, hardening: 1, friction: input.friction ?? 0, technique: 1, limit: 1 }
  const base = full(here)
  const slopes = (['thicknessMm', 'hardening', 'friction'] as const).map((factor) => {
    const moved = full({ ...here, [factor]: here[factor] + STEPS[factor] })
    return { factor, by: base.map((figures, i) => figures.map((value, k) => ((moved[i]?.[k] ?? value) - value) / STEPS[factor])) }
  })
  return (factors) =>
    base.map((figures, i) => {
      const off = (k: number) => slopes.reduce((sum, { factor, by }) => sum + (by[i]?.[k] ?? 0) * (factors[factor] - here[factor]), 0)
      return figures.map((value, k) => value + off(k)) as unknown as Figures
    })
}

/** A draw as it is measured: thicknesses in mm, and the work against the limit the metal truly has. */
function measured(figures: Figures, { thicknessMm, technique, limit }: Factors, { alloy }: DapInput): readonly number[] {
  const [pole, middle, rim, ...sizes] = figures
  // what the figures hold is thinned by this smith's own factor already
  const thick = (strain: number) => thicknessMm * Math.exp(thinnedByHand(strain, { ...alloy, crownThinning: technique }))
  const [rimDiameterMm, heightMm, used] = sizes
  return [thick(pole), thick(middle), thick(rim), rimDiameterMm, heightMm, used / limit]
}

/**
 * Bands of 10 and 90 % of each stage's figures: its factors drawn 200 times from a seed (sheet ± 0.02 mm, hardening 8 %, drag ± 0.1, the hand
 * from 0.4 to 1.8 on the crown, the metal's limit 30 %), through a local model of the run.
 */
export function dapBands(input: DapInput, run: Run = localRun(input), seed = 1): StageBands[] {
  const random = seededRandom(seed)
  const draws = Array.from({ length: SAMPLES }, () => drawFactors(input, random))
  const runs = draws.map((factors) => run(factors).map((figures) => measured(figures, factors, input)))
  return dap(input).map((stage, i): StageBands => {
    const bandOf = (k: number, value: number): Band => {
      const sorted = runs.map((stages) => stages[i]?.[k] ?? value).sort((a, b) => a - b)
      return { value, p10: sorted[SAMPLES / 10] ?? value, p90: sorted[(9 * SAMPLES) / 10] ?? value }
    }
    return {
      poleThicknessMm: bandOf(0, stage.pole.thicknessMm),
      middleThicknessMm: bandOf(1, stage.middle.thicknessMm),
      rimThicknessMm: bandOf(2, stage.rim.thicknessMm),
      rimDiameterMm: bandOf(3, stage.rimDiameterMm),
      heightMm: bandOf(4, stage.heightMm),
      workUsedFraction: bandOf(5, figuresOf(stage)[5]),
    }
  })
}
