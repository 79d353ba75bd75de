export { type Cue, coolDownOf, cuesOf, JOINT_TESTS, WORKSHOP_FLUXES, type WorkshopFlux } from './cues'
export { type TorchHeat, type TorchJoint, type TorchPlan, torchPlan, withSolders } from './torch-plan'
