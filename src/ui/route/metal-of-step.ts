import type { AlloyId } from '@/core/metals'
import type { RouteState } from '@/core/piece'
import type { TemperState } from '@/core/route'
import type { OwnFigures } from '@/core/tables'

/** The metal after a step of a route and before it, of the part that is worst there. */
export interface MetalOfStep {
  readonly state: RouteState
  /** The metal of the part before the step. */
  readonly before: TemperState
  readonly alloy: AlloyId
  readonly figures: OwnFigures
}
