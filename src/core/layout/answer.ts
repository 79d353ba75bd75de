import type { Exchange } from './exchange'
import { type LayoutSolution, packLayout } from './pack'
import type { Remnant } from './remnants'
import type { LayoutInput } from './schema'
import type { LayoutControl } from './spread'
import { type Useful, usefulIn } from './useful'

/** A layout as it is told outside the program: what can still be cut from each remnant stands beside it. */
export interface LayoutAnswer extends LayoutSolution {
  readonly remnants: readonly (Remnant & Useful)[]
}

/** A search in the seconds it has by a clock, which tells those beside it what it comes to, where there are any, and hears of them. */
export const controlled = ({ seconds }: LayoutInput, elapsedS: () => number, beside?: Exchange): LayoutControl => ({
  elapsedS,
  shouldStop: () => elapsedS() >= seconds,
  ...(beside ? { tell: (placements) => beside.tell(placements), heard: () => beside.heard() } : {}),
})

/** Lays blanks on sheets in the seconds they have by a clock, and says of what remains how large a rectangle and how large a disc it holds. */
export function answerLayout(input: LayoutInput, elapsedS: () => number, beside?: Exchange): LayoutAnswer {
  const solution = packLayout(input, controlled(input, elapsedS, beside))
  return { ...solution, remnants: solution.remnants.map((remnant) => ({ ...remnant, ...usefulIn(remnant) })) }
}
