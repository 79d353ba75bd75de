import type { Confidence, SourceId } from '../../sources/sources'

/** One US size, mm of inside diameter (0.032 in). */
export const MM_PER_US_SIZE = 0.8128

export const RING_SYSTEMS = ['US', 'UK', 'ISO', 'JP', 'CH'] as const
export type RingSystem = (typeof RING_SYSTEMS)[number]

interface RingScale {
  readonly title: string
  readonly lowest: number
  readonly highest: number
  /** Distance between sizes as they are sold. */
  readonly step: number
  readonly source: SourceId
  readonly confidence: Confidence
}

export const RING_SCALES: Readonly<Record<RingSystem, RingScale>> = {
  US: { title: 'US and Canada', lowest: 0, highest: 16, step: 0.25, source: 'us-ring-scale', confidence: 'high' },
  UK: { title: 'UK, Ireland, Australia', lowest: 0, highest: 32.5, step: 0.5, source: 'bs-6820', confidence: 'high' },
  ISO: { title: 'ISO (circumference in mm)', lowest: 36, highest: 78, step: 1, source: 'iso-8653', confidence: 'high' },
  JP: { title: 'Japan (trade numbers)', lowest: 1, highest: 36, step: 1, source: 'japan-ring', confidence: 'medium' },
  CH: { title: 'Swiss, Italian, Spanish, Dutch', lowest: 1, highest: 38, step: 1, source: 'continental-ring', confidence: 'medium' },
}

/**
 * Inside diameter in mm of a ring size. US is the diameter form; a UK size is its place from A (A 0, C 2, Z 25, Z+1 26,
 * a half letter adds 0.5); an ISO size is the inside circumference; JP is (n + 38)/3; CH is circumference less 40.
 * `ringInsideMm('US', 6)` is 16.51.
 */
export function ringInsideMm(system: RingSystem, size: number): number {
  if (system === 'US') return 11.6332 + MM_PER_US_SIZE * size
  if (system === 'JP') return (size + 38) / 3
  return circumferenceOf(system, size) / Math.PI
}

function circumferenceOf(system: 'UK' | 'ISO' | 'CH', size: number): number {
  if (system === 'UK') return 40 + 1.25 * (size - 2)
  return system === 'CH' ? size + 40 : size
}

/** Ring size of an inside diameter in mm; the exact inverse of `ringInsideMm`. */
export function ringSizeOf(system: RingSystem, insideDiameterMm: number): number {
  if (system === 'US') return (insideDiameterMm - 11.6332) / MM_PER_US_SIZE
  if (system === 'JP') return 3 * insideDiameterMm - 38
  const circumferenceMm = Math.PI * insideDiameterMm
  if (system === 'UK') return (circumferenceMm - 40) / 1.25 + 2
  return system === 'CH' ? circumferenceMm - 40 : circumferenceMm
}

/** Inside diameter in mm of a US size by the circumference convention, C = 36.5 + 2.55·s: up to 0.04 of a size smaller. */
export function usCircumferenceInsideMm(size: number): number {
  return (36.5 + 2.55 * size) / Math.PI
}

/** A UK place as written: 13.5 is "N½", 26 is "Z+1". */
export function ukSizeName(place: number): string {
  const whole = Math.floor(place + 1e-9)
  const half = place - whole > 0.25 ? '½' : ''
  return (whole <= 25 ? String.fromCharCode(65 + whole) : `Z+${whole - 25}`) + half
}

/** A ring size as a smith writes it, to the nearest size that is sold: quarter (US), half letter (UK), whole number otherwise. */
export function ringSizeName(system: RingSystem, size: number): string {
  if (system === 'UK') return size < -0.25 ? 'below A' : ukSizeName(Math.max(0, Math.round(size * 2) / 2))
  if (system !== 'US') return String(Math.round(size))
  const quarters = Math.round(size * 4)
  const whole = Math.floor(quarters / 4)
  const part = ['', '¼', '½', '¾'][quarters - whole * 4] ?? ''
  return part && whole === 0 ? part : `${whole}${part}`
}

/** A ring size by its inside, to the nearest that is sold; where it lies between two, both: "X½ or Y". */
export function ringSizeWords(system: RingSystem, insideDiameterMm: number): string {
  const near = ringNeighbours(system, insideDiameterMm)
  if (!near) return ringSizeName(system, ringSizeOf(system, insideDiameterMm))
  return near.tie ? `${near.tie[0]} or ${near.tie[1]}` : near.nearest
}

/** Circumference in mm within which a size counts as lying on the boundary between two sizes of another scale. */
const NEAR_TIE_MM = 0.08

export interface RingNeighbours {
  readonly nearest: string
  /** Both sizes where the boundary between them is nearer than 0.08 mm round the inside: measure, or try both. */
  readonly tie: readonly [string, string] | null
  /** Nearest size less the given one, mm of inside diameter. */
  readonly differenceMm: number
}

/** The sizes of a scale next to an inside diameter. US 12 lies between UK X½ and Y and names both; off the scale is undefined. */
export function ringNeighbours(system: RingSystem, insideDiameterMm: number, step = RING_SCALES[system].step): RingNeighbours | undefined {
  const size = ringSizeOf(system, insideDiameterMm)
  const { lowest, highest } = RING_SCALES[system]
  if (size < lowest - step / 2 || size > highest + step / 2) return undefined
  const nearest = Math.round(size / step) * step
  const other = nearest + (size >= nearest ? step : -step)
  const boundaryMm = ringInsideMm(system, (nearest + other) / 2)
  const isTie = Math.PI * Math.abs(insideDiameterMm - boundaryMm) < NEAR_TIE_MM
  const [low, high] = [Math.min(nearest, other), Math.max(nearest, other)]
  return {
    nearest: ringSizeName(system, nearest),
    tie: isTie ? [ringSizeName(system, low), ringSizeName(system, high)] : null,
    differenceMm: ringInsideMm(system, nearest) - insideDiameterMm,
  }
}
