import { netAreaMm2 } from '../geometry/outline'
import { areaOf } from './item'
import type { LayoutInput, LayoutItem, LayoutSheet } from './schema'
import type { Pose } from './shape'

/** A blank on a sheet, by its item. */
export interface OnSheet {
  readonly item: LayoutItem
  readonly pose: Pose
}

/** What lies on each sheet, the sheets in the order in which they are used up, and what found no place, by item. */
export interface Spread {
  readonly sheets: readonly { readonly sheet: LayoutSheet; readonly blanks: readonly OnSheet[] }[]
  readonly left: ReadonlyMap<LayoutItem, number>
}

/** The caller's clock and stop button: the core has neither. */
export interface LayoutControl {
  readonly shouldStop: () => boolean
  readonly elapsedS: () => number
  /** Told of each better way to lay the blanks as it is found. */
  readonly tell?: (placements: readonly Placement[]) => void
  /** What a search that runs beside this one has come to since it was last asked; undefined where that is nothing. */
  readonly heard?: () => readonly Placement[] | undefined
}

export interface Placement extends Pose {
  readonly id: string
  readonly copy: number
  readonly sheet: string
  /** Held where it lies: a search lays the others round it. */
  readonly pinned?: boolean | undefined
}

/** The sheets of an instance in the order in which they are used up: by `costRank`, then the smallest first. One container is a sheet. */
export function sheetsOf({ sheets, container }: LayoutInput): readonly LayoutSheet[] {
  const all = sheets ?? (container ? [{ ...container, id: container.id ?? 'container' }] : [])
  const area = (sheet: LayoutSheet) => netAreaMm2(sheet.outer, sheet.holes)
  return [...all].sort((a, b) => a.costRank - b.costRank || area(a) - area(b))
}

/** Metal that blanks take, mm². */
export const metalMm2 = (blanks: readonly Pick<OnSheet, 'item'>[]): number => blanks.reduce((sum, { item }) => sum + areaOf(item), 0)

/** Metal that blanks take on all their sheets, mm². */
export const laidMm2 = ({ sheets }: Spread): number => sheets.reduce((sum, { blanks }) => sum + metalMm2(blanks), 0)

/** What is left when other blanks lie on a sheet than before. */
export function withExchanged(
  left: ReadonlyMap<LayoutItem, number>,
  before: readonly OnSheet[],
  now: readonly OnSheet[],
): Map<LayoutItem, number> {
  const next = new Map(left)
  for (const { item } of before) next.set(item, (next.get(item) ?? 0) + 1)
  for (const { item } of now) next.set(item, (next.get(item) ?? 0) - 1)
  return next
}

/** A spread with other blanks on one of its sheets. */
export function laidOn({ sheets, left }: Spread, k: number, blanks: readonly OnSheet[]): Spread {
  const before = sheets[k]?.blanks ?? []
  return { sheets: sheets.map((one, i) => (i === k ? { ...one, blanks } : one)), left: withExchanged(left, before, blanks) }
}

/** As many of what is left as fit into so much metal by their areas, the first of the list first. */
export function asManyAsFit(left: readonly (readonly [LayoutItem, number])[], roomMm2: number): readonly LayoutItem[] {
  let free = roomMm2
  return left.flatMap(([item, count]) => {
    const some = Math.min(count, Math.max(0, Math.floor(free / areaOf(item))))
    free -= some * areaOf(item)
    return Array.from({ length: some }, () => item)
  })
}

/** Whether every blank that was asked for has its place. */
export const isAllLaid = ({ left }: Spread): boolean => [...left.values()].every((count) => count <= 0)

/** Where each blank lies, the copies of an item counted from 0. */
export function placementsIn({ sheets }: Spread): readonly Placement[] {
  const copies = new Map<string, number>()
  return sheets.flatMap(({ sheet, blanks }) =>
    blanks.map(({ item, pose }): Placement => {
      const copy = copies.get(item.id) ?? 0
      copies.set(item.id, copy + 1)
      return { id: item.id, copy, sheet: sheet.id, x: pose.x, y: pose.y, rotationDeg: pose.rotationDeg }
    }),
  )
}

/** Placements as they lie on the sheets of an instance. */
export function spreadOf(input: LayoutInput, placements: readonly Placement[]): Spread {
  const items = new Map(input.items.map((item) => [item.id, item]))
  const blanksOn = ({ id }: LayoutSheet) =>
    placements.flatMap(({ id: of, sheet, x, y, rotationDeg }): readonly OnSheet[] => {
      const item = items.get(of)
      return item && sheet === id ? [{ item, pose: { x, y, rotationDeg } }] : []
    })
  const sheets = sheetsOf(input).map((sheet) => ({ sheet, blanks: blanksOn(sheet) }))
  const asked = new Map(input.items.map((item) => [item, item.qty]))
  const blanks = sheets.flatMap(({ blanks }) => blanks)
  return { sheets, left: withExchanged(asked, [], blanks) }
}
