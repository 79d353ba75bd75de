import { type Assembly, type AssemblyJoint, HOT_JOINTS } from '../assembly/assembly'
import type { AlloyId } from '../metals/alloys'
import { findOperation } from '../operations/catalogue'
import { solderOf, walkOrder } from '../rules/act'
import { Walk } from '../rules/walk'
import { thingsOf } from '../rules/world'

/** One soldering or fusing of a route: which joints are made, what is in the heat, and which earlier joints it reaches. */
export interface JointHeat {
  readonly step: number
  readonly op: string
  readonly joints: readonly AssemblyJoint[]
  /** Parts and others that get hot with it. */
  readonly things: readonly string[]
  readonly metals: readonly AlloyId[]
  /** Joints made before that the heat reaches; those that are held are not among them. */
  readonly reaches: readonly string[]
}

const MAKING: ReadonlySet<string> = new Set(['solder', 'fuse'])

/** The heats in which joints are made, in the order of the route. */
export function jointHeats(assembly: Assembly): JointHeat[] {
  const walk = Walk.of(assembly)
  const made = new Map<string, AssemblyJoint>()
  const heats = new Map<number, JointHeat>()
  for (const index of walkOrder(assembly)) {
    const step = assembly.steps[index]
    if (!step) continue
    const joints = assembly.joints.filter(({ id, kind }) => HOT_JOINTS.includes(kind) && step.on.some(({ thing }) => thing === id))
    walk.do(step, index)
    if (!MAKING.has(step.op) || joints.length === 0 || heats.has(index) || !findOperation(step.op)) continue
    const things = walk.attached(joints.flatMap(thingsOf))
    const own = new Set(joints.map(({ id }) => id))
    const held = new Set(step.held)
    const reaches = [...made.values()].filter(
      (joint) => !own.has(joint.id) && !held.has(joint.id) && thingsOf(joint).some((thing) => things.has(thing)),
    )
    const metals = assembly.parts.flatMap(({ id, alloy }) => (things.has(id) && alloy ? [alloy] : []))
    heats.set(index, {
      step: index,
      op: step.op,
      joints,
      things: [...things],
      metals: [...new Set(metals)],
      reaches: reaches.map(({ id }) => id),
    })
    if (step.op === 'solder') for (const joint of joints) made.set(joint.id, { ...joint, solder: solderOf(step, joint) })
  }
  return [...heats.values()]
}
