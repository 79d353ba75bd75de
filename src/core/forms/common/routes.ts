import type { AlloyId } from '../../metals/alloys'
import type { BendManner } from '../../operations/bending/bend'
import type { RouteStepSpec, Target } from '../contract'

interface ClosedRoute {
  readonly what: string
  readonly cutMm: number
  readonly insideRadiusMm: number
  readonly on: string
  readonly target: Target
  /** What is bent and how, where it is not a strip bent round. */
  readonly bend?: { readonly what: string; readonly manner: BendManner }
}

/** The steps of anything bent round and soldered shut. */
export function closedRoute({ what, cutMm, insideRadiusMm, on, target, bend }: ClosedRoute): RouteStepSpec[] {
  const cut: Target = { dimension: 'cutLengthMm', label: 'Cut length', valueMm: cutMm, plusMinusMm: 0.25 }
  return [
    { op: 'saw', params: { what, cutMm: Math.min(2000, Math.max(0.5, cutMm)) }, target: cut },
    { op: 'file', params: { what: 'the ends square' } },
    { op: 'anneal', params: {} },
    { op: 'bend', params: { insideRadiusMm: Math.min(1000, Math.max(0, insideRadiusMm)), ...(bend ?? { what: 'it round' }) } },
    { op: 'solder', params: { solder: 'hard-75', what: 'the joint' } },
    { op: 'pickle', params: {} },
    { op: 'true-up', params: { on }, target },
    { op: 'file', params: { what: 'the joint flush' } },
    { op: 'finish', params: {}, target },
  ]
}

/** The steps of a wall round a stone: shut, soldered to its plate with a solder that flows lower, finished, and the stone set last. */
export function bezelRoute(route: ClosedRoute, plate: AlloyId | 'same'): RouteStepSpec[] {
  const closed = closedRoute(route)
  return [
    ...closed.slice(0, -1),
    { op: 'solder', params: { solder: 'medium-70', what: 'it to its plate', ...(plate === 'same' ? {} : { to: plate }) } },
    { op: 'pickle', params: {} },
    ...closed.slice(-1),
    { op: 'set-stone', params: { by: 'bezel' } },
  ]
}

/** The steps of anything bent once and left open: pickled before it is bent, for the mallet drives scale in. */
export function openRoute(route: ClosedRoute): RouteStepSpec[] {
  return closedRoute(route).flatMap((step) => {
    if (step.op === 'solder' || step.op === 'pickle' || step.params.what === 'the joint flush') return []
    return step.op === 'anneal' ? [step, { op: 'pickle', params: {} }] : [step]
  })
}

/** The widest hole drilled in sheet: a larger bit grabs and spins it (common practice, no source). */
const WIDEST_DRILLED_MM = 12

/** A hole in sheet: drilled, or where it is too wide for a bit pierced, sawn inside its line and filed round. */
export function holeSteps(diameterMm: number): RouteStepSpec[] {
  if (diameterMm <= 0) return []
  if (diameterMm <= WIDEST_DRILLED_MM) return [{ op: 'drill', params: { diameterMm: Math.max(0.3, diameterMm) } }]
  return [
    { op: 'drill', params: { diameterMm: 1 } },
    { op: 'saw', params: { what: 'the hole, inside its line', side: 'inside', cutMm: Math.min(2000, diameterMm) } },
    { op: 'file', params: { what: 'the hole round, to its line' } },
  ]
}

/** The steps of a flat piece sawn to its outline. */
export function flatRoute(what: string, cutMm: number, target: Target): RouteStepSpec[] {
  return [
    { op: 'saw', params: { what, cutMm: Math.min(2000, Math.max(0.5, cutMm)) } },
    { op: 'file', params: { what: 'the edge to the line' }, target },
    { op: 'finish', params: {}, target },
  ]
}
