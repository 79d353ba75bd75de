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
}

export interface Placement extends Pose {
  readonly id: string
  readonly copy: number
  readonly sheet: string
}

/** The sheets of an instance; one container is a sheet. */
export function sheetsOf({ sheets, container }: LayoutInput): readonly LayoutSheet[] {
  return sheets ?? (container ? [{ ...container, id: container.id ?? 'container' }] : [])
}

/** Metal that blanks take on their sheets, mm². */
export function laidMm2({ sheets }: Spread): number {
  return sheets.reduce((sum, { blanks }) => blanks.reduce((own, { item }) => own + areaOf(item), sum), 0)
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
