import { type Compared, type Comparison, comparePieces } from '@/core/route'
import type { Piece, Repositories } from '../db/repositories'
import { planDesign, planOptions } from './piece-plan'

/** A piece one may set beside this one: those of the same job first, then others of the same form. */
export function comparable(piece: Piece, pieces: readonly Piece[]): Piece[] {
  const form = piece.design.parts[0]?.form
  const others = pieces.filter((other) => other.id !== piece.id)
  const near = (other: Piece) => (other.jobId === piece.jobId ? 0 : 2) + (other.design.parts[0]?.form === form ? 0 : 1)
  return others.filter((other) => near(other) < 3).sort((a, b) => near(a) - near(b) || b.id - a.id)
}

export interface ComparedPieces {
  readonly first: Compared
  readonly second: Compared
  readonly comparison: Comparison
}

/** Two pieces planned and compared, or undefined where one of them cannot be planned as it stands. */
export function compareTwo(repositories: Repositories, one: Piece, two: Piece): ComparedPieces | undefined {
  const options = planOptions(repositories)
  const compared = [one, two].flatMap(({ design }): Compared[] => {
    const plan = planDesign(design, options)
    return plan.ok ? [{ design, plan }] : []
  })
  const [first, second] = compared
  return first && second ? { first, second, comparison: comparePieces(first, second, options.figures ?? {}) } : undefined
}
