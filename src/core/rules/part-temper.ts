import type { Assembly, AssemblyPart } from '../assembly/assembly'
import { findOperation } from '../operations/catalogue'
import { type RouteStep, type TemperState, walkTemper } from '../route/temper'
import { type Act, heatOf, walkOrder } from './act'
import { Walk } from './walk'

/** The metal of one part after each step that touches it, by the ledger of the metal. */
export interface PartTemper {
  readonly part: string
  readonly steps: readonly {
    readonly step: number
    readonly op: string
    readonly temper: TemperState['temper']
    readonly hardnessHv: number
    readonly workLeftFraction: number
  }[]
}

interface Touch {
  readonly step: number
  readonly route: RouteStep
}

/** An act as the ledger reads it: the parameters of its operation alone; undefined where its sizes are still open. */
function readable({ op, params }: Act): RouteStep | undefined {
  const own = Object.fromEntries(Object.entries(params).filter(([name]) => name in op.params.shape))
  return findOperation(op.id)?.read(own).ok ? { op: op.id, params: own } : undefined
}

/** Parts and others that an act touches: what it is done to, of a heat all that it reaches. */
function touchedBy(walk: Walk, act: Act): Iterable<string> {
  return heatOf(act) === undefined ? act.things : walk.attached(act.things)
}

/** The acts that touch each part, each repeated group once. */
function touchesOf(assembly: Assembly): ReadonlyMap<string, readonly Touch[]> {
  const walk = Walk.of(assembly)
  const touches = new Map<string, Touch[]>()
  const note = (act: Act) => {
    const route = readable(act)
    if (!route) return
    for (const part of touchedBy(walk, act)) touches.set(part, [...(touches.get(part) ?? []), { step: act.index, route }])
  }
  const seen = new Set<number>()
  for (const index of walkOrder(assembly)) {
    const step = assembly.steps[index]
    if (!step) continue
    const acts = walk.acts(step, index)
    walk.doActs(acts)
    if (!seen.has(index)) acts.forEach(note)
    seen.add(index)
  }
  return touches
}

function temperOf({ id, alloy, thicknessMm, bought = 'annealed' }: AssemblyPart, touches: readonly Touch[]): PartTemper[] {
  if (!alloy || !thicknessMm) return []
  const start = { alloy, thicknessMm, bought }
  const issues = new Set(walkTemper({ ...start, steps: touches.map(({ route }) => route) }).issues.map(({ path }) => path))
  const done = touches.filter((_, i) => !issues.has(`steps.${i}`))
  const { steps } = walkTemper({ ...start, steps: done.map(({ route }) => route) })
  return [
    {
      part: id,
      steps: steps.map(({ op, temper, hardnessHv, workLeftFraction }, i) => ({
        step: done[i]?.step ?? 0,
        op,
        temper,
        hardnessHv,
        workLeftFraction,
      })),
    },
  ]
}

/** The metal of every part of which alloy and thickness are known, step by step. */
export function partTempers(assembly: Assembly): PartTemper[] {
  const touches = touchesOf(assembly)
  return assembly.parts.flatMap((part) => temperOf(part, touches.get(part.id) ?? []))
}
