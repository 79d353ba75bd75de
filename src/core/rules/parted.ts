import type { Assembly } from '../assembly/assembly'
import { Walk } from './walk'

/** A step that another includes. */
export interface PartedStep {
  readonly op: string
  readonly params: Readonly<Record<string, unknown>>
  /** Whether it is the step itself. */
  readonly isItself: boolean
}

/** What a step of a route is parted into, in order, by the methods chosen and by what it is done to: itself among them, or alone. */
export function partedInto(assembly: Assembly, index: number): PartedStep[] {
  const step = assembly.steps[index]
  if (!step) return []
  return Walk.of(assembly)
    .acts(step, index)
    .map(({ op, params }) => ({ op: op.id, params, isItself: op.id === step.op }))
}
