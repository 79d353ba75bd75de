import { mmToInch } from './convert'
import type { Unit } from './unit'

/** Digits after the point that a smith reads in each unit; anything else shows two. */
const DECIMALS: Partial<Record<Unit, number>> = {
  mm: 2,
  mm2: 1,
  g: 2,
  '°C': 0,
  s: 0,
  min: 0,
  HV: 0,
  count: 0,
  '%': 0,
  in: 4,
  strain: 3,
  ratio: 2,
  MPa: 0,
}

/** Rounds to a fixed number of digits without the floating-point tail: `roundTo(1.005, 2)` is 1.01. */
export function roundTo(value: number, decimals: number): number {
  const factor = 10 ** decimals
  return Math.round((value + Math.sign(value) * Number.EPSILON) * factor + Math.sign(value) * 1e-9) / factor
}

/** A number with its unit as a smith reads it: `formatValue(56.991, 'mm')` is "56.99 mm". */
export function formatValue(value: number, unit: Unit): string {
  const text = roundTo(value, DECIMALS[unit] ?? 2).toFixed(DECIMALS[unit] ?? 2)
  return `${text}${unitSign(unit)}`
}

/** The sign of a unit as it stands behind a number, with the space before it; nothing behind a count, a ratio or a strain. */
export function unitSign(unit: Unit): string {
  if (unit === 'count' || unit === 'ratio' || unit === 'strain') return ''
  return unit === '%' || unit === '°' ? unit : ` ${unit.replace('m2', 'm²').replace('m3', 'm³')}`
}

/** A number for a formula line: at most `digits` decimals, no trailing zeros. */
export function formatPlain(value: number, digits = 4): string {
  return String(roundTo(value, digits))
}

/** A sum of money with its two places, in the workshop's currency: "0.10 EUR"; next to nothing is "under 0.01 EUR". */
export function formatMoney(amount: number, currency: string): string {
  return `${amount > 0 && amount < 0.005 ? 'under 0.01' : amount.toFixed(2)} ${currency}`
}

/** Millimetres with inches behind: "0.644 mm, 0.0254 in". */
export function formatBoth(lengthMm: number): string {
  return `${formatPlain(lengthMm, 3)} mm, ${mmToInch(lengthMm).toFixed(4)} in`
}

/** A difference with its sign and unit, to the hundredth: `+ 0.26 mm`. */
export const formatDifference = (mm: number): string => `${mm < 0 ? '−' : '+'} ${Math.abs(mm).toFixed(2)} mm`

/** A text with its first letter large: "copper: yes" is "Copper: yes". */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
