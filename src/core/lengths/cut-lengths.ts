import { makeHeap } from '../numerics/heap'
import { fillBars } from './fill-bars'
import type { LengthsInput } from './schema'

/** A piece where it is cut from its bar: from its first end to its last, cuts not counted, mm from the bar's squared end. */
export interface CutPiece {
  readonly id: string
  readonly copy: number
  readonly fromMm: number
  readonly toMm: number
}

export interface CutBar {
  readonly id: string
  readonly copy: number
  readonly lengthMm: number
  readonly pieces: readonly CutPiece[]
  /** What remains in one length after the last cut. */
  readonly leftMm: number
}

export interface LengthsAnswer {
  readonly bars: readonly CutBar[]
  readonly unplaced: readonly { readonly id: string; readonly qty: number }[]
  /** Length of the bars that are cut into, of the pieces, and of what saw and squaring take. */
  readonly openedMm: number
  readonly piecesMm: number
  readonly lostMm: number
  /** Whether less metal cannot do, and why. */
  readonly proof: { readonly isLeast: boolean; readonly why: string; readonly choicesTried: number }
}

interface Bar {
  readonly id: string
  readonly copy: number
  readonly lengthMm: number
  readonly costRank: number
}
interface Piece {
  readonly id: string
  readonly copy: number
  readonly lengthMm: number
}

/** Choices of bars that are tried, and ways for each, before it is left at what is known. */
const MOST_CHOICES = 20_000
const MOST_TRIES = 60_000
const ALL_TRIES = 3_000_000

const expand = <T extends { readonly qty: number }>(list: readonly T[]) =>
  list.flatMap((one) => Array.from({ length: one.qty }, (_, copy) => ({ ...one, copy })))

/** Room of a bar: its squared length and one cut more, since the last piece needs none behind it. */
const roomOf = (bar: Bar, { kerfMm, squareMm }: LengthsInput) => bar.lengthMm - squareMm + kerfMm
const needOf = (piece: Piece, { kerfMm, spareMm }: LengthsInput) => piece.lengthMm + spareMm + kerfMm

interface Choice {
  /** How many of each size are taken. */
  readonly taken: readonly number[]
  /** Sizes before this one have been settled. */
  readonly from: number
  readonly openedMm: number
  readonly rank: number
}

/** Choices of bars by the length they open, the least first; of equal lengths the lower rank. */
function* choices(bars: readonly Bar[]): Generator<readonly Bar[]> {
  const sizes = [...new Map(bars.map((bar) => [`${bar.lengthMm} ${bar.costRank}`, bar])).values()]
  const alike = sizes.map((size) => bars.filter((bar) => bar.lengthMm === size.lengthMm && bar.costRank === size.costRank))
  const open = makeHeap<Choice>((a, b) => a.openedMm < b.openedMm || (a.openedMm === b.openedMm && a.rank < b.rank))
  open.add({ taken: sizes.map(() => 0), from: 0, openedMm: 0, rank: 0 })
  for (let least = open.take(); least; least = open.take()) {
    const { taken, from, openedMm, rank } = least
    yield taken.flatMap((count, i) => alike[i]?.slice(0, count) ?? [])
    for (const [i, size] of sizes.entries())
      if (i >= from && (taken[i] ?? 0) < (alike[i]?.length ?? 0))
        open.add({
          taken: taken.map((count, k) => (k === i ? count + 1 : count)),
          from: i,
          openedMm: openedMm + size.lengthMm,
          rank: rank + size.costRank,
        })
  }
}

interface Found {
  readonly bars: readonly Bar[]
  readonly barOf: readonly number[]
  readonly isLeast: boolean
  readonly tried: number
}

/** The choice that opens least and takes all pieces; undefined where not even all bars do. */
function leastBars(pieces: readonly Piece[], bars: readonly Bar[], input: LengthsInput): Found | undefined {
  const needs = pieces.map((piece) => needOf(piece, input))
  const sum = needs.reduce((total, need) => total + need, 0)
  let [tried, left, isSure] = [0, ALL_TRIES, true]
  for (const choice of choices(bars)) {
    if (++tried > MOST_CHOICES) break
    const rooms = choice.map((bar) => roomOf(bar, input))
    if (rooms.reduce((total, room) => total + room, 0) < sum - 1e-9) continue
    const filled = fillBars(needs, rooms, Math.min(MOST_TRIES, left))
    left -= MOST_TRIES
    if (filled.kind === 'all') return { bars: choice, barOf: filled.barOf, isLeast: isSure, tried }
    if (filled.kind === 'unsure') isSure = false
    if (left <= 0) break
  }
  return undefined
}

/** Pieces put one by one, the longest first, into the first bar that takes them: for orders that are too long or too many. */
function firstFit(pieces: readonly Piece[], bars: readonly Bar[], input: LengthsInput): { readonly barOf: readonly number[] } {
  const rooms = bars.map((bar) => roomOf(bar, input))
  return {
    barOf: pieces.map((piece) => {
      const need = needOf(piece, input)
      const bar = rooms.findIndex((room) => room >= need - 1e-9)
      if (bar >= 0) rooms[bar] = (rooms[bar] ?? 0) - need
      return bar
    }),
  }
}

/** Each bar with its pieces in a row, the longest first. */
function laidOut(pieces: readonly Piece[], bars: readonly Bar[], barOf: readonly number[], input: LengthsInput): CutBar[] {
  return bars.flatMap((bar, index): CutBar[] => {
    let at = input.squareMm
    const own = pieces.flatMap((piece, i): CutPiece[] => {
      if (barOf[i] !== index) return []
      const fromMm = at
      const toMm = at + piece.lengthMm + input.spareMm
      at = toMm + input.kerfMm
      return [{ id: piece.id, copy: piece.copy, fromMm, toMm }]
    })
    return own.length === 0
      ? []
      : [{ id: bar.id, copy: bar.copy, lengthMm: bar.lengthMm, pieces: own, leftMm: Math.max(0, bar.lengthMm - at) }]
  })
}

const mm = (value: number) => `${Math.round(value * 10) / 10} mm`

function proofOf(found: Found | undefined, sumMm: number, fits: boolean): LengthsAnswer['proof'] {
  if (!fits)
    return {
      isLeast: false,
      why: `all pieces with their cuts take ${mm(sumMm)}, which these bars do not hold`,
      choicesTried: found?.tried ?? 0,
    }
  if (!found) return { isLeast: false, why: 'too many ways to try them all: this is the first that was found', choicesTried: MOST_CHOICES }
  const opened = mm(found.bars.reduce((sum, bar) => sum + bar.lengthMm, 0))
  if (found.isLeast)
    return {
      isLeast: true,
      why: `no choice of bars under ${opened} in all takes the ${mm(sumMm)} that pieces and cuts need`,
      choicesTried: found.tried,
    }
  return { isLeast: false, why: `whether less than ${opened} would do was not settled`, choicesTried: found.tried }
}

/**
 * Cuts pieces to length from bars of wire, strip or tube so that the least length of bars is opened, tried through to the proof for what a
 * bench cuts; of equal lengths the bars of the lower rank. Where not all fit, the longest first. All lengths mm.
 */
export function cutLengths(input: LengthsInput): LengthsAnswer {
  const pieces: Piece[] = expand(input.lengths).sort((a, b) => b.lengthMm - a.lengthMm)
  const bars: Bar[] = expand(input.bars).sort((a, b) => a.costRank - b.costRank || a.lengthMm - b.lengthMm)
  const found = leastBars(pieces, bars, input)
  const used = found?.bars ?? bars
  const { barOf } = found ?? firstFit(pieces, bars, input)
  const cut = laidOut(pieces, used, barOf, input)
  const missing = pieces.filter((_, i) => (barOf[i] ?? -1) < 0)
  const unplaced = input.lengths.flatMap(({ id }) => {
    const qty = missing.filter((piece) => piece.id === id).length
    return qty > 0 ? [{ id, qty }] : []
  })
  const openedMm = cut.reduce((sum, bar) => sum + bar.lengthMm, 0)
  const piecesMm = cut.reduce((sum, bar) => sum + bar.pieces.reduce((own, piece) => own + piece.toMm - piece.fromMm, 0), 0)
  const leftMm = cut.reduce((sum, bar) => sum + bar.leftMm, 0)
  const sumMm = pieces.reduce((sum, piece) => sum + needOf(piece, input), 0)
  return {
    bars: cut,
    unplaced,
    openedMm,
    piecesMm,
    lostMm: openedMm - piecesMm - leftMm,
    proof: proofOf(found, sumMm, unplaced.length === 0),
  }
}
