import type { FormResult, Target } from '../forms/contract'
import { type GrowthSums, NO_GROWTH, type OwnAllowance, ownAllowance, type Shape } from './allowance'

/** What a piece is like to the record: as thick as its blank, as large as the largest of its measurements and as deep as the smallest. */
export function shapeOf(thicknessMm: number, outcomes: readonly Pick<Target, 'valueMm'>[]): Shape {
  const sizes = outcomes.map((outcome) => outcome.valueMm).filter((value) => value > 0)
  if (sizes.length === 0) return { thicknessMm }
  return { thicknessMm, sizeMm: Math.max(...sizes), depthMm: sizes.length > 1 ? Math.min(...sizes) : 0 }
}

/**
 * What a smith’s record says to allow on the blank of a result: the sums of its form and metal by method, for a piece of its shape, in
 * millimetres of the result’s own answer. The one way from a record to an allowance.
 */
export function ownAllowanceOf(
  result: Pick<FormResult, 'method' | 'blanks' | 'outcomes'>,
  methods: Readonly<Record<string, GrowthSums>>,
): OwnAllowance {
  const sums = Object.hasOwn(methods, result.method) ? methods[result.method] : undefined
  const primary = result.outcomes.find((outcome) => outcome.primary)
  const shape = shapeOf(result.blanks[0]?.thicknessMm ?? 1, result.outcomes)
  return ownAllowance(sums ?? NO_GROWTH, shape, primary?.blankPerMm ?? 1)
}
