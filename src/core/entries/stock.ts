import * as z from 'zod'
import { circleOutline, type Outline, rectangleOutline, signedAreaMm2, uniteRegions } from '../geometry'
import { ALLOY_IDS } from '../metals'
import { describeMeaning, parseSize } from '../sizes'
import type { GaugeSystem } from '../tables'
import { formatPlain, readPlainNumber } from '../units'

export const STOCK_KINDS = ['sheet', 'wire', 'tube'] as const
export type StockKind = (typeof STOCK_KINDS)[number]

/** How a sheet or an offcut is described: by two sides, as an L, as a disc, or corner by corner. */
export const SHEET_SHAPES = ['rectangle', 'l-shape', 'disc', 'outline'] as const

/** Metal for the drawer, as it is typed. */
export const stockEntry = z.object({
  kind: z.enum(STOCK_KINDS),
  alloy: z.enum(ALLOY_IDS, { error: 'Metal: choose one' }),
  thickness: z.string(),
  measured: z.string().default(''),
  shape: z.enum(SHEET_SHAPES).default('rectangle'),
  width: z.string().default(''),
  length: z.string().default(''),
  /** What is missing from the corner of an L. */
  cutLength: z.string().default(''),
  cutWidth: z.string().default(''),
  /** Corners, "0 0, 80 0, 80 30, …", mm. */
  corners: z.string().max(5000).default(''),
  /** Outside diameter of a tube, or diameter of a disc. */
  across: z.string().default(''),
  temper: z.enum(['annealed', 'quarter-hard', 'half-hard', 'hard', 'unknown']).default('unknown'),
  /** What looked doubtful was asked about, and is meant. */
  sure: z.boolean().default(false),
})
export type StockEntry = z.output<typeof stockEntry>

/** What the drawer keeps of a piece of metal, mm. Of a wire the thickness is its diameter, of a tube its wall. */
export interface StockFacts {
  readonly thicknessMm: number
  readonly measuredMm: number | null
  readonly outer: Outline | null
  readonly lengthMm: number | null
  readonly acrossMm: number | null
}

export interface EntryIssue {
  readonly path: string
  readonly message: string
}

interface Range {
  readonly label: string
  readonly min: number
  readonly max: number
}

const RANGES = {
  thickness: { label: 'Thickness', min: 0.05, max: 12 },
  measured: { label: 'As measured', min: 0.05, max: 12 },
  width: { label: 'Width', min: 1, max: 2000 },
  length: { label: 'Length', min: 1, max: 20000 },
  cutLength: { label: 'Length of the missing corner', min: 1, max: 2000 },
  cutWidth: { label: 'Width of the missing corner', min: 1, max: 2000 },
  across: { label: 'Diameter', min: 0.5, max: 2000 },
} as const satisfies Record<string, Range>
type Sized = keyof typeof RANGES

/** What a bare gauge number means, and what could not be read so far. */
interface Reading {
  readonly gaugeSystem: GaugeSystem
  readonly issues: EntryIssue[]
}

/** A length as a smith writes it; NaN with an issue where it cannot be one. */
function readLength(path: Sized, text: string, { gaugeSystem, issues }: Reading): number {
  const range = RANGES[path]
  const reading = parseSize(text, { gaugeSystem, expects: path === 'thickness' ? 'thickness' : 'length' })
  const possible = `allowed: ${formatPlain(range.min)} to ${formatPlain(range.max)} mm`
  if (!('mm' in reading)) {
    issues.push({ path, message: `${range.label}: ${reading.kind === 'unknown' ? reading.message : reading.question}; ${possible}` })
    return Number.NaN
  }
  if (reading.mm >= range.min && reading.mm <= range.max) return reading.mm
  issues.push({ path, message: `${range.label}: ${describeMeaning(reading)} was given; ${possible}` })
  return Number.NaN
}

/** Corners typed one after another, "0 0, 80 0, 80 30"; undefined where they are no shape. */
function readCorners(text: string): Outline | undefined {
  const corners = text
    .split(/[,;\n]/)
    .map((pair) => pair.trim().split(/\s+/).map(readPlainNumber))
    .filter((pair) => pair.length > 1 || !Number.isNaN(pair[0]))
  const points = corners.flatMap(([x, y, ...rest]) =>
    x !== undefined && y !== undefined && rest.length === 0 && Number.isFinite(x) && Number.isFinite(y) ? [[x, y] as const] : [],
  )
  if (points.length !== corners.length || points.length < 3) return undefined
  return signedAreaMm2(points) < 0 ? points.reverse() : points
}

/** Whether an outline goes once round some metal: what it encloses is one region without holes, and as large as its corners say. */
function isSimple(outline: Outline): boolean {
  const [region, ...more] = uniteRegions([{ outer: outline, holes: [] }])
  const areaMm2 = Math.abs(signedAreaMm2(outline))
  if (!region || more.length > 0 || region.holes.length > 0 || areaMm2 < 1) return false
  return Math.abs(Math.abs(signedAreaMm2(region.outer)) - areaMm2) < 1e-3 * areaMm2
}

const CORNERS_HELP = 'Corners: at least three, each "x y" in mm, such as 0 0, 80 0, 80 30, 40 30, 40 60, 0 60'

function cornersOf(text: string, { issues }: Reading): Outline | null {
  const outline = readCorners(text)
  if (outline && isSimple(outline)) return outline
  issues.push({ path: 'corners', message: outline ? 'Corners: the outline crosses itself, or holds no metal' : CORNERS_HELP })
  return null
}

function lShape(entry: StockEntry, reading: Reading): Outline | null {
  const { issues } = reading
  const [length, width] = [readLength('length', entry.length, reading), readLength('width', entry.width, reading)]
  const [cutLength, cutWidth] = [readLength('cutLength', entry.cutLength, reading), readLength('cutWidth', entry.cutWidth, reading)]
  if (cutLength >= length) issues.push({ path: 'cutLength', message: 'Length of the missing corner: less than the length of the sheet' })
  if (cutWidth >= width) issues.push({ path: 'cutWidth', message: 'Width of the missing corner: less than the width of the sheet' })
  if (issues.length > 0) return null
  return [
    [0, 0],
    [length, 0],
    [length, width - cutWidth],
    [length - cutLength, width - cutWidth],
    [length - cutLength, width],
    [0, width],
  ]
}

function sheetOutline(entry: StockEntry, reading: Reading): Outline | null {
  if (entry.shape === 'outline') return cornersOf(entry.corners, reading)
  if (entry.shape === 'l-shape') return lShape(entry, reading)
  if (entry.shape === 'disc') {
    const across = readLength('across', entry.across, reading)
    return Number.isNaN(across) ? null : circleOutline(across / 2)
  }
  const [length, width] = [readLength('length', entry.length, reading), readLength('width', entry.width, reading)]
  return Number.isNaN(length + width) ? null : rectangleOutline(length, width)
}

/** As far as sold and measured may lie apart before it is asked about: two numbers of a wire gauge (26 % in B&S) are more (common practice, no source). */
const DOUBTFUL = 0.25
/** Slips of the hand: a point in the wrong place, inches for millimetres. */
const SLIPS = [0.1, 10, 0.01, 100, 25.4, 1 / 25.4] as const

/** What is doubtful about a measured thickness beside the one it was sold as; undefined where nothing is. */
export function measuredQuestion(soldAs: string, soldMm: number, measuredMm: number): string | undefined {
  const near = (mm: number) => Math.abs(mm / soldMm - 1) <= DOUBTFUL
  if (near(measuredMm)) return undefined
  const meant = SLIPS.map((slip) => measuredMm * slip).find(near)
  const sold =
    soldAs.trim() === '' || /^[\d.,\s]*(mm)?$/i.test(soldAs)
      ? `${formatPlain(soldMm, 3)} mm`
      : `${soldAs.trim()}, ${formatPlain(soldMm, 3)} mm,`
  const better = meant === undefined ? 'Is it another metal, or another gauge?' : `Is it ${formatPlain(meant, 3)} mm?`
  return `As measured: ${formatPlain(measuredMm, 3)} mm for what was sold as ${sold} is far off. ${better}`
}

export interface ReadStock {
  readonly facts: StockFacts | null
  readonly issues: readonly EntryIssue[]
}

/** Thickness as sold and as measured, mm, with what is doubtful of them asked about until it is meant. */
function readThickness({ thickness, measured, sure }: Pick<StockEntry, 'thickness' | 'measured' | 'sure'>, reading: Reading) {
  const thicknessMm = readLength('thickness', thickness, reading)
  const measuredMm = measured.trim() === '' ? null : readLength('measured', measured, reading)
  const question =
    measuredMm === null || Number.isNaN(measuredMm + thicknessMm) || sure ? undefined : measuredQuestion(thickness, thicknessMm, measuredMm)
  if (question) reading.issues.push({ path: 'measured', message: question })
  return { thicknessMm, measuredMm }
}

/** What a smith entered for the drawer as the drawer keeps it, mm; issues by field where it cannot be read or looks doubtful. */
export function readStock(entry: StockEntry, gaugeSystem: GaugeSystem = 'B&S'): ReadStock {
  const issues: EntryIssue[] = []
  const reading = { gaugeSystem, issues }
  const { thicknessMm, measuredMm } = readThickness(entry, reading)
  const isSheet = entry.kind === 'sheet'
  const outer = isSheet ? sheetOutline(entry, reading) : null
  const lengthMm = isSheet ? null : readLength('length', entry.length, reading)
  const acrossMm = entry.kind === 'tube' ? readLength('across', entry.across, reading) : null
  if (acrossMm !== null && 2 * (measuredMm ?? thicknessMm) >= acrossMm)
    issues.push({
      path: 'thickness',
      message: `Wall: ${formatPlain(thicknessMm, 2)} mm leaves no bore in a tube ${formatPlain(acrossMm, 2)} mm across`,
    })
  return { facts: issues.length > 0 ? null : { thicknessMm, measuredMm, outer, lengthMm, acrossMm }, issues }
}

/** The thickness of a piece of metal whose shape stays as it is: what is sold and measured, read anew. */
export function readStockThickness(
  entry: Pick<StockEntry, 'thickness' | 'measured' | 'sure'>,
  gaugeSystem: GaugeSystem = 'B&S',
): {
  readonly thicknessMm: number
  readonly measuredMm: number | null
  readonly issues: readonly EntryIssue[]
} {
  const issues: EntryIssue[] = []
  return { ...readThickness(entry, { gaugeSystem, issues }), issues }
}
