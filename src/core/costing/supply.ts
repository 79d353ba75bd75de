import type { StockKind } from '../entries/stock'
import type { BlankSpec } from '../forms/contract'
import { netAreaMm2 } from '../geometry/outline'
import { boundsOf, type Outline } from '../geometry/point'
import { placementsOf } from '../layout/pack'
import type { LayoutItem, LayoutSheet } from '../layout/schema'
import type { LayoutControl } from '../layout/spread'
import type { AlloyId } from '../metals/alloys'
import { type BoughtTemper, takenTemper } from '../metals/tempers'
import { massWith, type OwnFigures } from '../tables/figures'
import { formatPlain } from '../units/format'
import { standInPrices } from './metal-prices'

/** A sheet, a wire or a tube of the drawer, its thickness as it was measured. */
export interface StockPiece {
  readonly id: number
  readonly label: string
  readonly kind: StockKind
  readonly alloy: AlloyId
  readonly thicknessMm: number
  readonly outer: Outline | null
  readonly holes: readonly Outline[]
  readonly lengthMm: number | null
  /** Outside diameter of a tube. */
  readonly acrossMm: number | null
}

/** What to ask a supplier for: of the temper that the route of the piece starts from. */
export interface ToBuy {
  readonly kind: StockKind
  readonly alloy: AlloyId
  readonly thicknessMm: number
  readonly lengthMm: number
  /** Width of a sheet, or how thick a wire or tube is across. */
  readonly widthMm: number
  readonly pieces: number
  readonly temper: ReturnType<typeof takenTemper>
  readonly massG: number
  readonly cost: number
}

/** The same metal in the drawer as another thickness that would do, and what is different about it. */
export interface Instead {
  readonly label: string
  readonly takes: number
  readonly why: string
}

/** Whether the drawer holds a blank's metal, and what to do where it does not. */
export interface Supply {
  readonly blank: string
  readonly needed: number
  /** How many the drawer gives, from which of its pieces. */
  readonly covered: number
  readonly from: readonly string[]
  readonly buy: ToBuy | null
  readonly instead: readonly Instead[]
}

interface Setup {
  readonly drawer: readonly StockPiece[]
  readonly kerfMm: number
  readonly marginMm: number
  /** What the piece's metal is bought as. */
  readonly bought: BoughtTemper
  readonly figures: OwnFigures
  readonly control: LayoutControl
}

/** Sheets as they are sold, mm: common sizes, a house default. */
const SHEET_SIZES: readonly (readonly [number, number])[] = [
  [50, 50],
  [50, 100],
  [100, 100],
  [100, 150],
  [100, 200],
  [150, 200],
  [150, 300],
  [200, 300],
  [300, 300],
  [300, 600],
  [600, 600],
]
/** More of one blank than this are not laid out to see whether they fit. */
const MOST_LAID = 2000
/** Wire is bought by the next so many mm. */
const WIRE_STEP_MM = 100
/** Metal as near as this in thickness is the same (as the layout has it); up to the second it would do at a pinch. */
const SAME = 0.05
const NEAR = 0.25

/** The box about an outline: quick to lay out, and never less metal than the blank itself wants. */
function boxOf(outline: Outline): [number, number][] {
  const { minX, minY, maxX, maxY } = boundsOf(outline)
  return [
    [minX, minY],
    [maxX, minY],
    [maxX, maxY],
    [minX, maxY],
  ]
}

function itemOf(blank: BlankSpec, qty: number): LayoutItem {
  return {
    id: blank.name,
    qty,
    holes: [],
    alloy: '',
    thicknessMm: 0,
    rotations: blank.circleRadiusMm === undefined ? [0, 90] : [0],
    ...(blank.circleRadiusMm === undefined ? { outer: boxOf(blank.outline) } : { circle: { radiusMm: blank.circleRadiusMm } }),
  }
}

function sheetOf(id: string, outer: Outline, holes: readonly Outline[]): LayoutSheet {
  const points = (outline: Outline) => outline.map(([x, y]): [number, number] => [x, y])
  return { id, outer: points(outer), holes: holes.map(points), alloy: '', thicknessMm: 0, rollingDirectionDeg: null, costRank: 0 }
}

function packed(blank: BlankSpec, qty: number, sheets: readonly LayoutSheet[], { kerfMm, marginMm, control }: Setup) {
  const input = {
    name: '',
    objective: 'place' as const,
    kerfMm,
    marginMm,
    seconds: 1,
    iterations: null,
    seed: 1,
    items: [itemOf(blank, Math.min(qty, MOST_LAID))],
    sheets: [...sheets],
  }
  return placementsOf(input, control)
}

function isThickness(stock: StockPiece, blank: BlankSpec, within: number): boolean {
  return Math.abs(stock.thicknessMm - blank.thicknessMm) <= within * Math.max(stock.thicknessMm, blank.thicknessMm) + 1e-9
}

interface Bought {
  readonly lengthMm: number
  readonly widthMm: number
  readonly pieces: number
}

/** How many blanks lie in straight rows on a rectangle, the better of both ways round: what no layout falls below. */
export function inRows(
  blank: BlankSpec,
  lengthMm: number,
  widthMm: number,
  { kerfMm, marginMm }: Pick<Setup, 'kerfMm' | 'marginMm'>,
): number {
  const box = boundsOf(blank.outline)
  const [long, wide] = [box.maxX - box.minX, box.maxY - box.minY]
  const along = (room: number, size: number) => Math.max(0, Math.floor((room - 2 * marginMm + kerfMm + 1e-9) / (size + kerfMm)))
  return Math.max(along(lengthMm, long) * along(widthMm, wide), along(lengthMm, wide) * along(widthMm, long))
}

/** Of the sizes that are sold, the smallest that holds them all in rows; so many of the largest where none does. */
function sheetToBuy(blank: BlankSpec, qty: number, setup: Setup): Bought {
  for (const [widthMm, lengthMm] of SHEET_SIZES) {
    if (inRows(blank, lengthMm, widthMm, setup) >= qty) return { lengthMm, widthMm, pieces: 1 }
  }
  const box = boundsOf(blank.outline)
  const [long, wide] = [box.maxX - box.minX, box.maxY - box.minY].sort((first, second) => second - first)
  const over = (mm: number) => Math.ceil((mm + 2 * setup.marginMm) / 100) * 100
  const [lengthMm, widthMm] = [Math.max(600, over(long ?? 0)), Math.max(600, over(wide ?? 0))]
  return { lengthMm, widthMm, pieces: Math.ceil(qty / inRows(blank, lengthMm, widthMm, setup)) }
}

function bought(blank: BlankSpec, size: Bought, sectionMm2: number, setup: Setup): ToBuy {
  const kind = blank.stock === 'piece' ? 'sheet' : blank.stock
  const massG = massWith(blank.alloy, sectionMm2 * size.lengthMm * size.pieces, setup.figures)
  return {
    kind,
    alloy: blank.alloy,
    thicknessMm: blank.thicknessMm,
    ...size,
    temper: takenTemper(setup.bought),
    massG,
    cost: massG * standInPrices(setup.figures).perGram(blank.alloy),
  }
}

/** The same metal in another thickness. A metal that was named is never another: it is not proposed. */
function instead(blank: BlankSpec, takes: (stock: StockPiece) => number, drawer: readonly StockPiece[]): Instead[] {
  const words = (stock: StockPiece) => {
    const share = (100 * (stock.thicknessMm - blank.thicknessMm)) / blank.thicknessMm
    return `${formatPlain(stock.thicknessMm, 2)} mm, ${formatPlain(Math.abs(share), 0)} % ${share > 0 ? 'thicker' : 'thinner'}: size it again for this metal`
  }
  return drawer
    .filter((stock) => stock.alloy === blank.alloy && isThickness(stock, blank, NEAR) && !isThickness(stock, blank, SAME))
    .map((stock) => ({ label: stock.label, takes: takes(stock), why: words(stock) }))
    .filter((item) => item.takes > 0)
    .slice(0, 4)
}

/** Blanks in rows on a sheet of the drawer that is a plain rectangle; none on any other. */
function rowsOn({ outer, holes }: StockPiece, blank: BlankSpec, setup: Setup): number {
  if (outer?.length !== 4 || holes.length > 0) return 0
  const box = boundsOf(outer)
  const [lengthMm, widthMm] = [box.maxX - box.minX, box.maxY - box.minY]
  return netAreaMm2(outer) > 0.999 * lengthMm * widthMm ? inRows(blank, lengthMm, widthMm, setup) : 0
}

/** The first of these that together take so many. */
function needed(rows: readonly { readonly label: string; readonly takes: number }[], qty: number): string[] {
  const labels: string[] = []
  let taken = 0
  for (const row of rows) {
    if (taken >= qty || row.takes === 0) continue
    labels.push(row.label)
    taken += row.takes
  }
  return labels
}

function boughtSheet(blank: BlankSpec, short: number, setup: Setup): ToBuy {
  const size = sheetToBuy(blank, short, setup)
  return bought(blank, size, size.widthMm * blank.thicknessMm, setup)
}

function sheetSupply(blank: BlankSpec, qty: number, setup: Setup): Supply {
  const sheets = setup.drawer.filter((stock) => stock.kind === 'sheet' && stock.outer)
  const lay = (stocks: readonly StockPiece[], count: number) =>
    packed(
      blank,
      count,
      stocks.map((stock) => sheetOf(stock.label, stock.outer ?? [], stock.holes)),
      setup,
    )
  const same = sheets.filter((stock) => stock.alloy === blank.alloy && isThickness(stock, blank, SAME))
  const rows = same.map((stock) => ({ label: stock.label, takes: rowsOn(stock, blank, setup) }))
  const inAll = Math.min(
    qty,
    rows.reduce((sum, row) => sum + row.takes, 0),
  )
  // plain rows are quick to count; only where they fall short is a layout tried, and it may run out of its time
  const placed = inAll < qty && same.length > 0 ? lay(same, qty) : []
  const byRows = inAll > placed.length
  const covered = byRows ? inAll : placed.length
  const short = qty - covered
  return {
    blank: blank.name,
    needed: qty,
    covered,
    from: byRows ? needed(rows, qty) : [...new Set(placed.map((place) => place.sheet))],
    buy: short > 0 ? boughtSheet(blank, short, setup) : null,
    instead: short > 0 ? instead(blank, (stock) => lay([stock], short).length, sheets) : [],
  }
}

/** Whether a wire or tube of the drawer is the metal a blank is cut from: kind, alloy, thickness, and a tube as thick across. */
export function isStockOf(stock: StockPiece, blank: BlankSpec): boolean {
  return isAsThickAcross(stock, blank) && isSameMetal(stock, blank)
}

/** Whether metal of the drawer is of the alloy and the thickness of a blank. */
export function isSameMetal(stock: StockPiece, blank: BlankSpec): boolean {
  return stock.alloy === blank.alloy && isThickness(stock, blank, SAME)
}

function isAsThickAcross(stock: StockPiece, blank: BlankSpec): boolean {
  const { minY, maxY } = boundsOf(blank.outline)
  if (stock.kind !== (blank.stock === 'tube' ? 'tube' : 'wire')) return false
  return stock.kind === 'wire' || Math.abs((stock.acrossMm ?? 0) - (maxY - minY)) <= SAME * (maxY - minY)
}

function lengthSupply(blank: BlankSpec, qty: number, setup: Setup): Supply {
  const box = boundsOf(blank.outline)
  const step = (blank.lengthMm ?? 0) + setup.kerfMm
  const takes = (stock: StockPiece) => Math.floor(((stock.lengthMm ?? 0) + setup.kerfMm) / step)
  const acrossMm = box.maxY - box.minY
  const lengths = setup.drawer.filter((stock) => isAsThickAcross(stock, blank))
  const same = lengths.filter((stock) => isStockOf(stock, blank))
  const from: string[] = []
  let covered = 0
  for (const stock of same) {
    if (covered >= qty || takes(stock) === 0) continue
    covered = Math.min(qty, covered + takes(stock))
    from.push(stock.label)
  }
  const short = qty - covered
  const lengthMm = Math.ceil((short * step) / WIRE_STEP_MM) * WIRE_STEP_MM
  const sectionMm2 = blank.massG / massWith(blank.alloy, blank.lengthMm ?? 1, setup.figures)
  return {
    blank: blank.name,
    needed: qty,
    covered,
    from,
    buy: short > 0 ? bought(blank, { lengthMm, widthMm: acrossMm, pieces: 1 }, sectionMm2, setup) : null,
    instead: short > 0 ? instead(blank, takes, lengths) : [],
  }
}

/**
 * Whether the drawer holds the metal of every blank of a piece, by laying the blanks out; where it does not, what to buy and what else
 * of the drawer would do. `qty` is how many pieces, spares in it. Metal cut out of the piece itself needs none.
 */
export function supplyOf(blanks: readonly BlankSpec[], qty: number, setup: Setup): Supply[] {
  return blanks
    .filter((blank) => blank.stock !== 'piece')
    .map((blank) => {
      const count = qty * (blank.each ?? 1)
      return blank.stock === 'sheet' ? sheetSupply(blank, count, setup) : lengthSupply(blank, count, setup)
    })
}

/** What the metal of one piece costs by weight, in the workshop's own money. */
export function metalCost(massG: number, alloy: AlloyId, figures: OwnFigures): number {
  return massG * standInPrices(figures).perGram(alloy)
}
