export { type CaliperModel, readCaliper } from './caliper'
export { readScale, type ScaleModel } from './scale'
