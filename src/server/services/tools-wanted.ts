import { isOpenJob } from '@/core/entries'
import type { PlanOptions } from '@/core/piece'
import { toolNotes } from '@/core/route'
import type { Repositories } from '../db/repositories'
import { planDesign } from './piece-plan'

/** A tool that open jobs ask for and the wall lacks, or for which something else has to serve. */
export interface ToolWanted {
  readonly message: string
  readonly pieces: readonly string[]
}

const JOBS_LOOKED_AT = 40

/** What the steps of all open jobs would take and the wall has not, each once, with the pieces that ask for it. */
export function toolsWanted({ jobs }: Pick<Repositories, 'jobs'>, options: Required<PlanOptions>): ToolWanted[] {
  const wanted = new Map<string, Set<string>>()
  const open = jobs.jobs({ page: 1, size: JOBS_LOOKED_AT }).filter(isOpenJob)
  for (const piece of open.flatMap(({ id }) => jobs.pieces(id))) {
    const plan = planDesign(piece.design, options)
    for (const part of plan.parts) {
      if (!part.metal) continue
      const own = plan.steps.filter(({ on }) => on.length === 0 || on.some(({ thing }) => thing === part.id))
      for (const { level, message } of toolNotes(own, { thicknessMm: part.metal.thicknessMm, ...options }))
        if (level === 'note' && !message.startsWith('Yours serves')) wanted.set(message, (wanted.get(message) ?? new Set()).add(piece.name))
    }
  }
  return [...wanted].map(([message, pieces]) => ({ message, pieces: [...pieces] })).sort((a, b) => b.pieces.length - a.pieces.length)
}
