import type { Alloy } from '../../metals/alloys'
import { recommendedAnnealS, STOCK_GRAIN_MM, softenByHeat } from '../anneal'
import { THICKNESSES_PER_STEP } from '../cup-sequence'
import { hardeningOf } from '../hardening'
import { COMPRESSION_WEIGHT, crackProbability, type Light, lightOf, strainLimit } from '../work-used'
import { dapStep } from './dap-step'
import { MOST_WRAP, thinnedByHand } from './domed-metal'
import { atPole, atRim, type DappedSheet, flatSheet, type Ring, thicknessStrain } from './sheet'

/** A disc dapped through punches, one after another. */
export interface DapInput {
  readonly alloy: Alloy
  readonly discMm: number
  readonly thicknessMm: number
  /** Hardening strain as it is bought. */
  readonly strain: number
  readonly stages: readonly { readonly punchMm: number; readonly annealBefore: boolean }[]
  /** 0 where it slips freely on the punch, 0.1 to 0.3 dry, about 1 when it is coined into the cup. */
  readonly friction?: number
  readonly rings?: number
}

export interface ProfilePoint {
  readonly rMm: number
  readonly zMm: number
  readonly thicknessMm: number
  readonly strain: number
  readonly workUsedFraction: number
}

/** What one place of a dome has come to. */
export interface DomeSpot {
  readonly thicknessMm: number
  readonly thicknessStrain: number
  /** Hardening strain of the middle of the metal, and of its surface, which is bent as well. */
  readonly strain: number
  readonly surfaceStrain: number
  /** Of its surface. */
  readonly workUsedFraction: number
  readonly crackProbability: number
  readonly light: Light
}

/** How near the rim is to folding: 1 is five thicknesses off its diameter with one punch. */
export interface WrinkleRisk {
  readonly index: number
  readonly light: Light
}

export interface DapStageResult {
  readonly punchMm: number
  readonly annealed: boolean
  /** Of the middle of the metal: the sphere, the rim on it, the height of the pole over the rim. */
  readonly sphereRadiusMm: number
  readonly rimAngleRad: number
  readonly rimDiameterMm: number
  readonly heightMm: number
  readonly pole: DomeSpot
  readonly middle: DomeSpot
  readonly rim: DomeSpot
  readonly wrinkle: WrinkleRisk
  /** Volume of the metal over that of the flat disc. */
  readonly volumeRatio: number
  readonly profile: readonly ProfilePoint[]
}

/** Shares of what the rim may close by with one punch from which it is amber, and past which red (source: bench-practice, low). */
const [AMBER_INDEX, RED_INDEX] = [0.8, 1.3]
const USUAL_RINGS = 40

/** A sheet with the hardening strain of each ring's surface, and the work that has used there. */
interface Worked {
  readonly sheet: DappedSheet
  readonly surface: readonly number[]
  readonly used: readonly number[]
}

function wrinkleRisk(closesMm: number, thicknessMm: number): WrinkleRisk {
  const index = Math.max(0, closesMm) / (THICKNESSES_PER_STEP * thicknessMm)
  return { index, light: index < AMBER_INDEX ? 'green' : index <= RED_INDEX ? 'amber' : 'red' }
}

/** The sheet after its anneal, ring by ring: what has been worked less softens less. */
function annealed(alloy: Alloy, { sheet, surface, used }: Worked): Worked {
  const tempC = alloy.torchTargetC
  const timeS = recommendedAnnealS(alloy, tempC)
  const soften = (strain: number) => softenByHeat(alloy, { strain, tempC, timeS, grainMm: STOCK_GRAIN_MM })
  const skin = surface.map(soften)
  return {
    sheet: { ...sheet, rings: sheet.rings.map((ring) => ({ ...ring, strain: soften(ring.strain).strain })) },
    surface: skin.map(({ strain }) => strain),
    used: used.map((share, i) => share * (1 - (skin[i]?.softenedFraction ?? 0))),
  }
}

/** The sheet on its next punch: its middle strained as the work is least, its surface bent by t/R as well, by the same both ways. */
function formed({ alloy, thicknessMm, friction = 0 }: DapInput, { sheet, surface, used }: Worked, sphereRadiusMm: number): Worked {
  const after = dapStep(sheet, { sphereRadiusMm, hardening: hardeningOf(alloy), friction })
  const limit = strainLimit(alloy)
  const bent = thicknessMm * Math.abs(1 / sphereRadiusMm - 1 / (sheet.sphereRadiusMm ?? Number.POSITIVE_INFINITY))
  const added = after.rings.map((ring, i) => ring.strain - (sheet.rings[i] ?? ring).strain + bent)
  const weights = after.rings.map((ring, i) => (ring.roundStrain < (sheet.rings[i] ?? ring).roundStrain ? COMPRESSION_WEIGHT : 1))
  return {
    sheet: after,
    surface: surface.map((strain, i) => strain + (added[i] ?? 0)),
    used: used.map((share, i) => share + ((weights[i] ?? 1) * (added[i] ?? 0)) / limit),
  }
}

/** A place of the sheet: what it takes of the values of all rings. */
type Place = (values: readonly number[]) => number

function spotAt({ alloy, thicknessMm }: DapInput, { sheet, surface, used }: Worked, place: Place): DomeSpot {
  const thinned = thinnedByHand(place(sheet.rings.map(thicknessStrain)), alloy)
  const workUsedFraction = Math.max(0, place(used))
  return {
    thicknessMm: thicknessMm * Math.exp(thinned),
    thicknessStrain: thinned,
    strain: Math.max(0, place(sheet.rings.map(({ strain }) => strain))),
    surfaceStrain: Math.max(0, place(surface)),
    workUsedFraction,
    crackProbability: crackProbability(workUsedFraction),
    light: lightOf(workUsedFraction),
  }
}

function resultOf(input: DapInput, stage: DapInput['stages'][number], worked: Worked, rimBeforeMm: number): DapStageResult {
  const { rings, anglesRad = [], sphereRadiusMm = 1 } = worked.sheet
  const half = Math.floor(rings.length / 2)
  const rimAngleRad = anglesRad.at(-1) ?? 0
  const rimDiameterMm = 2 * sphereRadiusMm * Math.sin(rimAngleRad)
  const floor = sphereRadiusMm * Math.cos(rimAngleRad)
  return {
    punchMm: stage.punchMm,
    annealed: stage.annealBefore,
    sphereRadiusMm,
    rimAngleRad,
    rimDiameterMm,
    heightMm: sphereRadiusMm - floor,
    pole: spotAt(input, worked, atPole),
    middle: spotAt(input, worked, (values) => values[half] ?? 0),
    rim: spotAt(input, worked, atRim),
    wrinkle: wrinkleRisk(rimBeforeMm - rimDiameterMm, input.thicknessMm),
    volumeRatio: volumeRatio(rings),
    profile: rings.map((ring, i) => {
      const angle = ((anglesRad[i] ?? 0) + (anglesRad[i + 1] ?? 0)) / 2
      return {
        rMm: sphereRadiusMm * Math.sin(angle),
        zMm: sphereRadiusMm * Math.cos(angle) - floor,
        thicknessMm: input.thicknessMm * Math.exp(thinnedByHand(thicknessStrain(ring), input.alloy)),
        strain: ring.strain,
        workUsedFraction: worked.used[i] ?? 0,
      }
    }),
  }
}

/** Volume from where the rings now are and how thick they now are, over that of the flat disc. */
function volumeRatio(rings: readonly Ring[]): number {
  const now = rings.reduce((sum, ring) => sum + 2 * Math.PI * ring.radiusMm * ring.lengthMm * Math.exp(thicknessStrain(ring)), 0)
  return now / rings.reduce((sum, ring) => sum + ring.flatAreaMm2, 0)
}

/** Radius of the middle of the metal on a punch, mm. */
export const sphereOnPunchMm = (punchMm: number, thicknessMm: number) => (punchMm + thicknessMm) / 2

/** The smallest punch a disc can lie on: it wraps half way round at the most, and its trim over. */
export const smallestPunchMm = (discMm: number, thicknessMm: number) => discMm / MOST_WRAP - thicknessMm

/** Whether a disc of this size can lie on a punch at all. */
export const fitsPunch = (discMm: number, punchMm: number, thicknessMm: number) => punchMm >= smallestPunchMm(discMm, thicknessMm) - 1e-9

/**
 * A disc dapped through punches, stage by stage: profile, thickness, strain, the work each place has used, and how near the rim is to folding
 * (rigid–plastic, rim free to draw in; source: dap-fit, thinning of the pole low: technique moves it by a factor 0.4 to 1.8).
 */
export function dap(input: DapInput): DapStageResult[] {
  const { alloy, discMm, thicknessMm, strain, stages, rings = USUAL_RINGS } = input
  const ofEach = (value: number) => Array.from({ length: rings }, () => value)
  let worked: Worked = { sheet: flatSheet(discMm / 2, rings, strain), surface: ofEach(strain), used: ofEach(strain / strainLimit(alloy)) }
  let rimMm = discMm
  return stages.map((stage) => {
    if (stage.annealBefore) worked = annealed(alloy, worked)
    worked = formed(input, worked, sphereOnPunchMm(stage.punchMm, thicknessMm))
    const result = resultOf(input, stage, worked, rimMm)
    rimMm = result.rimDiameterMm
    return result
  })
}
