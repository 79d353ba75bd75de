export interface WideBandRow {
  readonly overMm: number
  readonly addUsSizes: number
  /** The range the house table allows. */
  readonly range: string
}

/** Suggested size increase for wide bands, US sizes, widest first. House default (low): better is a sizing gauge of the same width. */
export const WIDE_BANDS: readonly WideBandRow[] = [
  { overMm: 12, addUsSizes: 0.75, range: '3/4 to 1' },
  { overMm: 8, addUsSizes: 0.5, range: '1/2 to 3/4' },
  { overMm: 6, addUsSizes: 0.5, range: '1/4 to 1/2' },
  { overMm: 4, addUsSizes: 0.25, range: '1/4' },
]

/** US sizes to add for a band of this width: 0 up to 4 mm. `wideBandUsSizes(7)` is 0.5. */
export function wideBandUsSizes(widthMm: number): number {
  return WIDE_BANDS.find((row) => widthMm > row.overMm)?.addUsSizes ?? 0
}
