export { type CaliperModel, readCaliper } from './caliper'
