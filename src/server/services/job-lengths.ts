import { type CutBar, cutLengths } from '@/core/lengths'
import { ALLOYS } from '@/core/metals'
import type { PlanOptions } from '@/core/piece'
import { formatPlain } from '@/core/units'
import type { Piece, Stock } from '../db/repositories'
import { planDesign } from './piece-plan'

/** Metal of one size that a job cuts to length, what there is of it, and how it is cut. */
export interface LengthGroup {
  readonly key: string
  readonly title: string
  readonly pieces: readonly { readonly id: string; readonly name: string; readonly qty: number; readonly lengthMm: number }[]
  /** Bars of the drawer that are cut into, under the names they have there. */
  readonly bars: readonly (CutBar & { readonly label: string })[]
  readonly unplaced: number
  readonly why: string
  /** What all pieces take with their cuts, where there is not enough of it. */
  readonly neededMm: number
}

interface Wanted {
  readonly id: string
  readonly name: string
  readonly qty: number
  readonly lengthMm: number
  readonly kind: 'wire' | 'tube'
  readonly alloy: Stock['alloy']
  readonly thicknessMm: number
}

/** A bar serves where its metal is this near what is wanted: a share, and what calipers are off by. */
const NEAR = { share: 0.02, mm: 0.02 }

function wantedOf(pieces: readonly Piece[], options: PlanOptions): Wanted[] {
  return pieces.flatMap((piece) =>
    planDesign(piece.design, options).parts.flatMap((part) =>
      (part.isCut ? (part.result?.blanks ?? []) : []).flatMap((blank): Wanted[] => {
        if ((blank.stock !== 'wire' && blank.stock !== 'tube') || blank.lengthMm === undefined) return []
        const { alloy, thicknessMm, lengthMm, stock: kind } = blank
        const qty = (piece.quantity + piece.spares) * part.count * (blank.each ?? 1)
        return [{ id: `${piece.id}/${part.id}/${blank.id}`, name: `${piece.name}, ${blank.name}`, qty, lengthMm, kind, alloy, thicknessMm }]
      }),
    ),
  )
}

const serves = (stock: Stock, { kind, alloy, thicknessMm }: Wanted) =>
  stock.kind === kind &&
  stock.alloy === alloy &&
  Math.abs((stock.measuredMm ?? stock.thicknessMm) - thicknessMm) <= NEAR.share * thicknessMm + NEAR.mm

function groupOf(wanted: readonly Wanted[], drawer: readonly Stock[], kerfMm: number): LengthGroup | undefined {
  const [first] = wanted
  if (!first) return undefined
  const bars = drawer
    .filter((stock) => serves(stock, first))
    .flatMap(({ id, label, lengthMm }) => (lengthMm ? [{ id: String(id), label, lengthMm }] : []))
  const lengths = wanted.map(({ id, qty, lengthMm }) => ({ id, qty, lengthMm }))
  const neededMm = wanted.reduce((sum, { qty, lengthMm }) => sum + qty * (lengthMm + kerfMm), 0)
  const words = first.kind === 'wire' ? 'wire' : 'tube wall'
  const common = {
    key: `${first.kind} ${first.alloy} ${first.thicknessMm.toFixed(3)}`,
    title: `${ALLOYS[first.alloy].title}, ${formatPlain(first.thicknessMm, 2)} mm ${words}`,
    pieces: wanted.map(({ id, name, qty, lengthMm }) => ({ id, name, qty, lengthMm })),
    neededMm,
  }
  const all = wanted.reduce((sum, { qty }) => sum + qty, 0)
  if (bars.length === 0) return { ...common, bars: [], unplaced: all, why: 'there is none of it in the drawer' }
  const {
    bars: cut,
    unplaced,
    proof,
  } = cutLengths({
    bars: bars.map(({ id, lengthMm }) => ({ id, lengthMm, qty: 1, costRank: 0 })),
    lengths,
    kerfMm,
    squareMm: 0,
    spareMm: 0,
  })
  return {
    ...common,
    bars: cut.map((bar) => ({ ...bar, label: bars.find(({ id }) => id === bar.id)?.label ?? '' })),
    unplaced: unplaced.reduce((sum, { qty }) => sum + qty, 0),
    why: proof.why,
  }
}

/** All wire and tube of a job, size by size, cut from what the drawer has. */
export function lengthsOfJob(pieces: readonly Piece[], drawer: readonly Stock[], options: PlanOptions, kerfMm: number): LengthGroup[] {
  const groups = new Map<string, Wanted[]>()
  for (const one of wantedOf(pieces, options)) {
    const key = `${one.kind} ${one.alloy} ${one.thicknessMm.toFixed(3)}`
    groups.set(key, [...(groups.get(key) ?? []), one])
  }
  return [...groups.values()].flatMap((wanted) => groupOf(wanted, drawer, kerfMm) ?? [])
}
