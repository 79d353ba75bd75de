import { intersectRegions, offsetOutline, type Region, subtractRegions, uniteRegions } from '../geometry/clip'
import { netAreaMm2 } from '../geometry/outline'
import { boundsOf, type Outline, type Point } from '../geometry/point'
import type { EtchInput } from './schema'

/** Copies of a tiled artwork at the most. */
const MOST_TILES = 4000

/** The dark artwork over the whole blank: as it lies, or repeated along and across until the blank is covered. */
function repeated({ dark, tile, outer }: Pick<EtchInput, 'dark' | 'tile' | 'outer'>): readonly Region[] | { readonly fault: string } {
  if (!tile || dark.length === 0) return dark
  const [blank, art] = [boundsOf(outer), boundsOf(dark.flatMap(({ outer: ring }) => ring))]
  const first = (low: number, artHigh: number, step: number) => Math.floor((low - artHigh) / step)
  const steps = (low: number, high: number, artLow: number, artHigh: number, step: number) => {
    const from = first(low, artHigh, step)
    const to = Math.ceil((high - artLow) / step)
    return Array.from({ length: to - from + 1 }, (_, i) => (from + i) * step)
  }
  const along = steps(blank.minX, blank.maxX, art.minX, art.maxX, tile.alongMm)
  const across = steps(blank.minY, blank.maxY, art.minY, art.maxY, tile.acrossMm)
  if (along.length * across.length * dark.length > MOST_TILES)
    return { fault: `the artwork would be repeated ${along.length * across.length} times; a larger step, or a smaller blank, is needed` }
  const moved = (ring: Outline, dx: number, dy: number): Outline => ring.map(([x, y]): Point => [x + dx, y + dy])
  const at = (dx: number, dy: number) =>
    dark.map(({ outer: ring, holes }): Region => ({ outer: moved(ring, dx, dy), holes: holes.map((hole) => moved(hole, dx, dy)) }))
  return along.flatMap((dx) => across.flatMap((dy) => at(dx, dy)))
}

/** What resist covers and what is etched, mm². */
export interface Artwork {
  readonly covered: readonly Region[]
  readonly bare: readonly Region[]
  readonly bareMm2: number
  /** Islands of resist that are eaten away from their edges before the depth is reached, and gaps that are no gap once resist has its width. */
  readonly lost: readonly Outline[]
}

const areaOf = (regions: readonly Region[]) => regions.reduce((sum, { outer, holes }) => sum + netAreaMm2(outer, holes), 0)

/** The artwork on the blank: dark is resist, the rest is etched; `undercutMm` is eaten in under each edge of it. */
export function artworkOn(
  input: Pick<EtchInput, 'dark' | 'tile' | 'outer' | 'holes'>,
  undercutMm: number,
): Artwork | { readonly fault: string } {
  const dark = repeated(input)
  if ('fault' in dark) return dark
  const blank: Region = { outer: input.outer, holes: input.holes }
  const covered = dark.length === 0 ? [] : intersectRegions(uniteRegions(dark), [blank])
  const bare = covered.length === 0 ? [blank] : subtractRegions([blank], covered)
  const isEaten = (ring: Outline) => offsetOutline(ring, -undercutMm).length === 0
  return { covered, bare, bareMm2: areaOf(bare), lost: undercutMm > 0 ? covered.map(({ outer }) => outer).filter(isEaten) : [] }
}
