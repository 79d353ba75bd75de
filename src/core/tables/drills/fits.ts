import { figureOf, type OwnFigures } from '../figures'
import type { FitId } from './fit-ids'

interface Fit {
  readonly title: string
  readonly use: string
  /** Its clearances are shares of the pin instead of millimetres. */
  readonly share: boolean
}

/** How a hole is meant to hold its pin; how much wider it is then stands among the figures one may change. */
export const FITS: Readonly<Record<FitId, Fit>> = {
  tight: { title: 'Tight', use: 'a post pressed or soldered in; the wire tapered a little', share: false },
  snug: { title: 'Snug', use: 'a cold rivet, a rigid joint', share: false },
  free: { title: 'Free', use: 'a pivot, a moving joint, an ear-wire hole', share: false },
  'solder-pin': { title: 'Pin to solder', use: 'a gap that silver solder fills', share: false },
  engineering: { title: 'Shop rivet', use: 'a larger rivet in a workshop', share: true },
}

/** Least and most clearance in mm of a fit for a pin. Snug is 0 to 0.05 unless one's own figures say otherwise. */
export function clearanceOf(fit: FitId, pinMm: number, own: OwnFigures): { leastMm: number; mostMm: number } {
  const [least, most] = [figureOf(`fit-${fit}-least`, own), figureOf(`fit-${fit}-most`, own)]
  return FITS[fit].share ? { leastMm: least * pinMm, mostMm: most * pinMm } : { leastMm: least, mostMm: most }
}

/** What a hole of this size is to a pin: the fit whose band the clearance lies in, or how it misses. */
export function fitWords(clearanceMm: number): string {
  if (clearanceMm < -0.02) return 'undersize: it does not go in'
  if (clearanceMm < 0) return 'tight: ream the hole or sand the wire'
  if (clearanceMm <= 0.05) return 'snug'
  if (clearanceMm < 0.1) return 'loose for a rivet'
  return clearanceMm <= 0.15 ? 'free' : 'loose'
}
