import type { RouteStepSpec, Target } from '../contract'

interface ClosedRoute {
  readonly what: string
  readonly cutMm: number
  readonly insideRadiusMm: number
  readonly on: string
  readonly target: Target
}

/** The steps of anything bent round and soldered shut. */
export function closedRoute({ what, cutMm, insideRadiusMm, on, target }: ClosedRoute): RouteStepSpec[] {
  const cut: Target = { dimension: 'cutLengthMm', label: 'Cut length', valueMm: cutMm, plusMinusMm: 0.25 }
  return [
    { op: 'saw', params: { what, cutMm: Math.min(2000, Math.max(0.5, cutMm)) }, target: cut },
    { op: 'file', params: { what: 'the ends square' } },
    { op: 'anneal', params: {} },
    { op: 'bend', params: { insideRadiusMm: Math.min(1000, Math.max(0, insideRadiusMm)), what: 'it round' } },
    { op: 'solder', params: { solder: 'hard-75', what: 'the joint' } },
    { op: 'pickle', params: {} },
    { op: 'true-up', params: { on }, target },
    { op: 'file', params: { what: 'the joint flush' } },
    { op: 'finish', params: {}, target },
  ]
}

/** The steps of anything bent once and left open. */
export function openRoute({ what, cutMm, insideRadiusMm, on, target }: ClosedRoute): RouteStepSpec[] {
  return closedRoute({ what, cutMm, insideRadiusMm, on, target }).filter(
    (step) => step.op !== 'solder' && step.op !== 'pickle' && step.params.what !== 'the joint flush',
  )
}

/** The steps of a flat piece sawn to its outline. */
export function flatRoute(what: string, cutMm: number, target: Target): RouteStepSpec[] {
  return [
    { op: 'saw', params: { what, cutMm: Math.min(2000, Math.max(0.5, cutMm)) } },
    { op: 'file', params: { what: 'the edge to the line' }, target },
    { op: 'finish', params: {}, target },
  ]
}
