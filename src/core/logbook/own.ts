import type { FormResult } from '../forms/contract'
import { type GrowthSums, NO_GROWTH, type OwnAllowance, ownAllowance } from './allowance'

/**
 * What a smith’s record says to allow on the blank of a result: the sums of its form and metal by method, at the blank’s thickness, in
 * millimetres of the result’s own answer. The one way from a record to an allowance.
 */
export function ownAllowanceOf(
  result: Pick<FormResult, 'method' | 'blanks' | 'outcomes'>,
  methods: Readonly<Record<string, GrowthSums>>,
): OwnAllowance {
  const sums = Object.hasOwn(methods, result.method) ? methods[result.method] : undefined
  const primary = result.outcomes.find((outcome) => outcome.primary)
  return ownAllowance(sums ?? NO_GROWTH, result.blanks[0]?.thicknessMm ?? 1, primary?.blankPerMm ?? 1)
}
