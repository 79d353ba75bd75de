import { type Compared, comparePieces, type PieceComparison } from '@/core/route'
import type { Piece, Repositories } from '../db/repositories'
import { planDesign, planOptions } from './piece-plan'

export interface ComparedPieces {
  readonly first: Compared
  readonly second: Compared
  readonly comparison: PieceComparison
}

/** Two pieces planned and compared, or undefined where one of them cannot be planned as it stands. */
export function compareTwo(repositories: Repositories, one: Piece, two: Piece): ComparedPieces | undefined {
  const options = planOptions(repositories)
  const compared = [one, two].flatMap(({ design }): Compared[] => {
    const plan = planDesign(design, options)
    return plan.ok ? [{ design, plan }] : []
  })
  const [first, second] = compared
  return first && second
    ? { first, second, comparison: comparePieces(first, second, options.figures ?? {}, repositories.settings.read().currency) }
    : undefined
}
