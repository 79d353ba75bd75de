import { boundsOf, type Point } from '../geometry/point'
import { seededRandom } from '../numerics/random'
import { boxLayout } from './box-layout'
import { boxCandidates, discCandidates, type SheetRoom } from './candidates'
import { areaOf, isSameMetal } from './item'
import type { LayoutInput, LayoutItem, LayoutSheet } from './schema'
import { heldAngles, isFreeOn, type PlacedShape, type Pose, placeItem, shapeOf } from './shape'
import { isAllLaid, type LayoutControl, laidMm2, type OnSheet, type Spread, sheetsOf } from './spread'

interface OpenSheet {
  readonly sheet: LayoutSheet
  readonly room: SheetRoom
  /** What lies there, what others have there first. */
  readonly placed: PlacedShape[]
  readonly blanks: OnSheet[]
}

/** The ways in which an item is tried that may be turned freely. */
const TRIED_DEG = [0, 90, 30, 60, 120, 150]

/** Lowest along x, then y: fills from the left end so that what is left is one piece. */
function byLeft(a: Point, b: Point): number {
  return a[0] - b[0] || a[1] - b[1]
}

function findPose(item: LayoutItem, open: OpenSheet, stop: () => boolean): Pose | undefined {
  let best: Pose | undefined
  let bestEdge = Infinity
  const sheetBox = boundsOf(open.sheet.outer)
  for (const rotationDeg of heldAngles(item, open.sheet) ?? TRIED_DEG) {
    const lying = placeItem(item, { x: 0, y: 0, rotationDeg })
    const spots = item.circle
      ? discCandidates(item.circle.radiusMm, open.room, open.placed, stop)
      : boxCandidates(lying.bounds, open.room, sheetBox, open.placed)
    for (const [x, y] of spots.sort(byLeft)) {
      if (x + lying.bounds.maxX >= bestEdge - 1e-9) break
      if (stop()) return best
      const shape = placeItem(item, { x, y, rotationDeg })
      if (!isFreeOn(shape, open.room, open.placed, open.room)) continue
      best = { x, y, rotationDeg }
      bestEdge = x + lying.bounds.maxX
      break
    }
  }
  return best
}

function openSheets(input: LayoutInput): OpenSheet[] {
  return sheetsOf(input).map((sheet) => ({
    sheet,
    placed: (sheet.taken ?? []).map(shapeOf),
    blanks: [],
    room: { outer: sheet.outer, holes: sheet.holes, marginMm: input.marginMm, kerfMm: input.kerfMm },
  }))
}

/** Tries in another order, where not all blanks found a place in the first. */
const MOST_TRIES = 2

/** A plain first layout and how many blanks were tried for it. */
interface First extends Spread {
  readonly iterations: number
}

/**
 * Places blanks on sheets, largest first, each as far left as it will go: a plain, honest first layout. Discs touch exactly; other
 * outlines go against boxes. Sheets are used in order of `costRank`, then smallest first. Where some find no place it tries another
 * order, drawn from the seed, and boxes in columns, and keeps the best. Stops when told to, with what it has.
 */
export function firstLayout(input: LayoutInput, control: LayoutControl): First {
  const largestFirst = [...input.items].sort((a, b) => areaOf(b) - areaOf(a))
  const random = seededRandom(input.seed)
  let best = layInOrder(input, largestFirst, control, 0)
  let { iterations } = best
  for (let time = 1; time < MOST_TRIES && !isAllLaid(best) && !control.shouldStop(); time++) {
    if (iterations >= (input.iterations ?? Infinity)) break
    const weight = new Map(input.items.map((item) => [item.id, areaOf(item) * (0.5 + random())]))
    const order = [...input.items].sort((a, b) => (weight.get(b.id) ?? 0) - (weight.get(a.id) ?? 0))
    const next = layInOrder(input, order, control, iterations)
    iterations = next.iterations
    if (laidMm2(next) > laidMm2(best)) best = next
  }
  // where the time did not suffice, boxes in columns may lay more
  const boxed =
    isAllLaid(best) || iterations >= (input.iterations ?? Infinity)
      ? best
      : boxLayout(
          input,
          best.sheets.map(({ sheet }) => sheet),
        )
  return { ...(laidMm2(boxed) > laidMm2(best) ? boxed : best), iterations }
}

function layInOrder(input: LayoutInput, order: readonly LayoutItem[], control: LayoutControl, done: number): First {
  const sheets = openSheets(input)
  const left = new Map(input.items.map((item) => [item, item.qty]))
  const limit = input.iterations ?? Infinity
  let iterations = done
  for (const item of order) {
    for (let copy = 0; copy < item.qty; copy++) {
      if (control.shouldStop() || iterations >= limit) return { sheets, left, iterations }
      iterations++
      const home = sheets
        .filter((open) => isSameMetal(item, open.sheet))
        .find((open) => {
          const pose = findPose(item, open, control.shouldStop)
          if (!pose) return false
          open.placed.push(placeItem(item, pose))
          open.blanks.push({ item, pose })
          left.set(item, (left.get(item) ?? 0) - 1)
          return true
        })
      if (!home) break
    }
  }
  return { sheets, left, iterations }
}
