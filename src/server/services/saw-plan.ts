import type { PlanOptions } from '@/core/piece'
import type { OwnFigures } from '@/core/tables'
import type { Repositories } from '../db/repositories'
import { planOptions } from './piece-plan'

/** So many blades must have broken before the smith's own figure is told from them. */
const ENOUGH_BROKEN = 3

/** Metal a blade cuts before it breaks, mm², by the blades logged as broken and the layouts cut since; undefined while too little is known. */
export function ownBladeLife({ layouts, tools }: Pick<Repositories, 'layouts' | 'tools'>): number | undefined {
  const { since, mm2 } = layouts.sawn()
  if (!since || !mm2) return undefined
  const broken = tools.brokenSince('blade', since)
  return broken >= ENOUGH_BROKEN ? mm2 / broken : undefined
}

/** The bench a saw plan is made for: its tools, and its figures with what its own broken blades tell. */
export function sawBench(repositories: Repositories, options: Required<PlanOptions> = planOptions(repositories)) {
  const life = ownBladeLife(repositories)
  const figures: OwnFigures = { ...(life === undefined ? {} : { 'blade-life': life }), ...options.figures }
  return { tools: options.tools, figures, isOwnLife: life !== undefined && options.figures['blade-life'] === undefined }
}
