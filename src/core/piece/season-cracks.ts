import { ALLOYS, type AlloyId } from '../metals/alloys'
import type { PartMetal } from './plan-piece'
import type { PartWalk, RouteTemper } from './route-temper'

/** Hardening strain since the last heat from which stress stays that can split it (estimate, low). */
const STRESSED = 0.1
/** A heat of so much relieves it: half an hour at 250 to 275 °C (handbook, medium). */
const RELIEVES_C = 240

/** A part that is formed last and never relieved. */
export interface StressedPart {
  readonly part: string
  readonly step: number
  readonly alloy: AlloyId
  readonly isProne: boolean
}

function stressedIn({ part, walk, at }: PartWalk, alloy: AlloyId): StressedPart[] {
  const { seasonCracks } = ALLOYS[alloy]
  if (!seasonCracks) return []
  const last = walk.steps.findLastIndex(({ strain }, i) => strain > (walk.steps[i - 1] ?? walk.start).strain + 1e-9)
  const relieved = walk.steps.findLastIndex(({ heatC }) => (heatC ?? 0) >= RELIEVES_C)
  if (last < 0 || relieved > last) return []
  const soft = walk.steps[relieved] ?? walk.start
  const added = (walk.steps[last]?.strain ?? 0) - soft.strain
  return added < STRESSED ? [] : [{ part, step: at[last] ?? 0, alloy, isProne: seasonCracks === 'prone' }]
}

/** Parts of metal that season-cracks, formed after their last heat: a stress relief belongs after their last forming. */
export function stressedParts({ parts }: Pick<RouteTemper, 'parts'>, metals: ReadonlyMap<string, PartMetal>): StressedPart[] {
  return parts.flatMap((walk) => {
    const metal = metals.get(walk.part)
    return metal ? stressedIn(walk, metal.alloy) : []
  })
}
