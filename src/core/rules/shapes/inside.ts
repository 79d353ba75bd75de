import type { Check, Watch } from '../breach'
import type { InsideClause } from '../row'

/** Watches the order of sub-steps, where the smith has divided the step. */
export function watchInside(clauses: readonly InsideClause[]): Watch {
  return (_world, act) =>
    clauses.flatMap(({ of, order }, clause): Check[] => {
      const split = act.op.id === of && act.step.op === of ? (act.step.split ?? []) : []
      if (!order.some((name) => split.includes(name))) return []
      const places = order.map((name) => split.indexOf(name))
      const isKept = places.every((place, i) => place >= 0 && place > (places[i - 1] ?? -1))
      return isKept ? [] : [() => [{ clause, on: act.things }]]
    })
}
