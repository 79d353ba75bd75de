import { isOpenJob } from '@/core/entries'
import type { PlanOptions } from '@/core/piece'
import { type ToolNote, toolNotes } from '@/core/route'
import { figureOf } from '@/core/tables'
import type { Repositories } from '../db/repositories'
import { planDesign } from './piece-plan'

/** A tool that open jobs ask for and the wall lacks, or for which something else has to serve. */
export interface ToolWanted {
  readonly message: string
  readonly pieces: readonly string[]
  /** What it would cost to buy, in the workshop’s own money; null where nothing that can be bought is missing. */
  readonly cost: number | null
}

const JOBS_LOOKED_AT = 40

/** What the steps of all open jobs would take and the wall has not, each once, with the pieces that ask for it. */
export function toolsWanted({ jobs }: Pick<Repositories, 'jobs'>, options: Required<PlanOptions>): ToolWanted[] {
  const wanted = new Map<string, { readonly buy: ToolNote['buy']; readonly pieces: Set<string> }>()
  const open = jobs.jobs({ page: 1, size: JOBS_LOOKED_AT }).filter(isOpenJob)
  for (const piece of open.flatMap(({ id }) => jobs.pieces(id))) {
    const plan = planDesign(piece.design, options)
    for (const part of plan.parts) {
      if (!part.metal) continue
      const own = plan.steps.filter(({ on }) => on.length === 0 || on.some(({ thing }) => thing === part.id))
      for (const { level, message, buy } of toolNotes(own, { thicknessMm: part.metal.thicknessMm, ...options })) {
        if (level !== 'note' || message.startsWith('Yours serves')) continue
        const known = wanted.get(message) ?? { buy, pieces: new Set() }
        wanted.set(message, known)
        known.pieces.add(piece.name)
      }
    }
  }
  const priceOf = (buy: ToolNote['buy']) => (buy ? figureOf(`tool-price-${buy}`, options.figures) : null)
  return [...wanted]
    .map(([message, { buy, pieces }]) => ({ message, pieces: [...pieces], cost: priceOf(buy) }))
    .sort((a, b) => b.pieces.length - a.pieces.length)
}
