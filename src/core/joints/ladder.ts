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

/** Up to so many joints everything that could be better is tried: six solders for each of six joints are 55,986 choices. */
const TRIED_WHOLE = 6
const MOST_TRIED_WHOLE = 60_000
/** Of longer ladders so many choices are tried at most. */
const MOST_TRIED = 8_000

/** A ladder that is begun: what was chosen for its first joints, and what that is worth. */
interface Begun extends LadderWorth {
  readonly solders: readonly SolderId[]
}

const NOTHING: Begun = { solders: [], stops: 0, grades: 0, leastMarginC: Number.POSITIVE_INFINITY }

/**
 * Chooses a solder for each joint, in the order they are made, from those that are owned: no joint opens an earlier one that its heat
 * reaches, then the fewest grades, then the largest least margin. A joint whose solder is given keeps it. What is begun only ever becomes
 * worse, so that it is left as soon as it is no better than a whole ladder that is known.
 */
export function chooseLadder(rungs: readonly Rung[], owned: readonly SolderId[]): Ladder {
  const highestFirst = [...owned].sort((a, b) => flowOf(b) - flowOf(a))
  const chosen = new Map<string, SolderId>()
  let best: Begun | undefined
  let left = rungs.length <= TRIED_WHOLE ? MOST_TRIED_WHOLE : MOST_TRIED
  const extend = (begun: Begun) => {
    const rung = rungs[begun.solders.length]
    if (!rung) {
      best = begun
      return
    }
    for (const solder of rung.solder ? [rung.solder] : highestFirst) {
      if (left-- <= 0 && best) break
      const next = extended(begun, rung, solder, chosen)
      if (best && !isBetter(next, best)) continue
      chosen.set(rung.joint, solder)
      extend(next)
      chosen.delete(rung.joint)
    }
  }
  if (highestFirst.length > 0 || rungs.every(({ solder }) => solder)) extend(NOTHING)
  const { solders, ...worth } = best ?? NOTHING
  return { ...worth, solders: new Map(solders.map((solder, i) => [rungs[i]?.joint ?? '', solder])) }
}

function extended(begun: Begun, rung: Rung, solder: SolderId, chosen: ReadonlyMap<string, SolderId>): Begun {
  const { stops, leastC } = marginsOf(rung, solder, chosen)
  return {
    solders: [...begun.solders, solder],
    stops: begun.stops + stops,
    grades: begun.solders.includes(solder) ? begun.grades : begun.grades + 1,
    leastMarginC: Math.min(begun.leastMarginC, leastC),
  }
}
