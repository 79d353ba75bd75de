import { ALLOYS, type AlloyId } from '../metals/alloys'
import { SOLDERS, type SolderId } from '../metals/solders'
import { LEAST_GAP_C } from '../rules/shapes/flow'

/** A joint as the ladder sees it: the metals in its heat, the earlier joints the heat reaches, and its solder where that is given. */
export interface Rung {
  readonly joint: string
  readonly metals: readonly AlloyId[]
  readonly reaches: readonly string[]
  readonly solder?: SolderId | undefined
}

/** How good a choice of solders is: what cannot be done, how many grades, and the least margin, °C. */
export interface LadderWorth {
  readonly stops: number
  readonly grades: number
  readonly leastMarginC: number
}

export interface Ladder extends LadderWorth {
  readonly solders: ReadonlyMap<string, SolderId>
}

const flowOf = (id: SolderId) => SOLDERS[id].liquidusC

/** What stands against a solder in a heat: earlier joints it does not flow far enough under, metals that begin to melt. */
function marginsOf({ metals, reaches }: Rung, solder: SolderId, chosen: ReadonlyMap<string, SolderId>): { stops: number; leastC: number } {
  const flowC = flowOf(solder)
  const gaps = reaches.flatMap((joint) => {
    const earlier = chosen.get(joint)
    return earlier ? [flowOf(earlier) - flowC] : []
  })
  const melting = metals.map((metal) => ALLOYS[metal].solidusC - flowC)
  const stops = gaps.filter((gap) => gap < LEAST_GAP_C).length + melting.filter((margin) => margin <= 0).length
  return { stops, leastC: Math.min(Number.POSITIVE_INFINITY, ...gaps, ...melting) }
}

/** Whether one choice is better than another: what cannot be done first, then fewer grades, then the larger least margin. */
export function isBetter(a: LadderWorth, b: LadderWorth): boolean {
  if (a.stops !== b.stops) return a.stops < b.stops
  if (a.grades !== b.grades) return a.grades < b.grades
  return a.leastMarginC > b.leastMarginC
}

interface Partial extends LadderWorth {
  readonly chosen: ReadonlyMap<string, SolderId>
  readonly used: ReadonlySet<SolderId>
}

/** So many beginnings of a ladder are followed at once: for up to six joints and six solders, all there are. */
const WIDEST = 50_000

/**
 * Chooses a solder for each joint, in the order they are made, from those that are owned: no joint opens an earlier one that its heat
 * reaches, then the fewest grades, then the largest least margin. A joint whose solder is given keeps it.
 */
export function chooseLadder(rungs: readonly Rung[], owned: readonly SolderId[]): Ladder {
  const highestFirst = [...owned].sort((a, b) => flowOf(b) - flowOf(a))
  let begun: Partial[] = [{ chosen: new Map(), used: new Set(), stops: 0, grades: 0, leastMarginC: Number.POSITIVE_INFINITY }]
  for (const rung of rungs) {
    const choices = rung.solder ? [rung.solder] : highestFirst
    begun = begun.flatMap((beginning) => choices.map((solder) => extended(beginning, rung, solder)))
    if (begun.length > WIDEST) begun = begun.sort((a, b) => (isBetter(a, b) ? -1 : isBetter(b, a) ? 1 : 0)).slice(0, WIDEST / 10)
  }
  const best = begun.reduce<Partial | undefined>((known, one) => (!known || isBetter(one, known) ? one : known), undefined)
  return {
    solders: best?.chosen ?? new Map(),
    stops: best?.stops ?? 0,
    grades: best?.grades ?? 0,
    leastMarginC: best?.leastMarginC ?? Number.POSITIVE_INFINITY,
  }
}

function extended(beginning: Partial, rung: Rung, solder: SolderId): Partial {
  const { stops, leastC } = marginsOf(rung, solder, beginning.chosen)
  const used = beginning.used.has(solder) ? beginning.used : new Set([...beginning.used, solder])
  return {
    chosen: new Map([...beginning.chosen, [rung.joint, solder]]),
    used,
    stops: beginning.stops + stops,
    grades: used.size,
    leastMarginC: Math.min(beginning.leastMarginC, leastC),
  }
}
