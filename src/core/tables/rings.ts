import type { SourceId } from '../sources/sources'

export const RING_SYSTEMS = ['US', 'UK', 'ISO'] as const
export type RingSystem = (typeof RING_SYSTEMS)[number]

export const RING_SCALES: Readonly<Record<RingSystem, { title: string; lowest: number; highest: number; source: SourceId }>> = {
  US: { title: 'US and Canada', lowest: 0, highest: 16, source: 'us-ring-scale' },
  UK: { title: 'UK, Ireland, Australia', lowest: 0, highest: 32, source: 'bs-6820' },
  ISO: { title: 'ISO (circumference in mm)', lowest: 36, highest: 78, source: 'iso-8653' },
}

/**
 * Inside diameter in mm of a ring size. US is the diameter form; a UK size is its place from A (A 0, C 2, Z 25, Z+1 26,
 * a half letter adds 0.5); an ISO size is the inside circumference. `ringInsideMm('US', 6)` is 16.51.
 */
export function ringInsideMm(system: RingSystem, size: number): number {
  if (system === 'US') return 11.6332 + 0.8128 * size
  return (system === 'UK' ? 40 + 1.25 * (size - 2) : size) / Math.PI
}

/** Ring size of an inside diameter in mm; the exact inverse of `ringInsideMm`. */
export function ringSizeOf(system: RingSystem, insideDiameterMm: number): number {
  if (system === 'US') return (insideDiameterMm - 11.6332) / 0.8128
  const circumferenceMm = Math.PI * insideDiameterMm
  return system === 'UK' ? (circumferenceMm - 40) / 1.25 + 2 : circumferenceMm
}

/** A UK place as written: 13.5 is "N½", 26 is "Z+1". */
export function ukSizeName(place: number): string {
  const whole = Math.floor(place + 1e-9)
  const half = place - whole > 0.25 ? '½' : ''
  return (whole <= 25 ? String.fromCharCode(65 + whole) : `Z+${whole - 25}`) + half
}

/** A ring size as a smith writes it, to the nearest quarter (US), half letter (UK) or whole millimetre (ISO). */
export function ringSizeName(system: RingSystem, size: number): string {
  if (system === 'UK') return size < 0 ? 'below A' : ukSizeName(Math.round(size * 2) / 2)
  if (system === 'ISO') return String(Math.round(size))
  const quarters = Math.round(size * 4)
  const whole = Math.floor(quarters / 4)
  const part = ['', '¼', '½', '¾'][quarters - whole * 4] ?? ''
  return part && whole === 0 ? part : `${whole}${part}`
}
