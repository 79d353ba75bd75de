import { type Assembly, type AssemblyJoint, type AssemblyPart, type AssemblyStep, HOT_JOINTS, type Ref } from '../assembly/assembly'
import { schoolsWith } from '../assembly/schools'
import { formAssembly } from '../kits/form-routes'
import { writtenRoute } from '../kits/notation'
import { findKit } from '../kits/registry'
import { checkRoute, isLegal } from '../rules/check'
import { putInOrder } from '../rules/order/put-in-order'
import type { PieceDesign } from './design'
import { jointSteps } from './joint-steps'

/** What a smith does last of all to what is joined, wherever the part by itself would have been finished. */
const LAST_OF_ALL: ReadonlySet<string> = new Set(['finish', 'tumble', 'polish', 'inspect'])

/** A form's own route with its part, joints and others under the names they have in the piece. */
function ownRoute(part: AssemblyPart, isFirst: boolean, chosen: Readonly<Record<string, string>>): Assembly | undefined {
  const route = part.form === undefined ? undefined : formAssembly(part.form, chosen, part)
  if (!route) return undefined
  const own = (name: string) => (name === 'part' ? part.id : isFirst ? name : `${part.id}-${name}`)
  const renamed = (ref: Ref): Ref => ({ ...ref, thing: own(ref.thing) })
  const into = (params: AssemblyStep['params']) =>
    typeof params.into === 'string' ? { ...params, into: params.into.split('+').map(own).join('+') } : params
  return {
    schools: route.schools,
    parts: route.parts.map((item) => ({ ...item, id: own(item.id === part.id ? 'part' : item.id) })),
    others: route.others.map((item) => ({ ...item, id: own(item.id) })),
    joints: route.joints.map((joint) => ({ ...joint, id: own(joint.id), members: joint.members.map(renamed) })),
    steps: route.steps.map((step) => ({ ...step, on: step.on.map(renamed), params: into(step.params) })),
  }
}

const EMPTY: Omit<Assembly, 'schools'> = { parts: [], others: [], joints: [], steps: [] }

/** A piece put together by hand: each part by itself, then the joints one after another, and the finish last. */
function byHand(design: PieceDesign, parts: readonly AssemblyPart[], chosen: Readonly<Record<string, string>>): Assembly {
  const schools = schoolsWith(chosen)
  const own = parts.map((part, i) => ownRoute(part, i === 0, chosen) ?? { ...EMPTY, schools, parts: [part] })
  const joined = {
    parts: own.flatMap((one) => one.parts),
    others: own.flatMap((one) => one.others),
    joints: own.flatMap((one) => one.joints),
  }
  const steps = own.flatMap((one) => one.steps)
  if (design.joints.length + design.others.length === 0 && parts.length < 2) return { ...joined, schools, steps }
  const isLast = ({ op }: AssemblyStep) => LAST_OF_ALL.has(op)
  const assembly = {
    parts: joined.parts,
    others: [...joined.others, ...design.others],
    joints: [...joined.joints, ...design.joints],
    schools,
    steps: [
      ...steps.filter((step) => !isLast(step)),
      ...design.joints.filter(isHot).flatMap((joint) => jointSteps(joint, schools)),
      ...writtenRoute('finish piece', schools),
      ...design.joints.filter((joint) => !isHot(joint)).flatMap((joint) => jointSteps(joint, schools)),
    ],
  }
  return inOrder(assembly)
}

const isHot = ({ kind }: AssemblyJoint) => HOT_JOINTS.includes(kind)

/** A longer route than this is not put in order unasked: it would hold up every change of the piece. */
const MOST_STEPS = 60

/** A route that breaks a rule put in order, where that takes no time that is noticed. */
function inOrder(assembly: Assembly): Assembly {
  if (assembly.steps.length > MOST_STEPS || isLegal(checkRoute(assembly))) return assembly
  return { ...assembly, steps: putInOrder(assembly).steps.flatMap((i) => assembly.steps[i] ?? []) }
}

const things = ({ parts, others, joints }: Pick<Assembly, 'parts' | 'others' | 'joints'>) =>
  new Set(['piece', ...[...parts, ...others, ...joints].map(({ id }) => id)])

/** The kit's route for what of it the piece still has, and after it what the smith has added. */
function byKit(design: PieceDesign, parts: readonly AssemblyPart[], chosen: Readonly<Record<string, string>>): Assembly | undefined {
  const kit = findKit(design.kit)
  if (!kit) return undefined
  const schools = schoolsWith({ ...kit.schools, ...chosen })
  const there = things({ parts, others: design.others, joints: design.joints })
  const kept = (refs: readonly Ref[]) => refs.filter(({ thing }) => there.has(thing))
  const steps = writtenRoute(kit.steps, schools).flatMap((step) => {
    const on = kept(step.on)
    return on.length > 0 ? [{ ...step, on }] : []
  })
  const ofKit = new Set([...kit.parts, ...kit.joints].map(({ id }) => id))
  const addedParts = parts.filter(({ id }) => !ofKit.has(id)).flatMap((part) => ownRoute(part, false, chosen) ?? [])
  const addedJoints = design.joints.filter(({ id }) => !ofKit.has(id))
  const joints: AssemblyJoint[] = [...design.joints, ...addedParts.flatMap((one) => one.joints)]
  const assembly = {
    parts: [...parts, ...addedParts.flatMap((one) => one.parts.slice(1))],
    others: [...design.others, ...addedParts.flatMap((one) => one.others)],
    joints,
    schools,
    steps: [...addedParts.flatMap((one) => one.steps), ...steps, ...addedJoints.flatMap((joint) => jointSteps(joint, schools))],
  }
  return addedParts.length + addedJoints.length === 0 ? assembly : inOrder(assembly)
}

/** The assembly of a piece with the route it has before the smith changes anything: the kit's, or each form's own with its joints. */
export function usualAssembly(design: PieceDesign, parts: readonly AssemblyPart[], chosen: Readonly<Record<string, string>>): Assembly {
  return byKit(design, parts, chosen) ?? byHand(design, parts, chosen)
}
