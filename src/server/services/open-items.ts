import { isSameMetal, type LayoutItem, type LayoutSheet } from '@/core/layout'
import { ALLOYS } from '@/core/metals'
import type { PlanOptions } from '@/core/piece'
import { formatPlain } from '@/core/units'
import type { Repositories, Stock } from '../db/repositories'
import { itemsOfPieces, type JobItem, layoutSheetOf, reservedOn } from './layout-items'

/** So many of the jobs due first are looked through. */
const JOBS_LOOKED_AT = 60
/** So many different blanks are tried on one piece of metal. */
const MOST_TRIED = 24
const CLOSED = new Set(['done', 'handed-over'])

/** So many trays of a piece are counted. */
const TRAYS_COUNTED = 50

/** Blanks of open jobs that lie on no sheet yet and are not at the bench. */
function openItems({ jobs, layouts, trays }: Repositories, options: PlanOptions): JobItem[] {
  const open = jobs.jobs({ page: 1, size: JOBS_LOOKED_AT }).filter(({ status }) => !CLOSED.has(status))
  return open.flatMap((job) => {
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
    return itemsOfPieces(pieces, options)
      .map((one) => ({ ...one, item: { ...one.item, qty: Math.max(0, one.item.qty - gone(one)) } }))
      .filter(({ item }) => item.qty > 0)
  })
}

/** The sheets of the drawer as they are free: what jobs have lying there is taken. */
function freeSheets(repositories: Repositories, options: PlanOptions): (LayoutSheet & { readonly label: string })[] {
  const sheets = repositories.drawer.all().filter(({ kind, outer }) => kind === 'sheet' && outer)
  return sheets.map((stock) => {
    const taken = reservedOn(repositories, stock.id, -1, options).flatMap(({ regions }) => [...regions])
    return { ...layoutSheetOf(stock), taken, label: stock.label }
  })
}

/** Blanks of one metal and thickness that open jobs still need, and the sheets there are of it. */
export interface WantedMetal {
  readonly key: string
  readonly title: string
  readonly alloy: string
  readonly thicknessMm: number
  readonly items: readonly { readonly item: LayoutItem; readonly name: string }[]
  readonly sheets: readonly (LayoutSheet & { readonly label: string })[]
}

/** What open jobs still need, by metal and thickness. */
export function wantedMetals(repositories: Repositories, options: PlanOptions): WantedMetal[] {
  const sheets = freeSheets(repositories, options)
  const groups = new Map<string, JobItem[]>()
  for (const one of openItems(repositories, options)) {
    const key = `${one.item.alloy} ${one.item.thicknessMm.toFixed(3)}`
    groups.set(key, [...(groups.get(key) ?? []), one])
  }
  return [...groups].flatMap(([key, items]) => {
    const [first] = items
    if (!first) return []
    const { alloy, thicknessMm } = first.item
    const metal = Object.values(ALLOYS).find(({ id }) => id === alloy)?.title ?? alloy
    return [
      {
        key,
        title: `${metal}, ${formatPlain(thicknessMm, 2)} mm`,
        alloy,
        thicknessMm,
        items: items.map(({ item, name }) => ({ item, name })),
        sheets: sheets.filter((sheet) => isSameMetal(first.item, sheet)),
      },
    ]
  })
}

/** A blank that may be cut from some metal, of an open job or made before. */
export interface Makeable {
  readonly item: LayoutItem
  readonly name: string
  readonly wanted: number
}

/** Blanks of this metal and thickness: those that open jobs still need, then those of the smith's other pieces. */
export function makeableFrom(repositories: Repositories, stock: Stock, options: PlanOptions): { sheet: LayoutSheet; blanks: Makeable[] } {
  const [sheet] = freeSheets(repositories, options).filter(({ id }) => id === String(stock.id))
  const own = sheet ?? layoutSheetOf(stock)
  const open = openItems(repositories, options).filter(({ item }) => isSameMetal(item, own))
  const jobs = repositories.jobs.jobs({ page: 1, size: JOBS_LOOKED_AT })
  const past = jobs
    .flatMap((job) => itemsOfPieces(repositories.jobs.pieces(job.id), options))
    .filter(({ item }) => isSameMetal(item, own) && !open.some((one) => one.item.id === item.id))
  const blanks = [
    ...open.map(({ item, name }) => ({ item, name, wanted: item.qty })),
    ...past.map(({ item, name }) => ({ item, name, wanted: 0 })),
  ]
  return { sheet: own, blanks: blanks.slice(0, MOST_TRIED) }
}
