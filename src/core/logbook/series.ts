import { formatPlain } from '../units/format'

interface Aim {
  readonly valueMm: number
  readonly plusMinusMm: number
}

/** Changes smaller than a caliper’s last figure are none, mm. */
const LEAST_MM = 0.01

/**
 * What a series of readings of one piece at one step says: how much is still to come off or on, and how many more goes that takes at the rate of the last
 * ones. Nothing with a single reading or within the tolerance.
 */
export function seriesWords(readingsMm: readonly number[], { valueMm, plusMinusMm }: Aim): string {
  const last = readingsMm.at(-1)
  if (readingsMm.length < 2 || last === undefined) return ''
  const left = last - valueMm
  const path = readingsMm
    .map((mm) => formatPlain(mm, 2))
    .join(', ')
    .concat(' mm')
  if (Math.abs(left) <= plusMinusMm) return `${path}: it is there.`
  const changes = readingsMm.slice(1).map((mm, i) => mm - (readingsMm[i] ?? mm))
  const recent = changes.slice(-3)
  const rate = recent.reduce((sum, change) => sum + change, 0) / recent.length
  const still = `${formatPlain(Math.abs(left), 2)} mm still to ${left > 0 ? 'come off' : 'gain'}`
  if (Math.abs(rate) < LEAST_MM) return `${path}: ${still}; the last goes changed nothing.`
  if (Math.sign(rate) === Math.sign(left)) return `${path}: ${still}, and it is going the other way.`
  const goes = Math.max(1, Math.ceil((Math.abs(left) - plusMinusMm) / Math.abs(rate)))
  return `${path}: ${still}, about ${goes} more ${goes === 1 ? 'go' : 'goes'} like the last.`
}
