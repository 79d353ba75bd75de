import { type AssemblyJoint, type AssemblyStep, JOINT_KINDS, type JointKind } from '../assembly/assembly'
import { writtenRoute } from '../kits/notation'

/** The usual steps of a joint added by hand, as `writtenRoute` reads them: `joint` is the joint, `small` the part that is put on. */
export const JOINT_STEPS: Readonly<Record<JointKind, string>> = {
  seam: 'solder joint · pickle small · clean-seam small',
  butt: 'solder joint · pickle small · test-joint joint',
  lap: 'solder joint · pickle small · test-joint joint',
  sweat: 'sand-flat small · solder joint · pickle small · test-joint joint',
  tee: 'sand-flat small · solder joint · pickle small · test-joint joint',
  point: 'solder joint · pickle small · test-joint joint',
  row: 'match small · solder joint · pickle small · test-joint joint',
  fuse: 'fuse joint · pickle small · test-joint joint',
  rivet: 'insert-rivet joint · rivet joint',
  tabs: 'set-stone joint (by tabs)',
  bezel: 'set-stone joint (by bezel)',
  fold: 'fold small',
  hook: 'hang joint',
  link: 'hang joint',
  wrap: 'wrap-wire joint',
  stitch: 'stitch joint',
  glue: 'glue joint',
  press: 'own-step joint',
}

/** The steps that make a joint of a piece put together by hand. */
export function jointSteps(joint: AssemblyJoint, schools: Readonly<Record<string, string>>): AssemblyStep[] {
  const [small] = joint.members
  return writtenRoute(JOINT_STEPS[joint.kind], schools).map((step) => ({
    ...step,
    on: step.on.map((ref) => ({ thing: ref.thing === 'joint' ? joint.id : (small?.thing ?? joint.id) })),
    ...(step.op === 'own-step' ? { params: { what: `${JOINT_KINDS[joint.kind]} it together`, min: 5 } } : {}),
  }))
}
