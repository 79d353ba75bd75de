import type { Strands } from '@/core/piece'

/** How the board is measured, px: a column for each step. */
export const COLUMN = 78
export const LEFT = 104
/** A lane for each strand; of many strands the lanes lie nearer together, so that the steps’ words are still in view. */
const laneOf = ({ things }: Strands) => Math.max(22, Math.min(40, 300 / things.length))
const TOP = 30
/** Strands that run together lie so far apart. */
const TOGETHER = 4

export interface Cord {
  readonly thing: string
  readonly path: string
  /** Where its name stands. */
  readonly from: readonly [number, number]
}

export interface BoardShape {
  readonly width: number
  readonly height: number
  readonly cords: readonly Cord[]
  /** Where the tag of each step hangs, and the other strands that it touches there. */
  readonly tags: readonly {
    readonly x: number
    readonly y: number
    readonly others: readonly number[]
    readonly joins: 'hot' | 'cold' | undefined
  }[]
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

const columnX = (index: number) => LEFT + index * COLUMN + COLUMN / 2

/** Where a strand begins and ends: with the route, or at the step that divides it off or up. */
function spanOf({ divided, steps }: Strands, thing: string) {
  const born = divided.find((one) => one.thing === thing)
  const ends = divided.find((one) => one.of === thing)
  return { born, last: ends ? ends.step : steps.length }
}

function cordOf(strands: Strands, thing: string, heights: readonly ReadonlyMap<string, number>[]): Cord {
  const at = (i: number) => heights[i]?.get(thing) ?? 0
  const { born, last } = spanOf(strands, thing)
  const first = born ? born.step + 1 : 0
  const pieces = heights.slice(first + 1, last + 1).map((_, n) => {
    const i = first + n
    const [x, y, before] = [columnX(i), at(i + 1), at(i)]
    // a strand bends to the one it is joined to just before the step that joins them
    return before === y ? `H${x}` : `H${x - 34}C${x - 18} ${before} ${x - 16} ${y} ${x} ${y}`
  })
  const end = last < strands.steps.length ? columnX(last) : columnX(heights.length - 1) - COLUMN / 2 + 8
  if (!born) return { thing, path: `M8 ${at(0)}${pieces.join('')}H${end}`, from: [10, at(0) - 7] }
  const [x, parent, own] = [columnX(born.step), heights[born.step]?.get(born.of) ?? 0, at(first)]
  // what is divided off leaves the part it was of at the step that divides it
  return {
    thing,
    path: `M${x} ${parent}C${x + 16} ${parent} ${x + 14} ${own} ${x + 30} ${own}${pieces.join('')}H${end}`,
    from: [x + 34, own - 7],
  }
}

/** Where every strand runs and every tag hangs. */
export function boardShape(strands: Strands): BoardShape {
  const heights = [-1, ...strands.steps.keys()].map((i) => heightsAfter(strands, i))
  const tags = strands.steps.map(({ on, joins }, i) => {
    const ys = [...new Set(on.map((thing) => Math.round(heights[i + 1]?.get(thing) ?? TOP)))].sort((a, b) => a - b)
    const apart = ys.filter((y, n) => n === 0 || y - (ys[n - 1] ?? 0) > 2 * TOGETHER)
    const [y = TOP, ...others] = apart
    return { x: columnX(i), y, others, joins }
  })
  return {
    width: LEFT + strands.steps.length * COLUMN + 12,
    height: TOP + Math.max(0, strands.things.length - 1) * laneOf(strands) + 30,
    cords: strands.things.map((thing) => cordOf(strands, thing, heights)),
    tags,
  }
}
