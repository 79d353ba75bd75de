import { rectangleOutline } from '@/core/geometry'
import { areaOf, type LayoutInput, type LayoutItem, type LayoutSheet, type Placement, reachOn } from '@/core/layout'
import { bestPacked } from '@/workers/pack-client'

/** Widths that sheet is sold in or cut to, mm. */
export const WIDTHS_MM = [50, 75, 100, 150, 200, 300] as const
/** The drawer is searched so long, and each width. */
const SECONDS = { drawer: 2, width: 0.6 } as const
/** A strip to search on is so many times as long as its metal alone would need, and this longer, mm. */
const ROOM = { times: 2.5, moreMm: 120 } as const

type Gaps = Pick<LayoutInput, 'kerfMm' | 'marginMm'>

/** A sheet to buy, and how its blanks lie on it. */
export interface SmallestSheet {
  readonly sheet: LayoutSheet
  readonly lengthMm: number
  readonly widthMm: number
  readonly placements: readonly Placement[]
}

function search(
  sheets: readonly LayoutSheet[],
  items: readonly LayoutItem[],
  gaps: Gaps,
  objective: 'place' | 'length',
  seconds: number,
): LayoutInput {
  return { name: '', objective, ...gaps, seconds, iterations: null, seed: 1, sheets: [...sheets], items: [...items] }
}

/** What the drawer takes of some blanks, and what is left of them. */
export async function onDrawer(sheets: readonly LayoutSheet[], items: readonly LayoutItem[], gaps: Gaps, signal: AbortSignal) {
  const placements = sheets.length === 0 ? [] : await bestPacked(search(sheets, items, gaps, 'place', SECONDS.drawer), signal)
  const left = items
    .map((item) => ({ ...item, qty: item.qty - placements.filter(({ id }) => id === item.id).length }))
    .filter(({ qty }) => qty > 0)
  return { placements, left }
}

/** The smallest sheet that takes all of some blanks, over the widths it is sold in, that a short search finds; undefined where it finds none. */
export async function smallestSheet(items: readonly LayoutItem[], gaps: Gaps, signal: AbortSignal): Promise<SmallestSheet | undefined> {
  const wanted = items.reduce((sum, { qty }) => sum + qty, 0)
  const metalMm2 = items.reduce((sum, item) => sum + item.qty * areaOf(item), 0)
  const [first] = items
  const byId = new Map(items.map((item) => [item.id, item]))
  let best: SmallestSheet | undefined
  for (const widthMm of WIDTHS_MM) {
    const roomMm = Math.ceil((ROOM.times * metalMm2) / widthMm + ROOM.moreMm)
    const outer = rectangleOutline(roomMm, widthMm).map(([x, y]): [number, number] => [x, y])
    const sheet: LayoutSheet = {
      id: 'new',
      outer,
      holes: [],
      alloy: first?.alloy ?? '',
      thicknessMm: first?.thicknessMm ?? 0,
      rollingDirectionDeg: null,
      costRank: 0,
    }
    const placements = await bestPacked(search([sheet], items, gaps, 'length', SECONDS.width), signal)
    if (signal.aborted) return best
    if (placements.length < wanted) continue
    const blanks = placements.flatMap((pose) => {
      const item = byId.get(pose.id)
      return item ? [{ item, pose }] : []
    })
    const lengthMm = Math.ceil(reachOn(sheet, blanks) + gaps.marginMm)
    if (best && lengthMm * widthMm >= best.lengthMm * best.widthMm) continue
    const cut = rectangleOutline(lengthMm, widthMm).map(([x, y]): [number, number] => [x, y])
    best = { sheet: { ...sheet, outer: cut }, lengthMm, widthMm, placements }
  }
  return best
}
