/** A part of a tray as far as the way from its blank to its size is concerned. */
export interface BlankAndOutcomes {
  readonly markAtMm: number
  readonly outcomes: readonly { readonly dimension: string; readonly valueMm: number; readonly blankPerMm: number }[]
}

interface MeasuredStep {
  readonly target?: { readonly dimension: string; readonly valueMm: number } | null | undefined
}

const SAME_MM = 1e-6

/** The dimension in which a part's blank was measured before a step: that of the last step whose aim is the size marked. */
export function blankDimension(before: readonly MeasuredStep[], { markAtMm }: BlankAndOutcomes): string | undefined {
  return before.findLast(({ target }) => target && Math.abs(target.valueMm - markAtMm) < SAME_MM)?.target?.dimension
}

/**
 * What a size comes out at, mm, from a blank that was cut at another size than was marked: as much more as the blank answers to it.
 * Undefined where no cut moves it.
 */
export function comesOutMm({ markAtMm, outcomes }: BlankAndOutcomes, dimension: string, cutMm: number): number | undefined {
  const outcome = outcomes.find((one) => one.dimension === dimension)
  if (!outcome || outcome.blankPerMm === 0) return undefined
  return outcome.valueMm + (cutMm - markAtMm) / outcome.blankPerMm
}
