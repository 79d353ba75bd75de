import type { AssemblyJoint, AssemblyStep } from '../assembly/assembly'
import { coolsSlowly } from '../metals/alloys'
import { SOLDERS, type SolderId } from '../metals/solders'
import { findOperation } from '../operations/catalogue'
import type { Operation } from '../operations/contract'
import { type Condition, passes } from '../operations/notation/condition'
import type { Act } from './acted'
import { factOf, hasSeam, isMetal, isNotMetal, thingsOf, type World } from './world'

/** Cuts that are named by what they cut: their edge is a place of its own. */
const NAMED_CUTS: ReadonlySet<unknown> = new Set(['window', 'rough', 'trim', 'around', 'overlap'])

function ownPlace(op: Operation, params: Readonly<Record<string, unknown>>): string {
  return op.id === 'saw' && NAMED_CUTS.has(params.what) ? String(params.what) : (op.place ?? '')
}

interface Target {
  readonly things: readonly string[]
  readonly joints: readonly AssemblyJoint[]
  readonly place: string | undefined
  readonly face: string | undefined
}

/** What a step is done to: parts and others named, those of its joints, or all parts that are there. */
function targetOf(world: World, { on, params }: AssemblyStep): Target {
  const joints = on.flatMap((ref) => world.joints.get(ref.thing) ?? [])
  const things = on.flatMap((ref) => {
    if (ref.thing === 'piece') return [...world.there]
    const joint = world.joints.get(ref.thing)
    return joint ? thingsOf(joint) : [ref.thing]
  })
  const [first] = on
  const text = (value: unknown) => (typeof value === 'string' && value !== '' ? value : undefined)
  return {
    things: [...new Set(things)],
    joints,
    place: text(first?.place) ?? text(params.at),
    face: text(first?.face) ?? text(params.face),
  }
}

/** How what was hot cools: by the workshop's way, and slowly where a quench may crack any of it. */
function coolingOf({ parts, schools }: World, things: readonly string[]): 'quenched' | 'slowly' {
  const alloys = things.flatMap((thing) => parts.get(thing)?.alloy ?? [])
  return schools.S05 === 'B' || alloys.some(coolsSlowly) ? 'slowly' : 'quenched'
}

/** Whether the conditions of a step's own parameters, place, joint and methods hold; those of single things are asked elsewhere. */
export function holdsFor(
  world: World,
  act: Pick<Act, 'params' | 'place' | 'face' | 'joints' | 'things'>,
  when: readonly Condition[],
): boolean {
  return when.every(({ on, name, test }) => {
    if (on === 'thing') return true
    if (on === 'school') return passes(test, world.schools[name])
    if (name === 'cooling') return passes(test, coolingOf(world, act.things))
    if (on === 'joint') return act.joints.some((joint) => passes(test, joint[name as keyof AssemblyJoint]))
    const own = { ...act.params, at: act.place, face: act.face }
    return passes(test, own[name as keyof typeof own])
  })
}

/** What a condition asks of a thing: whether it has a seam, is metal, is closed; its form; whether it is a rivet or one of a set. */
function traitOf(world: World, thing: string, name: string): unknown {
  if (name === 'seam') return hasSeam(world, thing)
  if (name === 'metal') return isMetal(world, thing)
  if (name === 'other') return isNotMetal(world, thing)
  if (name === 'rivet' || name === 'set' || name === 'form') return world.parts.get(thing)?.[name]
  return factOf(world, thing, 'closed')
}

/** Conditions that are asked of single things. */
export const askedOfThings = (when: readonly Condition[]) => when.filter(({ on }) => on === 'thing')

/** The things of an act that some conditions of things let through. */
export function thingsFor(world: World, things: readonly string[], asked: readonly Condition[]): readonly string[] {
  if (asked.length === 0) return things
  return things.filter((thing) => asked.every(({ name, test }) => passes(test, traitOf(world, thing, name))))
}

function unfold(world: World, act: Act, seen: readonly string[]): Act[] {
  if (act.step.unfolded && seen.length === 0) return [act]
  return act.op.includes.flatMap((included) => {
    if (!holdsFor(world, act, included.when)) return []
    if (included.op === '*') return [act]
    const op = findOperation(included.op)
    if (!op || seen.includes(op.id)) return []
    const params = { ...included.params, ...(included.op === 'drill' || included.op === 'mark' ? {} : sharedParams(act)) }
    return unfold(world, { ...act, op, params }, [...seen, act.op.id])
  })
}

/** Parameters that a step hands on to what it includes. */
function sharedParams({ params }: Act): Readonly<Record<string, unknown>> {
  return params.solder === undefined ? {} : { solder: params.solder }
}

/**
 * The operations of a step in order, those it includes among them; worked out once, for only a step on the whole piece depends on what is there.
 * An operation that is not in the catalogue gives none.
 */
export function actsOf(world: World, step: AssemblyStep, index: number): readonly Act[] {
  if (step.on.some(({ thing }) => thing === 'piece')) return freshActs(world, step, index)
  const before = world.acts.get(step)
  if (before && (before[0]?.index ?? index) === index) return before
  const acts = freshActs(world, step, index)
  world.acts.set(step, acts)
  return acts
}

function freshActs(world: World, step: AssemblyStep, index: number): Act[] {
  const op = findOperation(step.op)
  if (!op) return []
  const { things, joints, place, face } = targetOf(world, step)
  const small = op.firstOnly ? joints.flatMap((joint) => joint.members.slice(0, 1).map((member) => member.thing)) : []
  const act: Act = {
    op,
    index,
    step,
    params: step.params,
    things: small.length > 0 ? [...new Set(small)] : things,
    joints,
    place: place ?? ownPlace(op, step.params),
    face: face ?? '',
  }
  return unfold(world, act, [])
}

const USUAL_SOLDER: SolderId = 'hard-75'

/** The solder that a step or its joint names; undefined where neither does. */
export function namedSolder({ params }: Pick<Act, 'params'>, joint: AssemblyJoint | undefined): SolderId | undefined {
  const named = params.solder
  return typeof named === 'string' && Object.hasOwn(SOLDERS, named) ? (named as SolderId) : joint?.solder
}

/** The solder a joint is made with in a step. */
export function solderOf(act: Pick<Act, 'params'>, joint: AssemblyJoint | undefined): SolderId {
  return namedSolder(act, joint) ?? USUAL_SOLDER
}

/** The heat of an act, °C: that of its operation, or the highest flow point of the solders it melts; undefined where it is none. */
export function heatOf(act: Act): number | undefined {
  const { heatC } = act.op
  if (typeof act.params.tempC === 'number' && heatC !== undefined) return act.params.tempC
  if (heatC !== 'flow') return heatC
  const flows = act.joints.map((joint) => SOLDERS[solderOf(act, joint)].liquidusC)
  return flows.length > 0 ? Math.max(...flows) : SOLDERS[solderOf(act, undefined)].liquidusC
}

/** The steps of a route as they are walked: those of a repeated group twice through. */
export function walkOrder(steps: readonly AssemblyStep[]): number[] {
  const order: number[] = []
  for (let i = 0; i < steps.length; ) {
    const group = steps[i]?.repeat
    let end = i + 1
    while (group !== undefined && steps[end]?.repeat === group) end++
    const run = Array.from({ length: end - i }, (_, n) => i + n)
    order.push(...run, ...(group === undefined ? [] : run))
    i = end
  }
  return order
}
