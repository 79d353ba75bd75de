'use client'
import { useMemo, useState } from 'react'
import {
  addStep,
  type DesignStep,
  giveReason,
  insertAnneal,
  metalsOf,
  moveToThing,
  type PiecePlan,
  pinStep,
  skipHeat,
  unfoldStep,
  type WantedRoute,
} from '@/core/piece'
import { newStepId } from '../acting/use-part-work'
import { useNotice } from '../shared/notices'
import { useSteadyAll } from '../shared/use-steady'
import { type RouteView, routeView, type StressAdvice } from './route-view'
import type { RouteHand } from './use-route'

/** A route as it stands: its plan, what the board shows of it, and the step that is chosen. */
export interface RouteSeen {
  readonly plan: PiecePlan
  readonly wanted: WantedRoute
  readonly view: RouteView
  /** Which step is chosen. */
  readonly index: number
  /** What leaving the chosen anneal out would come to, while that is looked at. */
  readonly skipped: ReturnType<typeof skipHeat> | undefined
  /** What a step can be done to, by name; none where there is only one thing. */
  readonly things: Readonly<Record<string, string>>
}

/** A list with one of it at another place. */
const withMoved = <T>(list: readonly T[], from: number, to: number): T[] =>
  list.toSpliced(from, 1).toSpliced(to, 0, ...list.slice(from, from + 1))

/** What the station shows of a route under the hands, and what can be done with it: the same functions as long as the station is there. */
export function useRouteView(hand: RouteHand) {
  const { plan, wanted, keep } = hand
  const say = useNotice()
  const [chosenId, setChosen] = useState<string>()
  const [lifted, setLifted] = useState<readonly [number, number]>()
  const [skipId, setSkip] = useState<string>()
  const view = useMemo(() => routeView(plan, wanted.steps), [plan, wanted.steps])
  const shown = useMemo(
    () => (lifted && lifted[0] !== lifted[1] ? routeView(plan, withMoved(wanted.steps, ...lifted)) : view),
    [lifted, plan, wanted.steps, view],
  )
  const index = Math.max(
    0,
    wanted.steps.findIndex(({ id }) => id === chosenId),
  )
  const chosen = wanted.steps[index]
  const isSkipping = chosen?.op === 'anneal' && skipId === chosen.id && lifted === undefined
  const skipped = useMemo(
    () => (isSkipping ? skipHeat(view.assembly, metalsOf(plan), index) : undefined),
    [isSkipping, view.assembly, plan, index],
  )
  const seen = useMemo((): RouteSeen => {
    const isOne = plan.assembly.parts.length + plan.assembly.others.length < 2
    return { plan, wanted, view, index, skipped, things: isOne ? {} : Object.fromEntries(view.names) }
  }, [plan, wanted, view, index, skipped])
  const putIn = (at: number, step: Omit<DesignStep, 'id'>) => {
    const id = newStepId(step.op)
    keep(addStep(wanted, at, { ...step, id }))
    return id
  }
  const does = useSteadyAll({
    keep,
    setParams: hand.setParams,
    setPart: hand.setPart,
    choose: (id: string) => setChosen(id),
    lift: (from: number, to: number) => setLifted([from, to]),
    reorder: (from: number, to: number) => {
      setLifted(undefined)
      if (from !== to && from >= 0 && to >= 0) keep({ ...wanted, steps: withMoved(wanted.steps, from, to) })
    },
    remove: (at: number) => {
      keep({ ...wanted, steps: wanted.steps.filter((_, i) => i !== at) })
      say({ text: `${view.board[at]?.title ?? 'The step'} is taken out.`, undo: () => hand.move('undo') })
    },
    add: (op: string, thing: string, where: 'last' | 'before', params: DesignStep['params']) =>
      setChosen(putIn(where === 'last' ? wanted.steps.length : index, { op, on: [{ thing }], params })),
    addAnneal: (before: number) => {
      const part = view.temper.steps[before]?.part ?? plan.parts[0]?.id ?? ''
      keep({ ...wanted, steps: insertAnneal(wanted.steps, before, (op) => ({ id: newStepId(op), op, on: [{ thing: part }], params: {} })) })
    },
    relieve: ({ part, step }: StressAdvice) => void putIn(step + 1, { op: 'stress-relief', on: [{ thing: part }], params: {} }),
    twice: ({ id, target: _, ...same }: DesignStep) => void putIn(wanted.steps.findIndex((step) => step.id === id) + 1, same),
    pin: (id: string, isPinned: boolean) => keep(pinStep(wanted, id, isPinned)),
    toThing: (id: string, thing: string) => keep(moveToThing(plan, wanted, id, thing, newStepId)),
    unfold: (id: string) => keep(unfoldStep(wanted, view.assembly, id, newStepId)),
    reason: (late: string, rule: string, against: string | undefined, reason: string) =>
      keep(giveReason(wanted, late, rule, against, reason)),
    /** Looks at what leaving an anneal out would come to. */
    look: (id: string, isLookedAt: boolean) => setSkip(isLookedAt ? id : undefined),
  })
  return { seen, shown, does }
}
export type RouteDoing = ReturnType<typeof useRouteView>['does']
