import { type Compared, comparePieces, type PieceComparison } from '@/core/piece'
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
  const [first, second] = [one, two].map(({ design }): Compared => ({ design, plan: planDesign(design, options) }))
  const comparison = first && second && comparePieces(first, second, options.figures ?? {}, repositories.settings.read().currency)
  return first && second && comparison ? { first, second, comparison } : undefined
}
