import { ALLOYS, type AlloyId } from '../metals/alloys'
import { findOperation } from '../operations/catalogue'
import type { BenchWords } from '../operations/contract'
import type { RouteStep } from './temper'

/** What the smith reads at a step; an unknown operation reads as its own id. */
export function wordsOf(
  step: RouteStep,
  piece: { readonly alloy: AlloyId; readonly thicknessMm: number; readonly widthMm?: number | undefined },
): BenchWords {
  const read = findOperation(step.op)?.read(step.params)
  const context = { alloy: ALLOYS[piece.alloy], thicknessMm: piece.thicknessMm, widthMm: piece.widthMm ?? 20 * piece.thicknessMm }
  return read?.ok ? read.step.words(context) : { title: step.op, say: 'This step cannot be read; see the route.', facts: [] }
}

/** The same route with an anneal (and the pickle that should follow it) before a step. */
export function insertAnneal<T extends RouteStep>(steps: readonly T[], before: number, make: (op: 'anneal' | 'pickle') => T): T[] {
  const needsPickle = steps[before]?.op !== 'pickle'
  return [...steps.slice(0, before), make('anneal'), ...(needsPickle ? [make('pickle')] : []), ...steps.slice(before)]
}
