import { formatPlain } from '../units/format'

interface Band {
  readonly valueMm: number
  readonly plusMinusMm: number
}

/**
 * What a reading says of its band, in words, with what the instrument itself may be off by: within it whatever that is, at its edge where that
 * decides, or out of it and by how much.
 */
export function bandWords(readMm: number | null, { valueMm, plusMinusMm }: Band, errorMm: number): string {
  if (readMm === null) return 'no reading yet'
  const over = Math.abs(readMm - valueMm) - plusMinusMm
  // a band as narrow as the instrument is told by the reading alone
  const unsureMm = Math.min(errorMm, plusMinusMm / 2)
  if (over > 1e-9) {
    const words = `${formatPlain(over, 2)} mm ${readMm > valueMm ? 'over' : 'under'} the band`
    return over <= unsureMm ? `${words}, which the calipers may be off by` : words
  }
  return over > -unsureMm + 1e-9 ? `in the band, at its edge: calipers tell ± ${formatPlain(errorMm, 2)} mm` : 'in the band'
}
