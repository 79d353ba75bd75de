import { offsetOutline, type Region, subtractRegions, uniteRegions } from '../geometry/clip'
import type { Outline } from '../geometry/point'

export interface Remnant {
  readonly sheet: string
  readonly outer: Outline
  readonly holes: readonly Outline[]
}

/** Metal nowhere wider than twice this is scrap, not stock (house default). */
const USEFUL_HALF_WIDTH_MM = 3

/** The metal a blank takes with it: its outline and a kerf round it, but not what comes out of its windows, less a kerf inside. */
function takenBy({ outer, holes }: Region, kerfMm: number): Region[] {
  const kerf = Math.max(kerfMm, 0.01)
  const windows = holes.flatMap((hole) => offsetOutline(hole, -kerf)).map((window) => ({ outer: window, holes: [] }))
  const whole = offsetOutline(outer, kerf).map((outline) => ({ outer: outline, holes: [] }))
  return windows.length === 0 ? whole : subtractRegions(whole, windows)
}

/** What stays of a sheet when the blanks are sawn out with their kerf, the pieces out of their windows with it; slivers are scrap. */
export function remnantsOf(
  sheet: { readonly id: string; readonly outer: Outline; readonly holes: readonly Outline[] },
  blanks: readonly Region[],
  kerfMm: number,
): Remnant[] {
  const cut = uniteRegions(blanks.flatMap((blank) => takenBy(blank, kerfMm)))
  return subtractRegions([{ outer: sheet.outer, holes: sheet.holes }], cut)
    .filter((region) => offsetOutline(region.outer, -USEFUL_HALF_WIDTH_MM).length > 0)
    .map((region) => ({ sheet: sheet.id, ...region }))
}
