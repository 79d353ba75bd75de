import { netAreaMm2 } from '../../../geometry/outline'
import type { Outline, Point } from '../../../geometry/point'
import { ALIKE_RAD, aroundRad, type Corner, cornersOf, insideOf, isNear, type Part } from './corners'
import { doOverlap, type Laid, layTile, type Tile, TOUCHING_MM } from './tile'

/** Tiles of one kind that are to be laid, so many of them; angles each may be turned to, any where there are none. */
export interface Kind {
  readonly tile: Tile
  readonly count: number
  readonly anglesRad: readonly number[] | undefined
}

/** A tile of a kind where it lies. */
export interface Fit {
  readonly kind: number
  readonly angleRad: number
  readonly at: Point
}

/** What may be tried, and what ends it. */
export interface Trying {
  /** Corners that may be looked at. */
  readonly most: number
  readonly shouldStop: () => boolean
  /** Which way comes first is drawn from it. */
  readonly random: () => number
}

/** The ground without what lies there, and what is laid on it. */
export interface Ground {
  readonly outline: Outline
  readonly staying: readonly Laid[]
}

/** Ways across the ground in which it is filled, one after the other. */
const WAYS: readonly Point[] = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
]
/**
 * What may be amiss: little at first, more in the next go. A corner left unfilled counts as one, or as more where something would go into it; so does
 * a tile beside which no one other fills the corner.
 */
const AMISS = [3, 5, 8, 12] as const
const COULD_BE_FILLED = 2
const FILLED_BY_NONE = 1

/** The area of an outline on the near side of a line across a way. */
function areaBefore(outline: Outline, [wx, wy]: Point, away: number): number {
  const past = ([x, y]: Point) => wx * x + wy * y - away
  const near = outline.flatMap((p, i): Point[] => {
    const q = outline[(i + 1) % outline.length] as Point
    const [a, b] = [past(p), past(q)]
    const t = a / (a - b)
    const crossing: Point[] = a < 0 !== b < 0 ? [[p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])]] : []
    return [...(a < 0 ? [p] : []), ...crossing]
  })
  return netAreaMm2(near)
}

const areaOf = ({ outline }: Tile): number => netAreaMm2(outline)

/**
 * A tile that may be laid into a corner, how the corner is filled then (by it, by one more beside it, or by none alone), and how many of its two edges
 * there end where another corner is.
 */
interface Choice extends Fit {
  readonly laid: Laid
  readonly filledBy: 'it' | 'one more' | 'none'
  readonly ends: number
}
const BEST_FIRST: readonly Choice['filledBy'][] = ['it', 'one more', 'none']

/** Lays tiles edge to edge, corner after corner, and takes them up again where that leaves more unfilled than there is to spare. */
class Fitting {
  best: readonly Fit[] = []
  private readonly ground: Ground
  private readonly kinds: readonly Kind[]
  /** What each kind has inside each of its corners: from one angle on, how wide; a hollow is wider than any corner to be filled. */
  private readonly angles: readonly (readonly Part[])[]
  private readonly left: number[]
  private readonly fits: Fit[] = []
  private readonly laid: Laid[]
  private readonly spareMm2: number
  private bestMm2 = 0
  private laidMm2 = 0
  private way: Point = [1, 0]
  private tries = 0
  private most = 0
  private readonly shouldStop: () => boolean

  constructor(ground: Ground, kinds: readonly Kind[], { shouldStop }: Trying) {
    this.ground = ground
    this.kinds = kinds
    this.angles = kinds.map(({ tile: { outline } }) => outline.map((_, i) => insideOf(outline, i)))
    this.left = kinds.map(({ count }) => count)
    this.laid = [...ground.staying]
    this.shouldStop = shouldStop
    const asked = kinds.reduce((sum, { tile, count }) => sum + count * areaOf(tile), 0)
    this.spareMm2 = netAreaMm2(ground.outline) - ground.staying.reduce((sum, tile) => sum + areaOf(tile), 0) - asked
  }

  get isAllLaid(): boolean {
    return this.left.every((count) => count === 0)
  }

  /** Fills the ground along a way, so much amiss at the most; true where all were laid. */
  go(way: Point, amiss: number, most: number): boolean {
    this.way = way
    this.most = this.tries + most
    return this.fill([], amiss)
  }

  private fill(skipped: readonly Point[], amiss: number): boolean {
    this.tries++
    if (this.isAllLaid) return true
    const corner = this.nextCorner(skipped)
    if (!corner || this.wastedBefore(corner.at) > this.spareMm2 + WASTED_MM2) return false
    const choices = this.choicesFor(corner)
    for (const choice of choices) {
      const counts = choice.filledBy === 'none' ? FILLED_BY_NONE : 0
      if (counts > amiss) break
      if (this.tries >= this.most || this.shouldStop()) return false
      this.lay(choice)
      if (this.fill(skipped, amiss - counts)) return true
      this.takeUp(choice)
    }
    const counts = choices.length > 0 ? COULD_BE_FILLED : 1
    return counts <= amiss && this.fill([...skipped, corner.at], amiss - counts)
  }

  private lay({ laid, kind, angleRad, at }: Choice): void {
    this.laid.push(laid)
    this.fits.push({ kind, angleRad, at })
    this.left[kind] = (this.left[kind] as number) - 1
    this.laidMm2 += areaOf(laid)
    if (this.laidMm2 <= this.bestMm2) return
    this.bestMm2 = this.laidMm2
    this.best = [...this.fits]
  }

  private takeUp({ laid, kind }: Choice): void {
    this.laid.pop()
    this.fits.pop()
    this.left[kind] = (this.left[kind] as number) + 1
    this.laidMm2 -= areaOf(laid)
  }

  private along([x, y]: Point): number {
    return this.way[0] * x + this.way[1] * y
  }

  /** The first corner along the way that is not left out, of some beside each other the one on the right of it. */
  private nextCorner(skipped: readonly Point[]): Corner | undefined {
    const across = ([x, y]: Point) => this.way[0] * y - this.way[1] * x
    const isFirst = (a: Corner, b: Corner) => {
      const ahead = this.along(a.at) - this.along(b.at)
      return Math.abs(ahead) > TOUCHING_MM ? ahead < 0 : across(a.at) < across(b.at)
    }
    return cornersOf(this.ground.outline, this.laid)
      .filter(({ at }) => !skipped.some((one) => Math.hypot(one[0] - at[0], one[1] - at[1]) < TOUCHING_MM))
      .reduce<Corner | undefined>((first, one) => (!first || isFirst(one, first) ? one : first), undefined)
  }

  /** What is left free on the near side of a place. */
  private wastedBefore(at: Point): number {
    const away = this.along(at)
    const before = (outline: Outline) => areaBefore(outline, this.way, away)
    return before(this.ground.outline) - this.laid.reduce((sum, { outline }) => sum + before(outline), 0)
  }

  /** What may be laid into a corner along its first edge, what fills it first, then the largest. */
  private choicesFor(corner: Corner): readonly Choice[] {
    const fits = this.kinds.flatMap((_, k) => ((this.left[k] as number) > 0 ? this.choicesOf(k, corner) : []))
    const rank = ({ filledBy }: Choice) => BEST_FIRST.indexOf(filledBy)
    return fits.sort((a, b) => rank(a) - rank(b) || b.ends - a.ends || areaOf(b.laid) - areaOf(a.laid))
  }

  private choicesOf(kind: number, { at, fromRad, wideRad }: Corner): readonly Choice[] {
    const { tile, anglesRad } = this.kinds[kind] as Kind
    const { outline } = tile
    const choices: Choice[] = []
    for (const [i, p] of outline.entries()) {
      const [ownRad, ownWideRad] = (this.angles[kind] as readonly Part[])[i] as Part
      const restRad = wideRad - ownWideRad
      if (restRad < -ALIKE_RAD) continue
      const turned = fromRad - ownRad
      const angles = anglesRad ? anglesRad.filter((angle) => isAlike(angle, turned)) : [turned]
      for (const angleRad of angles) {
        const [cos, sin] = [Math.cos(angleRad), Math.sin(angleRad)]
        const spot: Point = [at[0] - p[0] * cos + p[1] * sin, at[1] - p[0] * sin - p[1] * cos]
        const laid = layTile(tile, angleRad, spot)
        // a rectangle lies alike either way round
        if (choices.some((other) => isLaidAlike(other.laid, laid)) || !this.isFree(laid)) continue
        choices.push({ kind, angleRad, at: spot, laid, filledBy: this.filledBy(kind, restRad), ends: this.endsOf(laid, i) })
      }
    }
    return choices
  }

  /** How many of the two edges of a tile at a corner of it end where another has a corner. */
  private endsOf({ outline }: Laid, i: number): number {
    const ends = [outline[(i + 1) % outline.length] as Point, outline.at(i - 1) as Point]
    const others = [this.ground.outline, ...this.laid.map((one) => one.outline)]
    return ends.filter((end) => others.some((other) => other.some((p) => isNear(end, p)))).length
  }

  /** What fills the rest of a corner beside a tile of a kind. */
  private filledBy(kind: number, restRad: number): Choice['filledBy'] {
    if (restRad < ALIKE_RAD) return 'it'
    const doesFill = (angles: readonly Part[], k: number) =>
      (this.left[k] as number) > (k === kind ? 1 : 0) && angles.some(([, wide]) => Math.abs(wide - restRad) < ALIKE_RAD)
    return this.angles.some(doesFill) ? 'one more' : 'none'
  }

  private isFree(laid: Laid): boolean {
    const { outline } = this.ground
    const isOff = outline.some((p, i) => {
      const q = outline[(i + 1) % outline.length] as Point
      const long = Math.hypot(q[0] - p[0], q[1] - p[1])
      return laid.outline.some(([x, y]) => ((q[0] - p[0]) * (y - p[1]) - (q[1] - p[1]) * (x - p[0])) / long < -TOUCHING_MM)
    })
    return !isOff && !this.laid.some((other) => doOverlap(other, laid))
  }
}
const WASTED_MM2 = 1

const isLaidAlike = (a: Laid, b: Laid): boolean => a.outline.every((p) => b.outline.some((q) => isNear(p, q)))

function isAlike(a: number, b: number): boolean {
  const apart = aroundRad(a - b)
  return apart < ALIKE_RAD || 2 * Math.PI - apart < ALIKE_RAD
}

/**
 * Lays tiles edge to edge on a ground that has no hollow, as many of them as it can: those whose edges fit each other come to lie as they were cut from one
 * piece. Empty where there is not metal enough for all.
 */
export function fitTogether(ground: Ground, kinds: readonly Kind[], trying: Trying): readonly Fit[] {
  const fitting = new Fitting(ground, kinds, trying)
  const each = trying.most / (WAYS.length * AMISS.length)
  const first = Math.floor(trying.random() * WAYS.length)
  const ways = [...WAYS.slice(first), ...WAYS.slice(0, first)]
  for (const amiss of AMISS) for (const way of ways) if (trying.shouldStop() || fitting.go(way, amiss, each)) return fitting.best
  return fitting.best
}
