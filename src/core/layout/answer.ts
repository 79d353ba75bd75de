import { type LayoutSolution, packLayout } from './pack'
import type { Remnant } from './remnants'
import type { LayoutInput } from './schema'
import { type Useful, usefulIn } from './useful'

/** A layout as it is told outside the program: what can still be cut from each remnant stands beside it. */
export interface LayoutAnswer extends LayoutSolution {
  readonly remnants: readonly (Remnant & Useful)[]
}

/** Lays blanks on sheets in the seconds they have by a clock, and says of what remains how large a rectangle and how large a disc it holds. */
export function answerLayout(input: LayoutInput, elapsedS: () => number): LayoutAnswer {
  const solution = packLayout(input, { elapsedS, shouldStop: () => elapsedS() >= input.seconds })
  return { ...solution, remnants: solution.remnants.map((remnant) => ({ ...remnant, ...usefulIn(remnant) })) }
}
