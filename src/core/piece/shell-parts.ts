import { domedShell, heldShell, pressedShell, raisedShell, type ShellPoint } from '../forming/shell'
import type { Alloy, AlloyId } from '../metals/alloys'
import type { TemperState } from '../route/temper'
import { alloyWith } from '../tables/own-metal'
import type { PiecePlan } from './plan-piece'
import { metalsOf, type PartWalk, routeTemper } from './route-temper'
import { partOfStep } from './words'

/** How a shell is made: over a form with its rim held or free, down into a hollow, or round a stake. */
export type ShellWay = 'held' | 'pressed' | 'sunk' | 'raised'

/** A shell after one step of its route: its shape, and what its metal is then. */
export interface ShellStage {
  readonly way: ShellWay
  readonly title: string
  readonly profile: readonly ShellPoint[]
  readonly annealBefore: boolean
  /** Of the place that has used most. */
  readonly state: Pick<TemperState, 'worstRegion' | 'workUsedFraction' | 'plusMinusFraction' | 'light'>
}

/** A part that is pressed, sunk or raised, stage by stage as its route has it. */
export interface ShellPart {
  readonly part: string
  readonly name: string
  readonly alloy: AlloyId
  readonly thicknessMm: number
  readonly stages: readonly ShellStage[]
}

const WAYS: Readonly<Record<string, { readonly way: ShellWay; readonly sizes: readonly string[] }>> = {
  'press-die': { way: 'pressed', sizes: ['depthMm', 'halfMm'] },
  sink: { way: 'sunk', sizes: ['discMm', 'heightMm'] },
  raise: { way: 'raised', sizes: ['fromMm', 'toMm'] },
}

type Step = PiecePlan['steps'][number]
/** How a step makes a shell; undefined of steps that make none, or whose sizes are open. */
function wayOf({ op, params }: Step): ShellWay | undefined {
  const known = WAYS[op]
  if (!known?.sizes.every((name) => typeof params[name] === 'number' && params[name] > 0)) return undefined
  return known.way === 'pressed' && params.rimHeld !== false ? 'held' : known.way
}
const mm = ({ params }: Step, name: string) => Number(params[name])

/** A disc domed so high, at the most to a hemisphere. */
const domedTo = (alloy: Alloy, discMm: number, heightMm: number, thicknessMm: number) =>
  domedShell(alloy, discMm, Math.min(heightMm, discMm / (2 * Math.SQRT2)), thicknessMm)

/** The shape that a step brings a part to, raised from a disc of this size; undefined where it brings it to none. */
function shellOf(way: ShellWay, step: Step, { alloy, thicknessMm }: Pick<Shelling, 'alloy' | 'thicknessMm'>, discMm: number) {
  if (way === 'sunk') return domedTo(alloy, mm(step, 'discMm'), mm(step, 'heightMm'), thicknessMm)
  if (way === 'raised') return mm(step, 'toMm') < discMm ? raisedShell({ discMm, rimMm: mm(step, 'toMm') }, thicknessMm) : undefined
  const halfMm = mm(step, 'halfMm')
  const depthMm = Math.min(mm(step, 'depthMm'), halfMm)
  return (way === 'held' ? heldShell : pressedShell)(alloy, { halfMm, depthMm }, thicknessMm)
}

/** Whether anything of a piece is pressed, sunk or raised. */
export const isShelled = ({ steps }: Pick<PiecePlan, 'steps'>) => steps.some((step) => wayOf(step) !== undefined)

interface Shelling {
  readonly plan: Pick<PiecePlan, 'assembly' | 'steps' | 'parts'>
  readonly part: string
  readonly alloy: Alloy
  readonly thicknessMm: number
  readonly walk: PartWalk
}

function stagesOf({ plan, part, alloy, thicknessMm, walk }: Shelling): ShellStage[] {
  let annealBefore = false
  let discMm = 0
  return plan.steps.flatMap((step, index): ShellStage[] => {
    if (partOfStep(plan, step.on) !== part) return []
    if (step.op === 'anneal') annealBefore = true
    const way = wayOf(step)
    if (way === 'raised') discMm = Math.max(discMm, mm(step, 'fromMm'))
    const profile = way && shellOf(way, step, { alloy, thicknessMm }, discMm)
    const state = walk.walk.steps[walk.at.lastIndexOf(index)]
    if (!way || !profile || !state) return []
    const stage = { way, title: state.title, profile, annealBefore, state }
    annealBefore = false
    return [stage]
  })
}

/** The parts of a piece that are pressed, sunk or raised. */
export function shellParts(plan: Pick<PiecePlan, 'parts' | 'assembly' | 'steps'>): ShellPart[] {
  if (!isShelled(plan)) return []
  const { parts } = routeTemper(plan.assembly, metalsOf(plan))
  return plan.parts.flatMap(({ id, name, metal }): ShellPart[] => {
    const walk = parts.find(({ part }) => part === id)
    if (!metal || !walk) return []
    const { alloy, figures = {}, thicknessMm } = metal
    const stages = stagesOf({ plan, part: id, alloy: alloyWith(alloy, figures), thicknessMm, walk })
    return stages.length > 0 ? [{ part: id, name, alloy, thicknessMm, stages }] : []
  })
}
