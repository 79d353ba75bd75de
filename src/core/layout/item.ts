import type { Region } from '../geometry/clip'
import { circleOutline, netAreaMm2 } from '../geometry/outline'
import { type Outline, placeOutline } from '../geometry/point'
import type { LayoutItem, LayoutSheet, Taken } from './schema'
import type { Pose } from './shape'

function outlineOf(item: LayoutItem): Outline {
  return item.circle ? circleOutline(item.circle.radiusMm) : (item.outer ?? [])
}

/** Metal of an item, without its windows, mm². */
export function areaOf(item: LayoutItem): number {
  return item.circle ? Math.PI * item.circle.radiusMm ** 2 : netAreaMm2(item.outer ?? [], item.holes)
}

/** An item where it lies on the sheet, with its holes. */
export function placedRegion(item: LayoutItem, pose: Pose): Region {
  const put = (outline: Outline) => placeOutline(outline, (pose.rotationDeg * Math.PI) / 180, pose.x, pose.y)
  return { outer: put(outlineOf(item)), holes: item.holes.map(put) }
}

const points = (outline: Outline) => outline.map(([x, y]): [number, number] => [x, y])

/** A blank where it lies as what others find taken: its windows are room, and a disc is the circle it is. */
export function takenBy(item: LayoutItem, pose: Pose): Taken {
  const { outer, holes } = placedRegion(item, pose)
  const circle = item.circle && { centre: [pose.x, pose.y] as [number, number], radiusMm: item.circle.radiusMm }
  return { outer: points(outer), holes: holes.map(points), ...(circle ? { circle } : {}) }
}

/** Whether an item may be cut from a sheet: of its alloy, and its thickness within rolling tolerance, where either is named. */
export function isSameMetal(item: LayoutItem, sheet: LayoutSheet): boolean {
  const metal = item.alloy === '' || sheet.alloy === '' || item.alloy === sheet.alloy
  const tolerance = 0.05 * Math.max(item.thicknessMm, sheet.thicknessMm)
  return metal && (item.thicknessMm === 0 || sheet.thicknessMm === 0 || Math.abs(item.thicknessMm - sheet.thicknessMm) <= tolerance + 1e-9)
}
