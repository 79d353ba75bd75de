export {
  type Assembly,
  type AssemblyJoint,
  type AssemblyStep,
  HOT_JOINTS,
  JOINT_KINDS,
  JOINT_ROLES,
  type JointKind,
  OTHER_KINDS,
  type OtherKind,
  type Override,
  type Ref,
} from './assembly'
export type { AssemblyView, StandingBody } from './assembly-views'
export { JOINT_KIND_IDS, OTHER_KIND_IDS, refObject } from './read'
export { ORDER_SCHOOLS, schoolsWith } from './schools'
