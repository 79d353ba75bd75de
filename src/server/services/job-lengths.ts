import { isStockOf, type StockPiece } from '@/core/costing'
import type { FormResult } from '@/core/forms'
import { boundsOf } from '@/core/geometry'
import { type CutBar, cutLengths } from '@/core/lengths'
import { ALLOYS } from '@/core/metals'
import type { PlanOptions } from '@/core/piece'
import { formatPlain } from '@/core/units'
import type { Piece } from '../db/repositories'
import { countOf, itemId } from './layout-items'
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

type Blank = FormResult['blanks'][number]

interface Wanted {
  readonly id: string
  readonly name: string
  readonly qty: number
  readonly lengthMm: number
  readonly blank: Blank
}

function wantedOf(pieces: readonly Piece[], options: PlanOptions): Wanted[] {
  return pieces.flatMap((piece) =>
    planDesign(piece.design, options).parts.flatMap((part) =>
      (part.isCut ? (part.result?.blanks ?? []) : []).flatMap((blank): Wanted[] => {
        if ((blank.stock !== 'wire' && blank.stock !== 'tube') || blank.lengthMm === undefined) return []
        const name = `${piece.name}, ${blank.name}`
        return [{ id: itemId(piece.id, part.id, blank.id), name, qty: countOf(piece, part, blank), lengthMm: blank.lengthMm, blank }]
      }),
    ),
  )
}

/** What is cut from the same metal: kind, alloy, thickness, and of a tube how thick it is across. */
function metalKey({ stock, alloy, thicknessMm, outline }: Blank): string {
  const { minY, maxY } = boundsOf(outline)
  return [stock, alloy, thicknessMm.toFixed(3), ...(stock === 'tube' ? [(maxY - minY).toFixed(2)] : [])].join(' ')
}

function titleOf({ stock, alloy, thicknessMm, outline }: Blank): string {
  const { minY, maxY } = boundsOf(outline)
  const metal = ALLOYS[alloy].title
  if (stock === 'wire') return `${metal}, ${formatPlain(thicknessMm, 2)} mm wire`
  return `${metal}, ${formatPlain(maxY - minY, 2)} mm tube, wall ${formatPlain(thicknessMm, 2)} mm`
}

function groupOf(wanted: readonly Wanted[], drawer: readonly StockPiece[], kerfMm: number): LengthGroup | undefined {
  const [first] = wanted
  if (!first) return undefined
  const bars = drawer
    .filter((stock) => isStockOf(stock, first.blank))
    .flatMap(({ id, label, lengthMm }) => (lengthMm ? [{ id: String(id), label, lengthMm }] : []))
  const lengths = wanted.map(({ id, qty, lengthMm }) => ({ id, qty, lengthMm }))
  const neededMm = wanted.reduce((sum, { qty, lengthMm }) => sum + qty * (lengthMm + kerfMm), 0)
  const common = {
    key: metalKey(first.blank),
    title: titleOf(first.blank),
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
export function lengthsOfJob(pieces: readonly Piece[], drawer: readonly StockPiece[], options: PlanOptions, kerfMm: number): LengthGroup[] {
  const groups = new Map<string, Wanted[]>()
  for (const one of wantedOf(pieces, options)) groups.set(metalKey(one.blank), [...(groups.get(metalKey(one.blank)) ?? []), one])
  return [...groups.values()].flatMap((wanted) => groupOf(wanted, drawer, kerfMm) ?? [])
}
