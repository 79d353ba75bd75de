import { findIllegal, type LayoutInput, placedRegion, remnantsOf } from '@/core/layout'
import type { Repositories, StoredLayout } from '../db/repositories'
import { itemsOfPieces, layoutSheetOf } from './layout-items'
import { planOptions } from './piece-plan'

export type CutResult = { readonly ok: true; readonly remnants: readonly string[] } | { readonly ok: false; readonly message: string }

/** The instance a stored layout was made from, as the design stands now. */
export function instanceOf(
  repositories: Repositories,
  layout: Pick<StoredLayout, 'jobId' | 'sheetId' | 'kerfMm' | 'marginMm'>,
): LayoutInput | undefined {
  const stock = repositories.drawer.one(layout.sheetId)
  if (!stock?.outer) return undefined
  const items = itemsOfPieces(repositories.jobs.pieces(layout.jobId), planOptions(repositories)).map((entry) => entry.item)
  return {
    name: '',
    objective: 'place',
    kerfMm: layout.kerfMm,
    marginMm: layout.marginMm,
    seconds: 10,
    iterations: null,
    seed: 1,
    sheets: [layoutSheetOf(stock)],
    items,
  }
}

/** Takes the metal off the sheet: the sheet leaves the drawer, what is left of it goes back in, and the plan is frozen. */
export function cutLayout(repositories: Repositories, id: number): CutResult {
  const layout = repositories.layouts.one(id)
  const stock = layout && repositories.drawer.one(layout.sheetId)
  if (!layout || !stock?.outer) return { ok: false, message: 'This layout or its sheet is no longer there.' }
  if (layout.status === 'cut') return { ok: false, message: 'This layout has been cut already.' }
  if (stock.status !== 'in-drawer') return { ok: false, message: `Sheet ${stock.label} has been cut up. Choose another sheet.` }
  const instance = instanceOf(repositories, layout)
  if (!instance || layout.placements.length === 0) return { ok: false, message: 'Nothing is placed on the sheet yet.' }
  const illegal = findIllegal(instance, layout.placements)
  if (illegal.length > 0) return { ok: false, message: `${illegal.length} of the blanks overlap or lie off the sheet. Move them first.` }
  const items = new Map(instance.items.map((item) => [item.id, item]))
  const outlines = layout.placements.flatMap((place) => {
    const item = items.get(place.id)
    return item ? [placedRegion(item, place)] : []
  })
  const remnants = remnantsOf({ id: String(stock.id), outer: stock.outer, holes: stock.holes }, outlines, layout.kerfMm)
  return repositories.transaction(() => {
    repositories.drawer.markCutUp(stock.id)
    repositories.layouts.markCut(id, { instance, placements: layout.placements })
    const labels = remnants.map((remnant, i) => {
      const label = `${stock.label}${remnants.length > 1 ? String.fromCharCode(97 + (i % 26)) : 'r'}`
      repositories.drawer.add({ ...stock, label, outer: remnant.outer, holes: remnant.holes, parentId: stock.id })
      return label
    })
    return { ok: true, remnants: labels }
  })
}
