import { isOpenJob } from '@/core/entries'
import type { PlanOptions } from '@/core/piece'
import { type ToolNote, toolNotes } from '@/core/route'
import { figureOf } from '@/core/tables'
import type { Repositories } from '../db/repositories'
import { planDesign } from './piece-plan'

/** A tool that open jobs ask for and the wall lacks, with what else would serve. */
export interface ToolWanted {
  readonly message: string
  readonly pieces: readonly string[]
  /** What it would cost to buy, in the workshop’s own money. */
  readonly cost: number
}

const JOBS_LOOKED_AT = 40

/** What the steps of all open jobs would take and the wall has not, each once, with the pieces that ask for it. */
export function toolsWanted({ jobs }: Pick<Repositories, 'jobs'>, options: Required<PlanOptions>): ToolWanted[] {
  const wanted = new Map<string, { readonly buy: NonNullable<ToolNote['buy']>; readonly pieces: Set<string> }>()
  const open = jobs.jobs({ page: 1, size: JOBS_LOOKED_AT }).filter(isOpenJob)
  for (const piece of open.flatMap(({ id }) => jobs.pieces(id))) {
    const plan = planDesign(piece.design, options)
    for (const part of plan.parts) {
      if (!part.metal) continue
      const own = plan.steps.filter(({ on }) => on.length === 0 || on.some(({ thing }) => thing === part.id))
      for (const { message, buy } of toolNotes(own, { thicknessMm: part.metal.thicknessMm, ...options })) {
        if (!buy) continue
        const known = wanted.get(message) ?? { buy, pieces: new Set() }
        wanted.set(message, known)
        known.pieces.add(piece.name)
      }
    }
  }
  return [...wanted]
    .map(([message, { buy, pieces }]) => ({ message, pieces: [...pieces], cost: figureOf(`tool-price-${buy}`, options.figures) }))
    .sort((a, b) => b.pieces.length - a.pieces.length)
}
