import { netAreaMm2, perimeterMm } from '../geometry/outline'
import { boundsOf } from '../geometry/point'
import { seededRandom } from '../numerics/random'
import { boxLayout } from './box-layout'
import { drawIn } from './draw-in'
import { fewerSheets } from './fewer-sheets'
import { firstLayout } from './first-layout'
import { fitEdges } from './fit-edges'
import { placedRegion } from './item'
import { makeRoom } from './more-room'
import { type Remnant, remnantsOf } from './remnants'
import type { LayoutInput, LayoutSheet } from './schema'
import { placeItem } from './shape'
import { shorten } from './shorten'
import { isAllLaid, type LayoutControl, laidMm2, type OnSheet, type Placement, placementsIn, type Spread, sheetsOf } from './spread'
import { Workbench } from './workbench'

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

/** How far from its left end a sheet is used, mm, without the margin. */
export function reachOn(sheet: Pick<LayoutSheet, 'outer'>, blanks: readonly OnSheet[]): number {
  return Math.max(0, ...blanks.map(({ item, pose }) => placeItem(item, pose).bounds.maxX)) - boundsOf(sheet.outer).minX
}

function solutionOf(input: LayoutInput, spread: Spread, control: LayoutControl, iterations: number): LayoutSolution {
  const used = spread.sheets.filter(({ blanks }) => blanks.length > 0)
  const regions = used.map(({ blanks }) => blanks.map(({ item, pose }) => placedRegion(item, pose)))
  const sheetArea = used.reduce((sum, { sheet }) => sum + netAreaMm2(sheet.outer, sheet.holes), 0)
  const reaches = used.map(({ sheet, blanks }) => reachOn(sheet, blanks) + input.marginMm)
  return {
    placements: placementsIn(spread),
    unplaced: [...spread.left].filter(([, qty]) => qty > 0).map(([{ id }, qty]) => ({ id, qty })),
    utilisation: sheetArea === 0 ? 0 : laidMm2(spread) / sheetArea,
    lengthUsedMm: Math.max(0, ...reaches),
    remnants: used.flatMap(({ sheet }, i) => remnantsOf(sheet, regions[i] ?? [], input.kerfMm)),
    cutLengthMm: regions
      .flat()
      .flatMap(({ outer, holes }) => [outer, ...holes])
      .reduce((sum, outline) => sum + perimeterMm(outline), 0),
    seconds: control.elapsedS(),
    iterations,
  }
}

/** The plain first layout may take this share of the time, and no longer than so many seconds; where no clock has a say, it may ask so often. */
const FIRST = { share: 0.15, mostS: 0.7, mostAsked: 20_000 } as const

function clockedFirst({ seconds }: LayoutInput, { elapsedS }: LayoutControl): () => boolean {
  const untilS = Math.min(FIRST.mostS, FIRST.share * seconds)
  return () => elapsedS() > untilS
}

function countedFirst(): () => boolean {
  let asked = 0
  return () => ++asked > FIRST.mostAsked
}

/** Rounds of moves for each second that an instance allows: small ones come to an end before it, alike on every machine. */
const ROUNDS_A_SECOND = 2000

/**
 * Lays blanks on sheets. A plain first layout comes first; then room is made for what it left over. Where all have their place, `place` goes on
 * to empty the sheets that cost most and to leave what remains of the last in one piece, `length` to use as little of it along x as it can.
 * `value` asks for the most metal and ends there. Stops when told to, with the best it has.
 */
export function packLayout(input: LayoutInput, control: LayoutControl): LayoutSolution {
  // where it is told how many attempts to make, no clock but the caller’s stop has a say in what comes of them
  if (input.iterations === null) tellBoxes(input, control)
  const isFirstOver = input.iterations === null ? clockedFirst(input, control) : countedFirst()
  const first = firstLayout(input, { ...control, shouldStop: () => control.shouldStop() || isFirstOver() })
  const most = (input.iterations ?? Infinity) - first.iterations
  const bench = new Workbench(input, {
    control,
    search: { random: seededRandom(input.seed), shouldStop: control.shouldStop, rounds: Math.ceil(ROUNDS_A_SECOND * input.seconds) },
    attempts: most,
  })
  let spread: Spread = first
  bench.tell(spread)
  if (!isAllLaid(spread)) spread = fitEdges(spread, bench)
  if (!isAllLaid(spread)) spread = drawIn(spread, bench)
  spread = makeRoom(spread, bench)
  if (isAllLaid(spread) && input.objective === 'place') spread = fewerSheets(spread, bench)
  if (isAllLaid(spread) && input.objective !== 'value') spread = shorten(spread, bench)
  return solutionOf(input, spread, control, first.iterations + bench.attempted)
}

/** Tells boxes in columns, where any find a place: there is something to look at while the first layout is looked for, which lays no less. */
function tellBoxes(input: LayoutInput, { tell }: LayoutControl): void {
  const placements = placementsIn(boxLayout(input, sheetsOf(input)))
  if (placements.length > 0) tell?.(placements)
}

/** Where the blanks come to lie in a plain first layout, without what stays of the sheets: what fits so fits, what does not may still. */
export function placementsOf(input: LayoutInput, control: LayoutControl): readonly Placement[] {
  return placementsIn(firstLayout(input, control))
}
