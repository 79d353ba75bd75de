export { type SurfaceAnswer, surfacePlan } from './plan'
export { surfaceInput } from './schema'
