import type { Confidence } from '../../sources/sources'

export interface RivetSchool {
  readonly id: 'one-sheet' | 'one-millimetre' | 'half-diameter' | 'diameter-and-half' | 'tube'
  readonly title: string
  readonly rule: string
  readonly use: string
  readonly confidence: Confidence
}

/** How much wire stands out for each head. Trade schools; the smith picks one, and it is named beside the number. */
export const RIVET_SCHOOLS: readonly RivetSchool[] = [
  {
    id: 'one-sheet',
    title: 'One sheet',
    rule: 'thickness of the outer sheet, at most 1.0 mm',
    use: 'scales down for thin sheet',
    confidence: 'medium',
  },
  {
    id: 'one-millimetre',
    title: 'One millimetre',
    rule: '1.0 mm',
    use: 'wire of 1.3 to 1.6 mm; clumsy in small wire',
    confidence: 'medium',
  },
  { id: 'half-diameter', title: 'Half the wire', rule: '0.5·d', use: 'a low flat head', confidence: 'medium' },
  {
    id: 'diameter-and-half',
    title: 'One and a half wires',
    rule: '1.5·d',
    use: 'a full round head, after the hole is filled',
    confidence: 'high',
  },
  { id: 'tube', title: 'Tube', rule: 'half the tube’s width, at most 1.0 mm, each side', use: 'flared, not upset', confidence: 'medium' },
]

/** Wire that stands out for one head, mm, by a school. */
export function headStickOutMm(school: RivetSchool['id'], wireMm: number, outerSheetMm: number): number {
  if (school === 'one-sheet') return Math.min(outerSheetMm, 1)
  if (school === 'one-millimetre') return 1
  if (school === 'half-diameter') return 0.5 * wireMm
  return school === 'diameter-and-half' ? 1.5 * wireMm : Math.min(0.5 * wireMm, 1)
}

/** Wire that the hole's clearance swallows before a head forms: G·((D/d)² − 1), mm. Grip 2, wire 1.6 in 1.7: 0.258. */
export function holeFillMm(gripMm: number, wireMm: number, holeMm: number): number {
  return gripMm * ((holeMm / wireMm) ** 2 - 1)
}

/** Least distance from a hole's centre to the sheet's edge: k·d, or a web of 1 mm outside the rim, whichever is more, mm. */
export function edgeDistanceMm(holeMm: number, factor = 2): number {
  return Math.max(factor * holeMm, holeMm / 2 + 1)
}
