import type { Strands } from '@/core/piece'

/** How the board is measured, px: a column for each step. */
export const COLUMN = 78
export const LEFT = 104
/** A lane for each strand; of many strands the lanes lie nearer together, so that the steps’ words are still in view. */
const laneOf = ({ things }: Strands) => Math.max(22, Math.min(40, 300 / things.length))
const TOP = 30
/** Strands that run together lie so far apart. */
const TOGETHER = 4

/** A piece of a strand’s wire, as a path. */
export interface Wire {
  readonly thing: string
  readonly path: string
}

/** What is drawn at a step: the wires that pass, from the left side of its column, and where its tag hangs. */
export interface BoardColumn {
  readonly wires: readonly Wire[]
  readonly y: number
  /** Where the other strands are that the step touches. */
  readonly others: readonly number[]
  readonly joins: 'hot' | 'cold' | undefined
}

export interface BoardShape {
  readonly width: number
  readonly height: number
  /** What each strand is called, and where that stands on the board. */
  readonly names: readonly { readonly thing: string; readonly at: readonly [number, number] }[]
  /** The wires before the first step, and behind the last. */
  readonly lead: readonly Wire[]
  readonly tail: readonly Wire[]
  readonly columns: readonly BoardColumn[]
}

/** Height of a strand once its group is known: a group lies on the lane of its first strand, side by side. */
function heightsAfter(strands: Strands, index: number): Map<string, number> {
  const groups = index < 0 ? strands.things.map((thing) => [thing]) : (strands.steps[index]?.groups ?? [])
  const heights = new Map<string, number>()
  for (const group of groups) {
    const lane = Math.min(...group.map((thing) => strands.things.indexOf(thing)))
    group.forEach((thing, i) => {
      heights.set(thing, TOP + lane * laneOf(strands) + (i - (group.length - 1) / 2) * TOGETHER)
    })
  }
  return heights
}

/** Middle of a step’s column on the board. */
export const columnX = (index: number) => LEFT + index * COLUMN + MIDDLE
const MIDDLE = COLUMN / 2

/** How high each strand runs: before the first step, and after each. */
type Heights = readonly ReadonlyMap<string, number>[]
const heightOf = (heights: Heights, thing: string, i: number) => heights[i]?.get(thing) ?? 0

/** Where a strand begins and ends: with the route, or at the step that divides it off or up. */
function spanOf({ divided, steps }: Strands, thing: string) {
  const born = divided.find((one) => one.thing === thing)
  const ends = divided.find((one) => one.of === thing)
  return { born, last: ends ? ends.step : steps.length }
}

/** The wire of a strand through the column of a step; none where it is not there yet, or no longer. */
function wireAt(strands: Strands, heights: Heights, thing: string, i: number): Wire[] {
  const { born, last } = spanOf(strands, thing)
  const [before, y] = [heightOf(heights, thing, i), heightOf(heights, thing, i + 1)]
  if (i > last || (born && i < born.step)) return []
  if (born?.step === i) {
    // what is divided off leaves the part it was of at the step that divides it
    const of = heightOf(heights, born.of, i)
    return [{ thing, path: `M${MIDDLE} ${of}C${MIDDLE + 16} ${of} ${MIDDLE + 14} ${y} ${MIDDLE + 30} ${y}H${COLUMN}` }]
  }
  if (i === last) return [{ thing, path: `M0 ${before}H${MIDDLE}` }]
  // a strand bends to the one it is joined to just before the step that joins them
  const bend = before === y ? '' : `H${MIDDLE - 34}C${MIDDLE - 18} ${before} ${MIDDLE - 16} ${y} ${MIDDLE} ${y}`
  return [{ thing, path: `M0 ${before}${bend}H${COLUMN}` }]
}

/** Where a strand’s name stands: over its beginning. */
function nameAt(strands: Strands, heights: Heights, thing: string): readonly [number, number] {
  const { born } = spanOf(strands, thing)
  return born ? [columnX(born.step) + 34, heightOf(heights, thing, born.step + 1) - 7] : [10, heightOf(heights, thing, 0) - 7]
}

/** Where every strand runs and every tag hangs. */
export function boardShape(strands: Strands): BoardShape {
  const { things, steps } = strands
  const heights = [-1, ...steps.keys()].map((i) => heightsAfter(strands, i))
  const columns = steps.map(({ on, joins }, i): BoardColumn => {
    const ys = [...new Set(on.map((thing) => Math.round(heights[i + 1]?.get(thing) ?? TOP)))].sort((a, b) => a - b)
    const apart = ys.filter((y, n) => n === 0 || y - (ys[n - 1] ?? 0) > 2 * TOGETHER)
    const [y = TOP, ...others] = apart
    return { wires: things.flatMap((thing) => wireAt(strands, heights, thing, i)), y, others, joins }
  })
  return {
    width: LEFT + steps.length * COLUMN + 12,
    height: TOP + Math.max(0, things.length - 1) * laneOf(strands) + 30,
    names: things.map((thing) => ({ thing, at: nameAt(strands, heights, thing) })),
    lead: things.flatMap((thing) => (spanOf(strands, thing).born ? [] : [{ thing, path: `M8 ${heightOf(heights, thing, 0)}H${LEFT}` }])),
    tail: things.flatMap((thing) =>
      spanOf(strands, thing).last < steps.length ? [] : [{ thing, path: `M0 ${heightOf(heights, thing, steps.length)}H8` }],
    ),
    columns,
  }
}
