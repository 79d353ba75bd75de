import { type Assembly, type AssemblyJoint, HOT_JOINTS } from '../assembly/assembly'
import type { AlloyId } from '../metals/alloys'
import { walkOrder } from '../rules/act'
import type { Act } from '../rules/acted'
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

/** The act of a step in which joints are made by heat. */
const isMaking = ({ op }: Act) => op.joins === 'hot'

/** The heats in which joints are made, in the order of the route. */
export function jointHeats(assembly: Assembly): JointHeat[] {
  const walk = Walk.of(assembly)
  const heats = new Map<number, JointHeat>()
  for (const index of walkOrder(assembly.steps)) {
    const step = assembly.steps[index]
    if (!step) continue
    const acts = walk.acts(step, index)
    const making = acts.find(isMaking)
    const reaches = making ? walk.reaches(making).map(({ joint }) => joint) : []
    walk.pass(acts)
    const joints = making?.joints.filter(({ kind }) => HOT_JOINTS.includes(kind)) ?? []
    if (joints.length > 0 && !heats.has(index))
      heats.set(index, { step: index, op: step.op, joints, reaches, ...inHeat(assembly, walk, joints) })
  }
  return [...heats.values()]
}

/** What gets hot with joints once they are made, and of which metals it is. */
function inHeat({ parts }: Assembly, walk: Walk, joints: readonly AssemblyJoint[]): Pick<JointHeat, 'things' | 'metals'> {
  const things = walk.attached(joints.flatMap(thingsOf))
  const metals = parts.flatMap(({ id, alloy }) => (things.has(id) && alloy ? [alloy] : []))
  return { things: [...things], metals: [...new Set(metals)] }
}
