import type { Act } from './acted'

/** Minutes an act takes: its hands-on and waiting time, or the minutes it is given. */
export function minutesOf({ op, params }: Pick<Act, 'op' | 'params'>): { readonly handsOn: number; readonly waiting: number } {
  if (op.id === 'wait') return { handsOn: 0, waiting: typeof params.min === 'number' ? params.min : 5 }
  if (op.id === 'own-step' && typeof params.min === 'number') return { handsOn: params.min, waiting: 0 }
  const runs = op.runs?.(params)
  if (runs) return { handsOn: (runs.count * op.handsOnS) / 60, waiting: (runs.count * runs.restS) / 60 }
  return { handsOn: op.handsOnS / 60, waiting: op.waitS / 60 }
}
