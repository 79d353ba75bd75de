import type { Assembly, AssemblyStep } from '../assembly/assembly'
import { findOperation } from '../operations/catalogue'
import { type RouteStep, type TemperState, type TemperWalk, walkTemper } from '../route/temper'
import { heatOf } from '../rules/act'
import type { Act } from '../rules/acted'
import { attachedTo } from '../rules/links'
import { type WalkedStep, walkedOnce } from '../rules/walked-route'
import { isMetalKnown } from '../tables/own-metal'
import { recent } from '../working/recent'
import type { PartMetal, PiecePlan } from './plan-piece'
import { wordsOf } from './words'

/** The rule by which a reason lifts a step that the metal may not stand. */
export const SPLIT_RULE = 'split'

/** A step of the ledger, and what it says in one text: by it a walk is known again. */
interface Readable {
  readonly route: RouteStep
  readonly key: string
}

interface Touch extends Readable {
  readonly step: number
}

/** Operations with their parameters as the ledger reads them, each read once; null where sizes are still open. */
const READABLE = recent<Readable | null>(1000)

/** An act as the ledger reads it: the parameters of its operation alone; null where its sizes are still open. */
function readable({ op, params }: Act): Readable | null {
  const own = Object.fromEntries(Object.entries(params).filter(([name]) => name in op.params.shape))
  const key = `${op.id} ${JSON.stringify(own)}`
  return READABLE(key, () => (findOperation(op.id)?.read(own).ok ? { route: { op: op.id, params: own }, key } : null))
}

/** Parts and others that an act touches: what it is done to, of a heat all that it reaches. */
function touchedBy({ links }: WalkedStep, act: Act): Iterable<string> {
  return heatOf(act) === undefined ? act.things : attachedTo({ links }, act.things)
}

/** The acts that touch each part, each repeated group once. */
function touchesOf(assembly: Assembly): ReadonlyMap<string, readonly Touch[]> {
  const touches = new Map<string, Touch[]>()
  for (const walked of walkedOnce(assembly)) {
    for (const act of walked.acts) {
      const read = readable(act)
      if (!read) continue
      const touch = { step: walked.index, ...read }
      for (const part of touchedBy(walked, act)) {
        const own = touches.get(part)
        if (own) own.push(touch)
        else touches.set(part, [touch])
      }
    }
  }
  return touches
}

/** The metal of one part along a route: its walk, and which step of the route each state of it stands after. */
export interface PartWalk {
  readonly part: string
  readonly walk: TemperWalk
  readonly at: readonly number[]
}

/** Parts as they were walked: what is changed on one part of a piece leaves the others as they were, and grains are alike. */
const WALKED = recent<TemperWalk>(120)

function walkPart(part: string, metal: PartMetal, touches: readonly Touch[]): PartWalk {
  const key = [JSON.stringify(metal), ...touches.map((touch) => touch.key)].join('\n')
  const walk = WALKED(key, () => walkTemper({ ...metal, steps: touches.map(({ route }) => route) }))
  // what the ledger could not read has no state of its own
  const unread = new Set(walk.issues.map(({ path }) => path))
  return { part, walk, at: touches.flatMap(({ step }, i) => (unread.has(`steps.${i}`) ? [] : [step])) }
}

/** The metal of every part of which alloy and thickness are known, step by step. */
export function partWalks(assembly: Assembly, metals: ReadonlyMap<string, PartMetal>): PartWalk[] {
  const touches = touchesOf(assembly)
  return assembly.parts.flatMap(({ id }) => {
    const metal = metals.get(id)
    return metal && isMetalKnown(metal.alloy, metal.figures ?? {}) ? [walkPart(id, metal, touches.get(id) ?? [])] : []
  })
}

/** The metal after a step of the route: of the part that is worst there, among those the step touches. */
export interface RouteState extends TemperState {
  readonly part: string
}

/** The metal along a whole route, a state for each of its steps. */
export interface RouteTemper extends Omit<TemperWalk, 'steps'> {
  readonly steps: readonly RouteState[]
  readonly parts: readonly PartWalk[]
}

interface Standing {
  readonly part: string
  readonly state: TemperState
  readonly isTouched: boolean
}

const LIGHTS: readonly TemperState['light'][] = ['green', 'amber', 'red']

/** What all that one step does to a part comes to: it stands as the last of it left it, and was hot where any of it was. */
function together(states: readonly TemperState[], last: TemperState): TemperState {
  const hot = states.findLast(({ heat }) => heat)
  const light = LIGHTS[Math.max(...states.map((state) => LIGHTS.indexOf(state.light)))] ?? last.light
  return {
    ...last,
    light,
    heat: hot !== undefined,
    softenedFraction: hot?.softenedFraction ?? null,
    heatC: hot?.heatC ?? null,
    heldS: hot?.heldS ?? null,
    meltingMarginC: hot?.meltingMarginC ?? null,
    coarseGrain: states.some(({ coarseGrain }) => coarseGrain),
  }
}

/** A step that does nothing to the metal leaves it as it is; no heat of an earlier step is its own. */
function untouched(state: TemperState): TemperState {
  return {
    ...state,
    heat: false,
    light: 'green',
    softenedFraction: null,
    heatC: null,
    heldS: null,
    meltingMarginC: null,
    coarseGrain: false,
  }
}

/** Where a part stands after each of so many steps: its last state up to there, and whether the step is one that touches it. */
function standings({ part, walk, at }: PartWalk, count: number): Standing[] {
  const here: TemperState[][] = Array.from({ length: count }, () => [])
  walk.steps.forEach((state, i) => {
    here[at[i] ?? -1]?.push(state)
  })
  let last = walk.start
  return here.map((states) => {
    last = states.at(-1) ?? last
    return states.length > 0 ? { part, state: together(states, last), isTouched: true } : { part, state: untouched(last), isTouched: false }
  })
}

const worse = (a: Standing, b: Standing) => (b.state.workUsedFraction > a.state.workUsedFraction ? b : a)

function stateAt(standing: readonly Standing[], metals: ReadonlyMap<string, PartMetal>, step: AssemblyStep): RouteState[] {
  const touched = standing.filter(({ isTouched }) => isTouched)
  const [first, ...rest] = touched.length > 0 ? touched : standing
  if (!first) return []
  const { part, state } = rest.reduce(worse, first)
  return [{ ...state, op: step.op, title: wordsOf(step, metals.get(part)).title, part }]
}

/** The metal along the route of a piece: after each step the part that is worst, and every part by itself. */
export function routeTemper(assembly: Assembly, metals: ReadonlyMap<string, PartMetal>): RouteTemper {
  const parts = partWalks(assembly, metals)
  const [start] = parts.map(({ walk }) => walk.start)
  const standing = parts.map((part) => standings(part, assembly.steps.length))
  return {
    start: start ?? walkTemper({ alloy: 'sterling-925', thicknessMm: 1, bought: 'annealed', steps: [] }).start,
    steps: assembly.steps.flatMap((step, i) =>
      stateAt(
        standing.flatMap((row) => row[i] ?? []),
        metals,
        step,
      ),
    ),
    annealBefore: [...new Set(parts.flatMap(({ walk, at }) => walk.annealBefore.flatMap((i) => at[i] ?? [])))].sort((a, b) => a - b),
    issues: [],
    parts,
  }
}

/** Steps one after another at which a part is likely to give way, none of them a heat: together they are one thing to decide. */
export interface Split {
  readonly part: string
  readonly steps: readonly number[]
}

/** Where the metal of a route is likely to crack, or comes too near melting. */
export function splitsOf({ steps, parts }: RouteTemper): Split[] {
  const splits: { part: string; steps: number[]; isHeat: boolean }[] = []
  const touched = (part: string, index: number) => parts.find((walk) => walk.part === part)?.at.includes(index) ?? false
  steps.forEach(({ part, light, heat }, i) => {
    if (light !== 'red' || !touched(part, i)) return
    const last = splits.at(-1)
    const isSame = last !== undefined && last.part === part && !heat && !last.isHeat
    const cooled = steps.slice((last?.steps.at(-1) ?? 0) + 1, i).some((state) => state.heat && state.part === part)
    if (isSame && !cooled) last.steps.push(i)
    else splits.push({ part, steps: [i], isHeat: heat })
  })
  return splits
}

/** The metals of a plan, by part. */
export function metalsOf({ parts }: Pick<PiecePlan, 'parts'>): ReadonlyMap<string, PartMetal> {
  return new Map(parts.flatMap(({ id, metal }) => (metal ? [[id, metal] as const] : [])))
}
