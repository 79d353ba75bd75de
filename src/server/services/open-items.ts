import { isOpenJob } from '@/core/entries'
import { isSameMetal, type LayoutItem, type LayoutSheet } from '@/core/layout'
import { type AlloyId, findAlloy } from '@/core/metals'
import type { PlanOptions } from '@/core/piece'
import { formatPlain } from '@/core/units'
import type { Repositories, Stock } from '../db/repositories'
import { itemsOfPieces, type JobItem, layoutSheetOf, reservedOn } from './layout-items'

/** So many of the jobs due first are looked through. */
const JOBS_LOOKED_AT = 60
/** So many different blanks are tried on one piece of metal. */
const MOST_TRIED = 24

/** No job has this number: what all of them have lying there is asked for. */
const NO_JOB = -1
/** So many trays of a piece are counted. */
const TRAYS_COUNTED = 50

/** A blank of a job, and how many of it are still to be cut: none where the job is closed. */
interface Wanting extends JobItem {
  readonly wanted: number
}

/** Every blank of the jobs due first; what lies on a sheet, was cut or is at the bench is not wanted any more. */
function jobItems({ jobs, layouts, trays }: Repositories, options: PlanOptions): Wanting[] {
  return jobs.jobs({ page: 1, size: JOBS_LOOKED_AT }).flatMap((job) => {
    const laid = layouts.ofJob(job.id).flatMap(({ placements }) => placements.map(({ id }) => id))
    const pieces = jobs.pieces(job.id)
    const share = new Map(
      pieces.map(({ id, quantity, spares }) => {
        const atBench = trays.ofPiece(id, TRAYS_COUNTED).reduce((sum, { size }) => sum + size, 0)
        return [id, atBench / Math.max(1, quantity + spares)] as const
      }),
    )
    /** What a tray has taken up was cut, with or without a layout. */
    const gone = ({ item, pieceId }: JobItem) =>
      Math.max(laid.filter((one) => one === item.id).length, Math.round(item.qty * (share.get(pieceId) ?? 0)))
    return itemsOfPieces(pieces, options).map((one) => ({ ...one, wanted: isOpenJob(job) ? Math.max(0, one.item.qty - gone(one)) : 0 }))
  })
}

/** A sheet of the drawer as it is free: what jobs have lying there is taken. */
function freeSheet(repositories: Repositories, stock: Stock, options: PlanOptions): LayoutSheet & { readonly label: string } {
  const taken = reservedOn(repositories, stock.id, NO_JOB, options).flatMap(({ regions }) => [...regions])
  return { ...layoutSheetOf(stock), taken, label: stock.label }
}

/** Blanks of one metal and thickness that open jobs still need, and the sheets there are of it. */
export interface WantedMetal {
  readonly key: string
  readonly title: string
  readonly alloy: AlloyId
  readonly thicknessMm: number
  readonly items: readonly { readonly item: LayoutItem; readonly name: string }[]
  readonly sheets: readonly (LayoutSheet & { readonly label: string })[]
}

/** What open jobs still need, by metal and thickness. */
export function wantedMetals(repositories: Repositories, options: PlanOptions): WantedMetal[] {
  const sheets = repositories.drawer
    .all()
    .filter(({ kind, outer }) => kind === 'sheet' && outer)
    .map((stock) => freeSheet(repositories, stock, options))
  const groups = new Map<string, Wanting[]>()
  for (const one of jobItems(repositories, options).filter(({ wanted }) => wanted > 0)) {
    const key = `${one.item.alloy} ${one.item.thicknessMm.toFixed(3)}`
    groups.set(key, [...(groups.get(key) ?? []), one])
  }
  return [...groups].flatMap(([key, items]) => {
    const [first] = items
    const alloy = first && findAlloy(first.item.alloy)
    if (!first || !alloy) return []
    const { thicknessMm } = first.item
    return [
      {
        key,
        title: `${alloy.title}, ${formatPlain(thicknessMm, 2)} mm`,
        alloy: alloy.id,
        thicknessMm,
        items: items.map(({ item, name, wanted }) => ({ item: { ...item, qty: wanted }, name })),
        sheets: sheets.filter((sheet) => isSameMetal(first.item, sheet)),
      },
    ]
  })
}

/** A blank that may be cut from some metal, of an open job or made before. */
export type Makeable = Pick<Wanting, 'item' | 'name' | 'wanted'>

/** Blanks of this metal and thickness: those that open jobs still need, then those of the smith's other pieces. */
export function makeableFrom(repositories: Repositories, stock: Stock, options: PlanOptions): { sheet: LayoutSheet; blanks: Makeable[] } {
  const sheet = freeSheet(repositories, stock, options)
  const own = jobItems(repositories, options).filter(({ item }) => isSameMetal(item, sheet))
  const blanks = [...own.filter(({ wanted }) => wanted > 0), ...own.filter(({ wanted }) => wanted === 0)]
  return { sheet, blanks: blanks.slice(0, MOST_TRIED).map(({ item, name, wanted }) => ({ item, name, wanted })) }
}
