import { boundsOf, type Outline, type Point, placeOutline } from '@/core/geometry'
import { type LayoutItem, type LayoutSheet, type Placement, type Taken, takenBy } from '@/core/layout'
import type { PlannedPart, PlanOptions } from '@/core/piece'
import type { Piece, Repositories, Stock } from '../db/repositories'
import { planDesign, planOptions } from './piece-plan'

/** A blank of a job as the layout takes it, with the words for its label. */
export interface JobItem {
  readonly item: LayoutItem
  readonly name: string
  readonly pieceId: number
}

/** How many of a blank a job takes: quantity and spares, as often as the part and the blank stand in the piece. */
export function countOf(piece: Piece, part: PlannedPart, blank: { readonly each?: number }): number {
  return (piece.quantity + piece.spares) * part.count * (blank.each ?? 1)
}

/** Blanks are known by their piece, their part and their own id, whatever else the piece comes to cut. */
export function itemId(pieceId: number, part: string, blank: string): string {
  return `piece-${pieceId}/${part}/${blank}`
}

/** Whether an item of a layout is a blank of this piece. */
export function isItemOf(id: string, pieceId: number): boolean {
  return id.split('/')[0] === `piece-${pieceId}`
}

/** What each item of a job's layout is called: by its piece. */
export function namesOfItems({ jobs }: Pick<Repositories, 'jobs'>, jobId: number): (id: string) => string {
  const pieces = jobs.pieces(jobId)
  return (id) => pieces.find((piece) => isItemOf(id, piece.id))?.name ?? id
}

/** A line on a blank that is not cut. */
export interface BlankMark {
  readonly purpose: 'scribe' | 'fold'
  readonly points: readonly Point[]
}

/** Two outlines are one where their boxes are within this, mm. */
const SAME_MM = 0.02

function isSameBox(a: Outline, b: Outline): boolean {
  const [one, other] = [boundsOf(a), boundsOf(b)]
  return (['minX', 'maxX', 'minY', 'maxY'] as const).every((side) => Math.abs(one[side] - other[side]) <= SAME_MM)
}

/** The lines drawn on a flat blank, in its own millimetres: of the view that shows this very outline. */
function marksOf({ result }: PlannedPart, outline: Outline): BlankMark[] {
  const flat = result?.drawing.views.find(({ shapes }) =>
    shapes.some((shape) => shape.kind === 'region' && isSameBox(shape.outer, outline)),
  )
  return (flat?.shapes ?? []).flatMap((shape): BlankMark[] =>
    shape.kind === 'line' && (shape.layer === 'scribe' || shape.layer === 'fold') ? [{ purpose: shape.layer, points: shape.points }] : [],
  )
}

/** The lines on the blanks of a layout where they lie, by item and copy; of blanks whose design is still as it was. */
export function marksOfItems(
  repositories: Repositories,
  jobId: number,
  items: readonly LayoutItem[],
  placements: readonly Placement[],
): ReadonlyMap<string, readonly BlankMark[]> {
  const options = planOptions(repositories)
  const own = new Map<string, readonly BlankMark[]>()
  for (const piece of repositories.jobs.pieces(jobId))
    for (const part of planDesign(piece.design, options).parts)
      for (const { item } of itemsOfPart(piece, part)) {
        const stands = items.find(({ id }) => id === item.id)
        if (stands && item.outer && stands.outer && isSameBox(item.outer, stands.outer)) own.set(item.id, marksOf(part, item.outer))
      }
  return new Map(
    placements.map((place) => {
      const turn = (place.rotationDeg * Math.PI) / 180
      const marks = (own.get(place.id) ?? []).map((mark) => ({ ...mark, points: placeOutline(mark.points, turn, place.x, place.y) }))
      return [`${place.id} ${place.copy}`, marks]
    }),
  )
}

/** The blanks of one part cut from sheet, as many as its pieces take, circles kept exact. */
function itemsOfPart(piece: Piece, part: PlannedPart): { readonly item: LayoutItem; readonly blank: string }[] {
  const { id, cuts, isCut } = part
  const blanks = isCut ? cuts.filter((blank) => blank.stock === 'sheet') : []
  return blanks.map((blank) => {
    const shape =
      blank.circleRadiusMm === undefined
        ? { outer: blank.outline.map(([x, y]): [number, number] => [x, y]) }
        : { circle: { radiusMm: blank.circleRadiusMm } }
    const rotations: LayoutItem['rotations'] = blank.circleRadiusMm === undefined ? [0, 90] : [0]
    const item = {
      id: itemId(piece.id, id, blank.id),
      qty: countOf(piece, part, blank),
      holes: blank.holes.map((hole) => hole.map(([x, y]): [number, number] => [x, y])),
      alloy: blank.alloy,
      thicknessMm: blank.thicknessMm,
      rotations,
      ...shape,
    }
    return { item, blank: blank.name }
  })
}

/** Blanks of a job's pieces cut from sheet: of every part that has its size, quantity and spares. */
export function itemsOfPieces(pieces: readonly Piece[], options: PlanOptions): JobItem[] {
  return pieces.flatMap((piece) => {
    const { parts } = planDesign(piece.design, options)
    const items = parts.flatMap((part) => itemsOfPart(piece, part).map((one) => ({ ...one, part })))
    return items.map(({ item, blank, part }) => {
      const own = parts.length > 1 ? `${piece.name}, ${part.name.toLowerCase()}` : `${piece.name}, ${blank}`
      return { item, name: items.length > 1 ? own : piece.name, pieceId: piece.id }
    })
  })
}

const points = (outline: readonly (readonly [number, number])[]) => outline.map(([x, y]): [number, number] => [x, y])

/** A sheet of the drawer as the layout takes it; the measured thickness wins over the nominal. */
export function layoutSheetOf(stock: Stock): LayoutSheet {
  return {
    id: String(stock.id),
    outer: points(stock.outer ?? []),
    holes: stock.holes.map(points),
    alloy: stock.alloy,
    thicknessMm: stock.measuredMm ?? stock.thicknessMm,
    rollingDirectionDeg: null,
    costRank: 0,
  }
}

/** What another job has reserved on a sheet. */
export interface Reserved {
  readonly jobId: number
  readonly jobTitle: string
  readonly regions: readonly Taken[]
}

/** Blanks that other jobs' drafts have lying on a sheet. */
export function reservedOn(repositories: Repositories, sheetId: number, besidesJob: number, options: PlanOptions): Reserved[] {
  return repositories.layouts.draftsOn(sheetId, besidesJob).flatMap((draft): Reserved[] => {
    const items = new Map(itemsOfPieces(repositories.jobs.pieces(draft.jobId), options).map(({ item }) => [item.id, item]))
    const regions = draft.placements.flatMap((place) => {
      const item = items.get(place.id)
      return item ? [takenBy(item, place)] : []
    })
    const jobTitle = repositories.jobs.job(draft.jobId)?.title ?? ''
    return regions.length === 0 ? [] : [{ jobId: draft.jobId, jobTitle, regions }]
  })
}
