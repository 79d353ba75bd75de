import { isStockOf, lengthOnStrip, type StockPiece, stripOf } from '@/core/costing'
import { boundsOf } from '@/core/geometry'
import { type CutBar, cutLengths } from '@/core/lengths'
import { ALLOYS } from '@/core/metals'
import type { PlannedPart, PlanOptions } from '@/core/piece'
import { formatPlain } from '@/core/units'
import type { Piece } from '../db/repositories'
import { countOf, itemId } from './layout-items'
import { planDesign } from './piece-plan'

/** Metal of one size that a job cuts to length, what there is of it, and how it is cut. */
export interface LengthGroup {
  readonly key: string
  readonly title: string
  /** Whether it is sheet as wide as its blanks: they can be laid out on any sheet as well. */
  readonly isStrip: boolean
  readonly pieces: readonly { readonly id: string; readonly name: string; readonly qty: number; readonly lengthMm: number }[]
  /** Bars of the drawer that are cut into, under the names they have there. */
  readonly bars: readonly (CutBar & { readonly label: string })[]
  readonly unplaced: number
  readonly why: string
  /** What all pieces take with their cuts, where there is not enough of it. */
  readonly neededMm: number
}

type Blank = PlannedPart['cuts'][number]

interface Wanted {
  readonly id: string
  readonly name: string
  readonly qty: number
  readonly lengthMm: number
  readonly blank: Blank
  /** The width of the strip it is cut from, mm; of wire and tube none. */
  readonly stripMm: number | undefined
}

/** How a blank is cut to length: from wire or tube, or from a strip of the drawer that is as wide as it is. */
function cutToLength(blank: Blank, drawer: readonly StockPiece[]): Pick<Wanted, 'lengthMm' | 'stripMm'> | undefined {
  if (blank.stock === 'wire' || blank.stock === 'tube')
    return blank.lengthMm === undefined ? undefined : { lengthMm: blank.lengthMm, stripMm: undefined }
  for (const stock of drawer) {
    const lengthMm = lengthOnStrip(blank, stock)
    if (lengthMm !== undefined) return { lengthMm, stripMm: stripOf(stock)?.wideMm }
  }
  return undefined
}

function wantedOf(pieces: readonly Piece[], drawer: readonly StockPiece[], options: PlanOptions): Wanted[] {
  return pieces.flatMap((piece) =>
    planDesign(piece.design, options).parts.flatMap((part) =>
      (part.isCut ? part.cuts : []).flatMap((blank): Wanted[] => {
        const cut = cutToLength(blank, drawer)
        if (!cut) return []
        const name = `${piece.name}, ${blank.name}`
        return [{ id: itemId(piece.id, part.id, blank.id), name, qty: countOf(piece, part, blank), blank, ...cut }]
      }),
    ),
  )
}

/** What is cut from the same metal: kind, alloy, thickness, of a strip how wide it is, and of a tube how thick across. */
function metalKey({ blank: { stock, alloy, thicknessMm, outline }, stripMm }: Wanted): string {
  const { minY, maxY } = boundsOf(outline)
  const across = stock === 'tube' ? maxY - minY : stripMm
  return [stock, alloy, thicknessMm.toFixed(3), ...(across === undefined ? [] : [across.toFixed(2)])].join(' ')
}

function titleOf({ blank: { stock, alloy, thicknessMm, outline }, stripMm }: Wanted): string {
  const { minY, maxY } = boundsOf(outline)
  const metal = ALLOYS[alloy].title
  if (stripMm !== undefined) return `${metal}, strip ${formatPlain(stripMm, 2)} mm wide, ${formatPlain(thicknessMm, 2)} mm thick`
  if (stock === 'wire') return `${metal}, ${formatPlain(thicknessMm, 2)} mm wire`
  return `${metal}, ${formatPlain(maxY - minY, 2)} mm tube, wall ${formatPlain(thicknessMm, 2)} mm`
}

/** How much of a piece of the drawer can be cut to length for a blank, mm; 0 where it is other metal. */
function barMm({ blank, stripMm }: Wanted, stock: StockPiece): number {
  if (stripMm !== undefined) return lengthOnStrip(blank, stock) === undefined ? 0 : (stripOf(stock)?.longMm ?? 0)
  return isStockOf(stock, blank) ? (stock.lengthMm ?? 0) : 0
}

function groupOf(wanted: readonly Wanted[], drawer: readonly StockPiece[], kerfMm: number): LengthGroup | undefined {
  const [first] = wanted
  if (!first) return undefined
  const bars = drawer
    .map((stock) => ({ id: String(stock.id), label: stock.label, lengthMm: barMm(first, stock) }))
    .filter(({ lengthMm }) => lengthMm > 0)
  const lengths = wanted.map(({ id, qty, lengthMm }) => ({ id, qty, lengthMm }))
  const neededMm = wanted.reduce((sum, { qty, lengthMm }) => sum + qty * (lengthMm + kerfMm), 0)
  const common = {
    key: metalKey(first),
    title: titleOf(first),
    isStrip: first.stripMm !== undefined,
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

/** All wire and tube of a job, size by size, and what a strip of the drawer is as wide as, cut from what the drawer has. */
export function lengthsOfJob(pieces: readonly Piece[], drawer: readonly StockPiece[], options: PlanOptions, kerfMm: number): LengthGroup[] {
  const groups = new Map<string, Wanted[]>()
  for (const one of wantedOf(pieces, drawer, options)) groups.set(metalKey(one), [...(groups.get(metalKey(one)) ?? []), one])
  return [...groups.values()].flatMap((wanted) => groupOf(wanted, drawer, kerfMm) ?? [])
}
