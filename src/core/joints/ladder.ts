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

/** A joint as it is searched: where the metals of its heat begin to melt, °C, and the places of the earlier joints its heat reaches. */
interface Sought {
  readonly solders: readonly SolderId[]
  readonly solidusC: readonly number[]
  readonly reaches: readonly number[]
}

/** What stands against a solder in a heat: earlier joints it does not flow far enough under, metals that begin to melt. */
function marginsOf({ solidusC, reaches }: Sought, flowC: number, chosen: readonly SolderId[]): { stops: number; leastC: number } {
  let stops = 0
  let leastC = Number.POSITIVE_INFINITY
  for (const place of reaches) {
    const earlier = chosen[place]
    if (earlier === undefined) continue
    const gapC = flowOf(earlier) - flowC
    if (gapC < LEAST_GAP_C) stops++
    leastC = Math.min(leastC, gapC)
  }
  for (const meltsC of solidusC) {
    if (meltsC <= flowC) stops++
    leastC = Math.min(leastC, meltsC - flowC)
  }
  return { stops, leastC }
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
  const places = new Map(rungs.map(({ joint }, i) => [joint, i]))
  const sought = rungs.map(
    ({ solder, metals, reaches }): Sought => ({
      solders: solder ? [solder] : highestFirst,
      solidusC: metals.map((metal) => ALLOYS[metal].solidusC),
      reaches: reaches.flatMap((joint) => places.get(joint) ?? []),
    }),
  )
  let best: Begun | undefined
  let left = rungs.length <= TRIED_WHOLE ? MOST_TRIED_WHOLE : MOST_TRIED
  const extend = (begun: Begun) => {
    const rung = sought[begun.solders.length]
    if (!rung) {
      best = begun
      return
    }
    for (const solder of rung.solders) {
      if (left-- <= 0 && best) break
      const next = extended(begun, rung, solder)
      if (!best || isBetter(next, best)) extend(next)
    }
  }
  if (highestFirst.length > 0 || rungs.every(({ solder }) => solder)) extend(NOTHING)
  const { solders, ...worth } = best ?? NOTHING
  return { ...worth, solders: new Map(solders.map((solder, i) => [rungs[i]?.joint ?? '', solder])) }
}

function extended(begun: Begun, rung: Sought, solder: SolderId): Begun {
  const { stops, leastC } = marginsOf(rung, flowOf(solder), begun.solders)
  return {
    solders: [...begun.solders, solder],
    stops: begun.stops + stops,
    grades: begun.solders.includes(solder) ? begun.grades : begun.grades + 1,
    leastMarginC: Math.min(begun.leastMarginC, leastC),
  }
}
