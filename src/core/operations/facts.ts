import { formatPlain } from '../units/format'

/** Sizes as a bench card lists them, mm; those that are not known are left out. */
export function facts(sizes: readonly (readonly [label: string, mm: number | undefined])[]): { label: string; value: string }[] {
  return sizes.flatMap(([label, mm]) => (mm === undefined ? [] : [{ label, value: `${formatPlain(mm, 2)} mm` }]))
}
