import type { Alloy } from '../metals/alloys'
import { bisect } from '../numerics/bisect'
import { hardeningOf } from './hardening'
import { COMPRESSION_WEIGHT, strainLimit } from './work-used'

/** A band whose edges are curled outwards: its ring and its curl are those of the middle of the metal. */
export interface CurledBand {
  readonly ringRadiusMm: number
  readonly widthMm: number
  readonly thicknessMm: number
  /** How far its edges have turned towards each other; a full turn closes it to a tube. */
  readonly turnRad: number
}

/** Ways its waist may settle: its mean length kept (constant area), the least plastic work, all of it stretched, all of it shrunk. */
export type Settling = 'mean-kept' | 'least-work' | 'edges-stretched' | 'waist-shrunk'

/** One fibre round the band: how far across from the waist it lies, and what its length has been strained by. */
export interface CurledFibre {
  readonly acrossMm: number
  readonly riseMm: number
  readonly hoopStrain: number
  /** With the bend across it, at the surface. */
  readonly strain: number
}

export interface CurledAnswer {
  readonly curlRadiusMm: number
  /** How far the edges rise over the waist, and the mean of all fibres. */
  readonly edgeRiseMm: number
  readonly meanRiseMm: number
  /** What the waist has moved inwards on the radius. */
  readonly waistInMm: number
  readonly projectedWidthMm: number
  readonly waist: CurledFibre
  readonly quarter: CurledFibre
  readonly edge: CurledFibre
}

const FIBRES = 64
/** Sawn edges in tension crack sooner (estimate, low). */
export const EDGE_WEIGHT = 1.2

const radiusOf = ({ widthMm, turnRad }: CurledBand) => widthMm / Math.max(turnRad, 1e-9)
const riseAt = (acrossMm: number, curlMm: number) => curlMm * (1 - Math.cos(acrossMm / curlMm))

/** Where the fibres of half the band lie, each standing for as much of it. */
function fibres({ widthMm }: CurledBand): readonly number[] {
  return Array.from({ length: FIBRES }, (_, i) => ((i + 0.5) / FIBRES) * (widthMm / 2))
}

/** The waist's way in at which the plastic work of all fibres is least: where pulling and pressing balance. */
function leastWorkInMm(alloy: Alloy, band: CurledBand): number {
  const { stressMPa } = hardeningOf(alloy)
  const curl = radiusOf(band)
  const rises = fibres(band).map((across) => riseAt(across, curl))
  const pull = (inMm: number) =>
    rises.reduce((sum, rise) => {
      const radius = band.ringRadiusMm - inMm + rise
      const strain = Math.log(radius / band.ringRadiusMm)
      return sum - (Math.sign(strain) * stressMPa(Math.abs(strain))) / radius
    }, 0)
  const most = Math.min(riseAt(band.widthMm / 2, curl), 0.9 * band.ringRadiusMm)
  return most < 1e-9 ? 0 : bisect(pull, 0, most, 1e-9).x
}

function waistIn(alloy: Alloy, band: CurledBand, settling: Settling, edgeMm: number, meanMm: number): number {
  if (settling === 'mean-kept') return meanMm
  if (settling === 'least-work') return leastWorkInMm(alloy, band)
  return settling === 'waist-shrunk' ? edgeMm : 0
}

/**
 * A band curled across (anticlastic): where its waist settles, and what its fibres are strained by (source: closed-form; how stretch and shrink
 * share it is the hand’s, low). 25 mm wide on a curl of 15: edges 4.91 over the waist, the mean 1.68, so the waist goes in by that at constant area.
 */
export function curledBand(alloy: Alloy, band: CurledBand, settling: Settling = 'mean-kept'): CurledAnswer {
  const { ringRadiusMm, widthMm, thicknessMm, turnRad } = band
  const curl = radiusOf(band)
  const half = turnRad / 2
  const edgeRiseMm = riseAt(widthMm / 2, curl)
  const meanRiseMm = curl * (1 - Math.sin(half) / half)
  const waistInMm = waistIn(alloy, band, settling, edgeRiseMm, meanRiseMm)
  const bent = thicknessMm / (2 * curl)
  const fibre = (acrossMm: number): CurledFibre => {
    const riseMm = riseAt(acrossMm, curl)
    const hoopStrain = Math.log(Math.max(1e-6, ringRadiusMm - waistInMm + riseMm) / ringRadiusMm)
    return { acrossMm, riseMm, hoopStrain, strain: Math.abs(hoopStrain) + bent }
  }
  return {
    curlRadiusMm: curl,
    edgeRiseMm,
    meanRiseMm,
    waistInMm,
    projectedWidthMm: half >= Math.PI / 2 ? 2 * curl : 2 * curl * Math.sin(half),
    waist: fibre(0),
    quarter: fibre(widthMm / 4),
    edge: fibre(widthMm / 2),
  }
}

/** How a fibre counts against the limit: pressed together it folds before it cracks, a sawn edge that is stretched cracks sooner. */
export function curlWeight({ hoopStrain }: CurledFibre, place: 'waist' | 'quarter' | 'edge'): number {
  if (hoopStrain < 0) return COMPRESSION_WEIGHT
  return place === 'edge' ? EDGE_WEIGHT : 1
}

/** Share of the limit that a fibre of annealed metal has used. */
export const curlUsed = (alloy: Alloy, fibre: CurledFibre, place: 'waist' | 'quarter' | 'edge') =>
  (curlWeight(fibre, place) * fibre.strain) / strainLimit(alloy)
