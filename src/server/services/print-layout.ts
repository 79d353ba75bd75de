import * as z from 'zod'
import { type CutSheetItem, cutSheetSvg } from '@/core/drawing'
import { findIllegal, type LayoutInput, layoutInput } from '@/core/layout'
import { placedBlanks } from '@/core/sawing'
import type { Repositories, StoredLayout } from '../db/repositories'
import type { LayoutPrint } from '../export/layout-pdf'
import type { Paper } from '../export/pdf-kit'
import { instanceOf, sayIllegal } from './cut-layout'
import { namesOfItems } from './layout-items'

const frozenSchema = z.object({ instance: layoutInput })

/** The instance as it was when the layout was cut, or as the design stands now. */
export function instanceFor(repositories: Repositories, layout: StoredLayout): LayoutInput | undefined {
  const frozen = layout.frozen ? frozenSchema.safeParse(JSON.parse(layout.frozen)) : undefined
  return frozen?.success ? frozen.data.instance : instanceOf(repositories, layout)
}

/** What a stored layout prints: sheet, blanks where they lie, and the printer's correction. */
export function printOf(repositories: Repositories, id: number, paper?: Paper): LayoutPrint | undefined {
  const layout = repositories.layouts.one(id)
  const instance = layout && instanceFor(repositories, layout)
  const sheet = instance?.sheets?.[0]
  if (!layout || !instance || !sheet) return undefined
  const settings = repositories.settings.read()
  const blanks = placedBlanks(instance, layout.placements, namesOfItems(repositories, layout.jobId))
  const job = repositories.jobs.job(layout.jobId)
  const stock = repositories.drawer.one(layout.sheetId)
  return {
    title: `${job?.title ?? 'Layout'}, sheet ${stock?.label ?? layout.sheetId}`,
    sheet,
    blanks,
    paper: paper ?? settings.paper,
    checkBarMm: settings.checkBarMm,
    fault: layout.status === 'cut' ? undefined : sayIllegal(findIllegal(instance, layout.placements)),
  }
}

/** The layout as SVG in real millimetres. */
export function svgOf(print: LayoutPrint): string {
  const items: CutSheetItem[] = [
    { kind: 'stock', outlines: [print.sheet.outer, ...print.sheet.holes] },
    ...print.blanks.map((blank): CutSheetItem => ({ kind: 'cut', outlines: [blank.outer, ...blank.holes] })),
  ]
  return cutSheetSvg(print.fault ? `${print.title}. ${print.fault}` : print.title, items)
}
