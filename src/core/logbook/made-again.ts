import type { ProgressStep } from './progress'

/** A step of the route, of which one that was put in for a single piece is a repeat or a rework. */
export const routeStepOf = (stepId: string) => stepId.split('~')[0] ?? stepId

/** The steps of the route that a part went through before one of them, once more, for one piece alone: its other parts wait where they are. */
export function madeAgain<S extends ProgressStep>(steps: readonly S[], stepId: string, part: string, workpiece: number, time: number): S[] {
  const upTo = steps.findIndex(({ id }) => id === routeStepOf(stepId))
  return steps
    .slice(0, upTo)
    .filter(({ only, subTray }) => only === undefined && (subTray === undefined || subTray.includes(part)))
    .map((step) => ({ ...step, id: `${step.id}~${workpiece}.again${time}`, together: false, only: workpiece }))
}
