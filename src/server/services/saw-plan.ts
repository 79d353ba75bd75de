import type { PlanOptions } from '@/core/piece'
import type { BladesBroken } from '@/core/sawing'
import type { Repositories } from '../db/repositories'
import { planOptions } from './piece-plan'

/** What was sawn since the first layout was cut, and the blades logged as broken over it; undefined where nothing was. */
export function bladesBroken({ layouts, tools }: Pick<Repositories, 'layouts' | 'tools'>): BladesBroken | undefined {
  const { since, mm2 } = layouts.sawn()
  return since && mm2 ? { sawnMm2: mm2, blades: tools.brokenSince('blade', since) } : undefined
}

/** The bench a saw plan is made for: its tools, its figures, and what its own broken blades tell. */
export function sawBench(repositories: Repositories, options: Required<PlanOptions> = planOptions(repositories)) {
  return { tools: options.tools, figures: options.figures, bladesBroken: bladesBroken(repositories) }
}
