import { offsetOutline, type Region, subtractRegions, uniteRegions } from '../geometry/clip'
import { circleOutline, netAreaMm2, perimeterMm } from '../geometry/outline'
import { boundsOf, type Outline, type Point, placeOutline } from '../geometry/point'
import { seededRandom } from '../numerics/random'
import { boxCandidates, discCandidates, type SheetRoom } from './candidates'
import { makeRoom, ROUNDS_A_SECOND } from './more-room'
import type { LayoutInput, LayoutItem, LayoutSheet } from './schema'
import { heldAngles, isFreeOn, type PlacedShape, type Pose, placeItem, shapeOf } from './shape'

export interface Placement extends Pose {
  readonly id: string
  readonly copy: number
  readonly sheet: string
}

export interface Remnant {
  readonly sheet: string
  readonly outer: Outline
  readonly holes: readonly Outline[]
}

export interface LayoutSolution {
  readonly placements: readonly Placement[]
  readonly unplaced: readonly { readonly id: string; readonly qty: number }[]
  readonly utilisation: number
  readonly lengthUsedMm: number
  readonly remnants: readonly Remnant[]
  readonly cutLengthMm: number
  readonly seconds: number
  readonly iterations: number
}

/** The caller's clock and stop button: the core has neither. */
export interface LayoutControl {
  readonly shouldStop: () => boolean
  readonly elapsedS: () => number
}

interface OpenSheet {
  readonly sheet: LayoutSheet
  readonly room: SheetRoom
  /** What lies there, what others have there first. */
  readonly placed: PlacedShape[]
  readonly taken: number
}

/** Metal nowhere wider than twice this is scrap, not stock (house default). */
const USEFUL_HALF_WIDTH_MM = 3

function outlineOf(item: LayoutItem): Outline {
  return item.circle ? circleOutline(item.circle.radiusMm) : (item.outer ?? [])
}

function areaOf(item: LayoutItem): number {
  return item.circle ? Math.PI * item.circle.radiusMm ** 2 : netAreaMm2(item.outer ?? [], item.holes)
}

/** The ways in which an item is tried that may be turned freely. */
const TRIED_DEG = [0, 90, 30, 60, 120, 150]

function isSameMetal(item: LayoutItem, sheet: LayoutSheet): boolean {
  const metal = item.alloy === '' || sheet.alloy === '' || item.alloy === sheet.alloy
  const tolerance = 0.05 * Math.max(item.thicknessMm, sheet.thicknessMm)
  return metal && (item.thicknessMm === 0 || sheet.thicknessMm === 0 || Math.abs(item.thicknessMm - sheet.thicknessMm) <= tolerance + 1e-9)
}

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
  const sheets = input.sheets ?? (input.container ? [{ ...input.container, id: input.container.id ?? 'container' }] : [])
  const area = (sheet: LayoutSheet) => netAreaMm2(sheet.outer, sheet.holes)
  return [...sheets]
    .sort((a, b) => a.costRank - b.costRank || area(a) - area(b))
    .map((sheet) => ({
      sheet,
      placed: (sheet.taken ?? []).map(shapeOf),
      taken: sheet.taken?.length ?? 0,
      room: { outer: sheet.outer, holes: sheet.holes, marginMm: input.marginMm, kerfMm: input.kerfMm },
    }))
}

/** The metal a blank takes with it: its outline and a kerf round it, but not what comes out of its windows, less a kerf inside. */
function takenBy({ outer, holes }: Region, kerfMm: number): Region[] {
  const kerf = Math.max(kerfMm, 0.01)
  const windows = holes.flatMap((hole) => offsetOutline(hole, -kerf)).map((window) => ({ outer: window, holes: [] }))
  const whole = offsetOutline(outer, kerf).map((outline) => ({ outer: outline, holes: [] }))
  return windows.length === 0 ? whole : subtractRegions(whole, windows)
}

/** What stays of a sheet when the blanks are sawn out with their kerf, the pieces out of their windows with it; slivers are scrap. */
export function remnantsOf(
  sheet: { readonly id: string; readonly outer: Outline; readonly holes: readonly Outline[] },
  blanks: readonly Region[],
  kerfMm: number,
): Remnant[] {
  const cut = uniteRegions(blanks.flatMap((blank) => takenBy(blank, kerfMm)))
  return subtractRegions([{ outer: sheet.outer, holes: sheet.holes }], cut)
    .filter((region) => offsetOutline(region.outer, -USEFUL_HALF_WIDTH_MM).length > 0)
    .map((region) => ({ sheet: sheet.id, ...region }))
}

/** An item where it lies on the sheet, with its holes. */
export function placedRegion(item: LayoutItem, pose: Pose): Region {
  const put = (outline: Outline) => placeOutline(outline, (pose.rotationDeg * Math.PI) / 180, pose.x, pose.y)
  return { outer: put(outlineOf(item)), holes: item.holes.map(put) }
}

function summarise(
  input: LayoutInput,
  opens: readonly OpenSheet[],
  placements: readonly Placement[],
  control: LayoutControl,
  iterations: number,
): LayoutSolution {
  const items = new Map(input.items.map((item) => [item.id, item]))
  const used = opens.filter((open) => open.placed.length > open.taken)
  const outlines = (sheet: string) =>
    placements.flatMap((place) => {
      const item = items.get(place.id)
      return place.sheet === sheet && item ? [placedRegion(item, place)] : []
    })
  const placedArea = placements.reduce((sum, place) => sum + areaOf(items.get(place.id) ?? (input.items[0] as LayoutItem)), 0)
  const sheetArea = used.reduce((sum, open) => sum + netAreaMm2(open.sheet.outer, open.sheet.holes), 0)
  const right = Math.max(
    0,
    ...used.flatMap((open) =>
      open.placed.slice(open.taken).map((shape) => shape.bounds.maxX - boundsOf(open.sheet.outer).minX + input.marginMm),
    ),
  )
  return {
    placements,
    unplaced: input.items
      .map((item) => ({ id: item.id, qty: item.qty - placements.filter((place) => place.id === item.id).length }))
      .filter((left) => left.qty > 0),
    utilisation: sheetArea === 0 ? 0 : placedArea / sheetArea,
    lengthUsedMm: right,
    remnants: used.flatMap((open) => remnantsOf(open.sheet, outlines(open.sheet.id), input.kerfMm)),
    cutLengthMm: used
      .flatMap((open) => outlines(open.sheet.id))
      .flatMap(({ outer, holes }) => [outer, ...holes])
      .reduce((sum, outline) => sum + perimeterMm(outline), 0),
    seconds: control.elapsedS(),
    iterations,
  }
}

/** Makes room for what the orders tried left over; all of it as it was where nothing was left over. */
function withMoreRoom(input: LayoutInput, laid: Laid, control: LayoutControl): Laid {
  const left = new Map(input.items.map((item) => [item, item.qty - laid.placements.filter(({ id }) => id === item.id).length]))
  const most = (input.iterations ?? Infinity) - laid.iterations
  if ([...left.values()].every((count) => count <= 0) || most <= 0) return laid
  const items = new Map(input.items.map((item) => [item.id, item]))
  const sheets = laid.opens.map(({ sheet }) => ({
    sheet,
    blanks: laid.placements.flatMap(({ id, sheet: on, copy: _, ...pose }) => {
      const item = items.get(id)
      return item && on === sheet.id ? [{ item, pose }] : []
    }),
  }))
  const found = makeRoom(
    { sheets, left },
    { input, areaOf, isSameMetal, shouldStop: control.shouldStop, most, rounds: Math.ceil(ROUNDS_A_SECOND * input.seconds) },
  )
  const copies = new Map<string, number>()
  const placements = found.sheets.flatMap(({ sheet, blanks }) =>
    blanks.map(({ item, pose }): Placement => {
      const copy = copies.get(item.id) ?? 0
      copies.set(item.id, copy + 1)
      return { id: item.id, copy, sheet: sheet.id, ...pose }
    }),
  )
  const opens = laid.opens.map((open) => {
    const blanks = found.sheets.find(({ sheet }) => sheet === open.sheet)?.blanks ?? []
    const shapes = blanks.map(({ item, pose }) => placeItem(item, pose))
    return { ...open, placed: [...open.placed.slice(0, open.taken), ...shapes] }
  })
  return { opens, placements, iterations: laid.iterations + found.attempts }
}

/** Tries in another order, where not all blanks found a place in the first. */
const MOST_TRIES = 2

/** Where room is searched for afterwards, the plain first layout may take this share of the time, and no longer than so many seconds. */
const FIRST = { share: 0.15, mostS: 0.7 } as const

/**
 * Places blanks on sheets, largest first, each as far left as it will go: a plain, honest first layout. Discs touch exactly; other
 * outlines go against boxes. Sheets are used in order of `costRank`, then smallest first. Where some find no place it tries another
 * order, drawn from the seed, keeps the better, and then makes room for what is left over. Stops when told to, with what it has.
 */
export function packLayout(input: LayoutInput, control: LayoutControl): LayoutSolution {
  const firstS = Math.min(FIRST.mostS, FIRST.share * input.seconds)
  const first = { ...control, shouldStop: () => control.shouldStop() || control.elapsedS() > firstS }
  const { opens, placements, iterations } = withMoreRoom(input, placeBlanks(input, first), control)
  return summarise(input, opens, placements, control, iterations)
}

/** Where the blanks come to lie in a plain first layout, without what stays of the sheets: what fits so fits, what does not may still. */
export function placementsOf(input: LayoutInput, control: LayoutControl): readonly Placement[] {
  return placeBlanks(input, control).placements
}

interface Laid {
  readonly opens: readonly OpenSheet[]
  readonly placements: readonly Placement[]
  readonly iterations: number
}

function placeBlanks(input: LayoutInput, control: LayoutControl): Laid {
  const largestFirst = [...input.items].sort((a, b) => areaOf(b) - areaOf(a))
  const wanted = input.items.reduce((sum, item) => sum + item.qty, 0)
  const areas = new Map(input.items.map((item) => [item.id, areaOf(item)]))
  const laidArea = (laid: Laid) => laid.placements.reduce((sum, place) => sum + (areas.get(place.id) ?? 0), 0)
  const random = seededRandom(input.seed)
  let best = layInOrder(input, largestFirst, control, 0)
  let { iterations } = best
  for (let time = 1; time < MOST_TRIES && best.placements.length < wanted && !control.shouldStop(); time++) {
    if (iterations >= (input.iterations ?? Infinity)) break
    const weight = new Map(input.items.map((item) => [item.id, (areas.get(item.id) ?? 0) * (0.5 + random())]))
    const order = [...input.items].sort((a, b) => (weight.get(b.id) ?? 0) - (weight.get(a.id) ?? 0))
    const next = layInOrder(input, order, control, iterations)
    iterations = next.iterations
    if (laidArea(next) > laidArea(best)) best = next
  }
  return { ...best, iterations }
}

function layInOrder(input: LayoutInput, order: readonly LayoutItem[], control: LayoutControl, done: number): Laid {
  const opens = openSheets(input)
  const placements: Placement[] = []
  const limit = input.iterations ?? Infinity
  let iterations = done
  for (const item of order) {
    for (let copy = 0; copy < item.qty; copy++) {
      if (control.shouldStop() || iterations >= limit) return { opens, placements, iterations }
      iterations++
      const home = opens
        .filter((open) => isSameMetal(item, open.sheet))
        .find((open) => {
          const pose = findPose(item, open, control.shouldStop)
          if (!pose) return false
          open.placed.push(placeItem(item, pose))
          placements.push({ id: item.id, copy, sheet: open.sheet.id, ...pose })
          return true
        })
      if (!home) break
    }
  }
  return { opens, placements, iterations }
}
