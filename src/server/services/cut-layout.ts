import { ILLEGAL_WORDS, type Illegality, type LayoutInput } from '@/core/layout'
import { gapFor } from '@/core/sawing'
import type { Cut, Repositories, Stock, StoredLayout } from '../db/repositories'
import { runTask } from '../long/run-task'
import { itemsOfPieces, layoutSheetOf, reservedOn } from './layout-items'
import { planOptions } from './piece-plan'
import { sawBench } from './saw-plan'

export type CutResult = { readonly ok: true; readonly remnants: readonly string[] } | { readonly ok: false; readonly message: string }

const CUT_SECONDS = 30

/** The instance a stored layout was made from, as the designs and the drawer stand now; other jobs' blanks on the sheet are taken. */
export function instanceOf(
  repositories: Repositories,
  layout: Pick<StoredLayout, 'jobId' | 'sheetId' | 'kerfMm' | 'marginMm'> & Partial<Pick<StoredLayout, 'lines'>>,
): LayoutInput | undefined {
  const stock = repositories.drawer.one(layout.sheetId)
  if (!stock?.outer) return undefined
  const options = planOptions(repositories)
  const items = itemsOfPieces(repositories.jobs.pieces(layout.jobId), options).map((entry) => entry.item)
  const taken = reservedOn(repositories, layout.sheetId, layout.jobId, options).flatMap((reserved) => reserved.regions)
  return {
    name: '',
    objective: 'place',
    kerfMm: gapFor(layout.kerfMm, layout.lines ?? {}),
    marginMm: layout.marginMm,
    seconds: 10,
    iterations: null,
    seed: 1,
    sheets: [{ ...layoutSheetOf(stock), taken: [...taken] }],
    items,
  }
}

/** What keeps a layout from being cut, in one sentence; undefined where it can be cut. */
export function sayIllegal(illegal: readonly Illegality[]): string | undefined {
  if (illegal.length === 0) return undefined
  const reasons = [...new Set(illegal.map((item) => item.reason))]
  const parts = reasons.map((reason) => `${illegal.filter((item) => item.reason === reason).length} ${ILLEGAL_WORDS[reason]}`)
  return `Cannot be cut as it lies: ${parts.join(', ')}.`
}

const when = (at: string) => at.slice(0, 10)

/** What happened to a sheet that is no longer whole. */
export function sayCut(stock: Pick<Stock, 'label'>, cut: Cut | undefined, remnants: readonly Pick<Stock, 'label' | 'status'>[]): string {
  const left = remnants.filter((remnant) => remnant.status === 'in-drawer').map((remnant) => remnant.label)
  const by = cut ? ` for “${cut.jobTitle}” on ${when(cut.at)}` : ''
  return `Sheet ${stock.label} was cut${by}. ${left.length > 0 ? `Of it there is ${left.join(', ')} in the drawer.` : 'Nothing of it is left in the drawer.'}`
}

/** That a sheet was put away, and what to do. */
export function sayArchived(stock: Pick<Stock, 'label'>): string {
  return `Sheet ${stock.label} is in the archive. Take it out there, or choose another sheet.`
}

/** What must still be as it was when the cut was worked out. */
function standOf(repositories: Repositories, layout: StoredLayout): string {
  const drafts = repositories.layouts.draftsOn(layout.sheetId, layout.jobId).map((draft) => [draft.id, draft.revision])
  const pieces = repositories.jobs.pieces(layout.jobId).map((piece) => [piece.id, piece.revision])
  const stock = repositories.drawer.one(layout.sheetId)
  return JSON.stringify([repositories.layouts.one(layout.id)?.revision, stock?.revision, stock?.status, drafts, pieces])
}

function nextLabels(repositories: Repositories, label: string, count: number): string[] {
  const used = new Set(repositories.drawer.labelsFrom(label))
  const letters = Array.from(
    { length: 26 * 27 },
    (_, i) => (i < 26 ? '' : String.fromCharCode(96 + Math.floor(i / 26))) + String.fromCharCode(97 + (i % 26)),
  )
  const tails = count === 1 ? ['r', ...letters] : letters
  return tails
    .map((tail) => `${label}${tail}`)
    .filter((candidate) => !used.has(candidate))
    .slice(0, count)
}

/**
 * Takes the metal off the sheet: the sheet leaves the drawer, what is left of it goes back in, and the plan is frozen. What is left is
 * worked out beforehand, in a thread; the writing then checks that layout, sheet, pieces and other jobs' layouts are still the same.
 */
export async function cutLayout(repositories: Repositories, id: number): Promise<CutResult> {
  const layout = repositories.layouts.one(id)
  const stock = layout && repositories.drawer.one(layout.sheetId)
  if (!layout || !stock?.outer) return { ok: false, message: 'This layout or its sheet is no longer there.' }
  if (layout.status === 'cut') return { ok: false, message: 'This layout has been cut already.' }
  if (stock.status !== 'in-drawer')
    return {
      ok: false,
      message: `${sayCut(stock, repositories.layouts.lastCutOf(stock.id), repositories.drawer.remnantsOf(stock.id))} Choose another sheet.`,
    }
  if (stock.archivedAt !== null) return { ok: false, message: sayArchived(stock) }
  const instance = instanceOf(repositories, layout)
  if (!instance || layout.placements.length === 0) return { ok: false, message: 'Nothing is placed on the sheet yet.' }
  const stand = standOf(repositories, layout)
  const { illegal, remnants, sawnMm2 } = await runTask(
    'afterCut',
    { instance, placements: layout.placements, lines: layout.lines, kerfMm: layout.kerfMm, ...sawBench(repositories) },
    { seconds: CUT_SECONDS },
  )
  const fault = sayIllegal(illegal)
  if (fault) return { ok: false, message: `${fault} Move them first.` }
  return repositories.transaction(() => {
    if (standOf(repositories, layout) !== stand)
      return { ok: false, message: 'The sheet or the layout was changed meanwhile. Look at it again, then cut.' }
    repositories.drawer.move(stock.id, 'in-drawer', 'cut-up')
    repositories.layouts.cut(layout, { instance, placements: layout.placements }, sawnMm2)
    const labels = nextLabels(repositories, stock.label, remnants.length)
    remnants.forEach((remnant, i) => {
      repositories.drawer.add({ ...stock, label: labels[i] ?? stock.label, outer: remnant.outer, holes: remnant.holes, parentId: stock.id })
    })
    return { ok: true, remnants: labels }
  })
}

/** Puts a cut back: the sheet is whole again and its layout a draft, as long as no remnant of it has been cut since. */
export function putBackCut(
  repositories: Repositories,
  layoutId: number,
): { readonly ok: true } | { readonly ok: false; readonly message: string } {
  return repositories.transaction(() => {
    const cut = repositories.layouts.lastCutBy(layoutId)
    const stock = cut && repositories.drawer.one(cut.sheetId)
    if (!cut || !stock || cut.putBackAt !== null || stock.status !== 'cut-up')
      return { ok: false, message: 'There is no cut here to put back.' }
    const layout = repositories.layouts.one(layoutId)
    if (layout && repositories.layouts.draftOf(layout.jobId))
      return { ok: false, message: 'This job has a newer layout. Clear that one first; a job has one layout at a time.' }
    const remnants = repositories.drawer.remnantsOf(stock.id).filter((remnant) => remnant.status !== 'put-back')
    const used = remnants.find((remnant) => remnant.status !== 'in-drawer')
    if (used) return { ok: false, message: `${used.label} has been used since; the sheet cannot be put together again.` }
    for (const remnant of remnants) repositories.drawer.move(remnant.id, 'in-drawer', 'put-back')
    repositories.drawer.move(stock.id, 'cut-up', 'in-drawer')
    repositories.layouts.putBack(cut)
    return { ok: true }
  })
}
