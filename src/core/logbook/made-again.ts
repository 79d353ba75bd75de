import type { ProgressStep } from './progress'

/** Steps of a part up to where it went wrong, once more, for one piece alone: its other parts wait where they are. */
export function madeAgain<S extends ProgressStep>(before: readonly S[], part: string, workpiece: number, time: number): S[] {
  return before
    .filter(({ only, subTray }) => (only === undefined || only === workpiece) && (subTray === undefined || subTray.includes(part)))
    .map((step) => ({ ...step, id: `${step.id}~${workpiece}.again${time}`, together: false, only: workpiece }))
}
