import type { Confidence } from '../../sources/sources'

export const FIT_IDS = ['tight', 'snug', 'free', 'solder-pin', 'engineering'] as const
export type FitId = (typeof FIT_IDS)[number]

export interface Fit {
  readonly title: string
  readonly use: string
  /** Hole minus pin, mm; for the engineering rivet as a share of the pin. */
  readonly least: number
  readonly most: number
  readonly share: boolean
  readonly confidence: Confidence
}

/** How much wider than its pin a hole should be. House and trade presets (low to medium); a smith's own wins. */
export const FITS: Readonly<Record<FitId, Fit>> = {
  tight: {
    title: 'Tight',
    use: 'a post pressed or soldered in; the wire tapered a little',
    least: -0.02,
    most: 0,
    share: false,
    confidence: 'low',
  },
  snug: { title: 'Snug', use: 'a cold rivet, a rigid joint', least: 0, most: 0.05, share: false, confidence: 'medium' },
  free: { title: 'Free', use: 'a pivot, a moving joint, an ear-wire hole', least: 0.1, most: 0.15, share: false, confidence: 'low' },
  'solder-pin': {
    title: 'Pin to solder',
    use: 'a gap that silver solder fills',
    least: 0.03,
    most: 0.08,
    share: false,
    confidence: 'medium',
  },
  engineering: { title: 'Shop rivet', use: 'a larger rivet in a workshop', least: 0.05, most: 0.1, share: true, confidence: 'low' },
}

/** Least and most clearance in mm of a fit for a pin. */
export function clearanceOf(fit: FitId, pinMm: number): { leastMm: number; mostMm: number } {
  const { least, most, share } = FITS[fit]
  return share ? { leastMm: least * pinMm, mostMm: most * pinMm } : { leastMm: least, mostMm: most }
}

/** What a hole of this size is to a pin: the fit whose band the clearance lies in, or how it misses. */
export function fitWords(clearanceMm: number): string {
  if (clearanceMm < -0.02) return 'undersize: it does not go in'
  if (clearanceMm < 0) return 'tight: ream the hole or sand the wire'
  if (clearanceMm <= 0.05) return 'snug'
  if (clearanceMm < 0.1) return 'loose for a rivet'
  return clearanceMm <= 0.15 ? 'free' : 'loose'
}
