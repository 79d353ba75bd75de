import { figureOf, type OwnFigures } from '../figures'

export interface WideBandRow {
  readonly overMm: 4 | 6 | 8 | 12
  /** The range the house table allows. */
  readonly range: string
}

/** Widths from which a band is made larger, widest first; how much stands among the figures one may change. */
export const WIDE_BANDS: readonly WideBandRow[] = [
  { overMm: 12, range: '3/4 to 1' },
  { overMm: 8, range: '1/2 to 3/4' },
  { overMm: 6, range: '1/4 to 1/2' },
  { overMm: 4, range: '1/4' },
]

/** US sizes to add for a band of this width: 0 up to 4 mm (house default, low: better is a sizing gauge of the same width). */
export function wideBandUsSizes(widthMm: number, own: OwnFigures): number {
  const row = WIDE_BANDS.find(({ overMm }) => widthMm > overMm)
  return row ? figureOf(`wide-band-${row.overMm}`, own) : 0
}
