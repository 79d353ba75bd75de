import { MALLET_MOVES } from '../forming/work-used'
import type { PartWalk, RouteTemper } from './route-temper'

/** The rule by which a reason lifts a step whose metal a mallet hardly moves. */
export const STIFF_RULE = 'stiff'

/** A step that asks a mallet to dome metal too stiff for it. */
export interface StiffStep {
  readonly part: string
  readonly step: number
  readonly stiffness: number
}

function stiffIn({ part, walk, at }: PartWalk): StiffStep[] {
  const found = walk.steps.flatMap(({ op }, i): StiffStep[] => {
    const before = walk.steps[i - 1] ?? walk.start
    const softHv = before.hardnessHv / before.stiffness
    // where any of it is soft enough the mallet begins there
    const stiffness = Math.min(...before.regions.map(({ hardnessHv }) => hardnessHv)) / softHv
    return op === 'dap' && stiffness > MALLET_MOVES ? [{ part, step: at[i] ?? 0, stiffness }] : []
  })
  return found.slice(0, 1)
}

/** Of every part the first step that a mallet is too weak for. What a die, a bender or a fold asks of the metal is a rule of its own. */
export function stiffSteps({ parts }: Pick<RouteTemper, 'parts'>): StiffStep[] {
  return parts.flatMap(stiffIn)
}
