import type { LayoutInput, LayoutItem, LayoutSheet } from '../schema'
import { heldAngles, isFreeOn, type PlacedShape, type Pose, placeItem, shapeOf } from '../shape'
import { Board, type Lying, lyingAt } from './board'
import { type Piece, pieceOf } from './piece'
import { roomOf } from './room'
import { bestSpot, type Search, separate } from './separate'

/** A blank on a sheet, by its item. */
export interface OnSheet {
  readonly item: LayoutItem
  readonly pose: Pose
}

/** How an attempt begins: as the sheet lies, with two blanks changed about, or with all of them thrown on it anew. */
export type Beginning = 'as-laid' | 'mixed' | 'afresh'

/** Less than this more is not more. */
const LEAST_MORE_MM2 = 1e-9

/** Rounds without getting better after which an attempt is given up. */
const PATIENCE = 50

/** One sheet as the search knows it: its room, what stays on it, and the shapes of the blanks it is asked for. */
export class SheetSearch {
  private readonly input: LayoutInput
  private readonly sheet: LayoutSheet
  private readonly search: Search
  /** Metal that blanks take, mm². */
  readonly laidMm2: (blanks: readonly OnSheet[]) => number
  private readonly taken: readonly PlacedShape[]
  private readonly room: ReturnType<typeof roomOf>
  private readonly pieces = new Map<LayoutItem, Piece | undefined>()

  constructor(input: LayoutInput, sheet: LayoutSheet, search: Search, areaOf: (item: LayoutItem) => number) {
    this.laidMm2 = (blanks) => blanks.reduce((sum, { item }) => sum + areaOf(item), 0)
    this.input = input
    this.sheet = sheet
    this.search = search
    this.taken = (sheet.taken ?? []).map(shapeOf)
    this.room = roomOf(sheet, input)
  }

  private pieceFor(item: LayoutItem): Piece | undefined {
    if (!this.pieces.has(item)) this.pieces.set(item, pieceOf(placeItem(item, { x: 0, y: 0, rotationDeg: 0 }), this.input.kerfMm))
    return this.pieces.get(item)
  }

  private lying({ item, pose }: OnSheet): Lying | undefined {
    const piece = this.pieceFor(item)
    return piece && lyingAt(piece, heldAngles(item, this.sheet), pose)
  }

  /**
   * What lies on the sheet once more blanks were laid over it and moved out of one another’s way: all of them, or the most metal that was at any
   * moment in nobody’s way. The longer it goes on, the more.
   */
  withMore(there: readonly OnSheet[], more: readonly LayoutItem[], from: Beginning): readonly OnSheet[] {
    const { room, search } = this
    const added = more.map((item) => ({ item, pose: { x: 0, y: 0, rotationDeg: heldAngles(item, this.sheet)?.[0] ?? 0 } }))
    const all = [...there, ...added]
    const lying = all.flatMap((one) => this.lying(one) ?? [])
    if (!room || lying.length < all.length) return there
    const fixed = this.taken.flatMap((shape) => pieceOf(shape, this.input.kerfMm)?.at(0) ?? [])
    const board = new Board(room, fixed, lying)
    if (from === 'mixed') this.mix(board)
    if (from === 'afresh') this.scatter(board)
    for (let i = from === 'afresh' ? all.length : there.length; i < all.length; i++) {
      board.move(i, {
        x: (room.box.minX + room.box.maxX) / 2,
        y: (room.box.minY + room.box.maxY) / 2,
        rotationDeg: (lying[i] as Lying).rotationDeg,
      })
      board.move(i, bestSpot(board, i, search))
    }
    let best = there
    separate(board, search, PATIENCE, () => {
      best = this.moreOf(best, this.clearOf(board, all))
    })
    return best
  }

  /** The blanks that are in nobody’s way as a board lies. */
  private clearOf(board: Board, all: readonly OnSheet[]): readonly OnSheet[] {
    const isDropped = this.inTheWay(board)
    return board.spots().flatMap((pose, i) => (isDropped.has(i) ? [] : [{ item: (all[i] as OnSheet).item, pose }]))
  }

  /** Of two ways to lay a sheet the one with more metal on it; a new one only where it is legal. */
  private moreOf(known: readonly OnSheet[], found: readonly OnSheet[]): readonly OnSheet[] {
    if (this.laidMm2(found) <= this.laidMm2(known) + LEAST_MORE_MM2) return known
    const shapes = found.map(({ item, pose }) => placeItem(item, pose))
    const isLegal = shapes.every((shape, i) => isFreeOn(shape, this.sheet, [...this.taken, ...shapes.slice(0, i)], this.input))
    return isLegal ? found : known
  }

  /** Blanks to take off until none is in another’s way: again and again the one that is most in the way for its size. */
  private inTheWay(board: Board): ReadonlySet<number> {
    const dropped = new Set<number>()
    for (;;) {
      let [worst, most] = [-1, 0]
      for (let i = 0; i < board.lying.length; i++) {
        if (dropped.has(i)) continue
        const share = board.countInTheWay(i, dropped) / (board.lying[i] as Lying).piece.areaMm2
        if (share > most) [worst, most] = [i, share]
      }
      if (worst < 0) return dropped
      dropped.add(worst)
    }
  }

  /** Every blank anywhere on the sheet. */
  private scatter(board: Board): void {
    const { random } = this.search
    const { box } = board.room
    board.lying.forEach((one, i) => {
      board.move(i, {
        x: box.minX + random() * (box.maxX - box.minX) - (one.turned.poles[0] as number),
        y: box.minY + random() * (box.maxY - box.minY) - (one.turned.poles[1] as number),
        rotationDeg: one.rotationDeg,
      })
    })
  }

  /** Two blanks that lie there change their places: another beginning. */
  private mix({ lying }: Board): void {
    const { random } = this.search
    const [i, j] = [Math.floor(random() * lying.length), Math.floor(random() * lying.length)]
    const [a, b] = [lying[i] as Lying, lying[j] as Lying]
    lying[i] = lyingAt(a.piece, a.angles, { x: b.x, y: b.y, rotationDeg: a.rotationDeg })
    lying[j] = lyingAt(b.piece, b.angles, { x: a.x, y: a.y, rotationDeg: b.rotationDeg })
  }
}
