import { against } from '../forms/beside-original'
import type { Target } from '../forms/contract'
import { formatPlain } from '../units/format'

const figure = (mm: number) => formatPlain(mm, 2)

/** A reading beside what the original measures there, in words: empty where nothing is known of it. */
export function readingBesideOriginal(target: Target, readMm: number | null): string {
  if (!target.original) return ''
  if (readMm === null)
    return `The original has ${figure(target.original.mm)} mm${target.original.stronger ? '; this one is to be larger, for strength' : ''}.`
  const { said } = against({ ...target, valueMm: readMm }, target.original)
  return `${said.charAt(0).toUpperCase()}${said.slice(1)}.`
}

/** How many of some readings are as they are meant beside the original, in words; empty where nothing is known of it or read. */
export function tallyBesideOriginal(target: Target, readingsMm: readonly number[]): string {
  const { original } = target
  if (!original || readingsMm.length === 0) return ''
  const meant = readingsMm.filter((valueMm) => against({ ...target, valueMm }, original).isAsMeant).length
  const as = original.stronger
    ? `larger on purpose than the original’s ${figure(original.mm)} mm`
    : `as the original’s ${figure(original.mm)} mm, within ± ${formatPlain(target.plusMinusMm, 3)} mm`
  if (readingsMm.length === 1) return `${target.label}: the one read is ${meant === 1 ? '' : 'not '}${as}.`
  return `${target.label}: ${meant} of ${readingsMm.length} read ${as}.`
}
