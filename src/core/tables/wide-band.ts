interface WideBandRow {
  readonly overMm: number
  readonly addUsSizes: number
}

/** Suggested size increase for wide bands, US sizes. House default (low): better is a wide sizing gauge of the same width. */
const WIDE_BAND: readonly WideBandRow[] = [
  { overMm: 12, addUsSizes: 0.75 },
  { overMm: 8, addUsSizes: 0.5 },
  { overMm: 6, addUsSizes: 0.5 },
  { overMm: 4, addUsSizes: 0.25 },
]

/** US sizes to add for a band of this width: 0 up to 4 mm. `wideBandUsSizes(7)` is 0.5. */
export function wideBandUsSizes(widthMm: number): number {
  return WIDE_BAND.find((row) => widthMm > row.overMm)?.addUsSizes ?? 0
}
